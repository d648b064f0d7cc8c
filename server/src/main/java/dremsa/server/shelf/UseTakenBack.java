package dremsa.server.shelf;

import java.time.Instant;
import java.util.UUID;

/** A use was no use: whatever {@link Used} led to is to be taken back. */
public record UseTakenBack(UUID household, UUID use, UUID bottle, Instant at) {}
