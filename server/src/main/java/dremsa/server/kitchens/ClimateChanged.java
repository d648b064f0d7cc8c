package dremsa.server.kitchens;

import java.time.Instant;
import java.util.UUID;

/**
 * The places of a household are, or were, as warm as was not known before: what stands there is
 * judged anew.
 *
 * @param words what changed, for the record
 */
public record ClimateChanged(UUID household, Instant at, String words) {}
