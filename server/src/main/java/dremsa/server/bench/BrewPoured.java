package dremsa.server.bench;

import java.time.Instant;
import java.util.UUID;

/** Told within the transaction that starts a batch: so much of a bottle went into it. */
public record BrewPoured(
    UUID household, UUID batch, String code, UUID bottle, double millilitres, Instant at) {}
