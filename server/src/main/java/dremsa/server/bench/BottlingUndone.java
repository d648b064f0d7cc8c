package dremsa.server.bench;

import java.util.UUID;

/**
 * Told within the transaction that takes a bottling back; a listener may refuse it.
 *
 * @param whole the batch that it is a part of; the batch itself for a whole one
 */
public record BottlingUndone(UUID household, UUID batch, UUID whole) {}
