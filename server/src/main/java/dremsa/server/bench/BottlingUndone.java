package dremsa.server.bench;

import java.util.UUID;

/** Told within the transaction that takes a bottling back; a listener may refuse it. */
public record BottlingUndone(UUID household, UUID batch) {}
