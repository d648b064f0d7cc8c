package dremsa.server.accounts;

import java.util.UUID;

/**
 * Told within the transaction in which a test moved a household's clock: what is due may be due.
 */
public record ClockMoved(UUID household) {}
