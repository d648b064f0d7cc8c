package dremsa.server.bench;

import java.time.Instant;
import java.util.Map;
import java.util.UUID;

/**
 * Told within the transaction that starts a batch: so much of each material was weighed out.
 *
 * @param grams by material; brews from the shelf are not among them
 */
public record MeasuredOut(
    UUID household, UUID batch, String code, Map<String, Double> grams, Instant at) {}
