package dremsa.core.brew;

/**
 * Where the liquid went, all in grams: {@code in = bottled + held + cloth + steam + apart +
 * unaccounted}.
 *
 * @param in poured in, with the water that fresh plants gave
 * @param bottled what is left to bottle
 * @param held held back by the plants
 * @param cloth left in cloths and papers
 * @param steam gone as vapour
 * @param apart divided off for other uses
 * @param unaccounted in minus the rest: spilled, or measured otherwise than predicted; 0 in a
 *     prediction without measured volumes
 */
public record WaterAccount(
    double in,
    double bottled,
    double held,
    double cloth,
    double steam,
    double apart,
    double unaccounted) {}
