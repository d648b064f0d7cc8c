package dremsa.server.accounts;

import dremsa.core.measure.MeasureSystem;
import java.util.UUID;

/**
 * Told within the transaction that makes a household, with what its maker said of the kitchen.
 *
 * @param roomC °C
 * @param fridgeC °C
 * @param largestJarMl mL
 */
public record HouseholdMade(
    UUID household, MeasureSystem measures, double roomC, double fridgeC, double largestJarMl) {}
