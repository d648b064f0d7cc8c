package dremsa.core.brew;

/**
 * How strong a brew is in one plant.
 *
 * @param ingredient key in the formula
 * @param extracted share of its extractable matter that went over, 0 to 1
 * @param gramsPer100Ml plant put in for each 100 mL of finished brew
 */
public record Strength(String ingredient, double extracted, double gramsPer100Ml) {}
