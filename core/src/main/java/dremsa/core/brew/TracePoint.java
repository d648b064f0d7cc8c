package dremsa.core.brew;

/**
 * A moment of a brew.
 *
 * @param minute since the first step began
 * @param celsius temperature of the brew
 * @param grams all liquid, free and held
 * @param strength share of the first plant's extractable matter that has gone over, 0 to 1
 * @param thickness mPa·s at that temperature
 */
public record TracePoint(
    double minute, double celsius, double grams, double strength, double thickness) {}
