package dremsa.server.accounts;

import java.util.UUID;

/**
 * Told within the transaction in which somebody deleted themself: nothing names them any more.
 *
 * @param called how the household called them
 */
public record MemberGone(UUID household, String called) {}
