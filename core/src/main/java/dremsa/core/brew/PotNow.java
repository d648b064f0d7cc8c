package dremsa.core.brew;

import dremsa.core.kitchen.Vessel;
import java.util.Optional;

/**
 * How a pot looks at a moment, to an eye that knows what to look for.
 *
 * @param minute since the first step began
 * @param vessel it stands in; empty before anything was put together
 * @param celsius of what is in it
 * @param millilitres of liquid, as it would measure at 20 °C
 * @param plantGrams that are in it still, without the water they gave
 * @param boils whether it does
 * @param steam that leaves it, g a minute
 * @param froth 0 none, 1 at the rim, more when it runs over
 * @param caught what lies on the bottom: 0 nothing caught, 1 burnt
 * @param spilt g that ran over so far
 * @param thickness mPa·s as warm as it is
 * @param thicknessCold mPa·s at 20 °C
 * @param drawn share of the first plant's matter that has gone over, 0 to 1
 * @param ph believed of the liquid; NaN where nothing was put together
 */
public record PotNow(
    double minute,
    Optional<Vessel> vessel,
    double celsius,
    double millilitres,
    double plantGrams,
    boolean boils,
    double steam,
    double froth,
    double caught,
    double spilt,
    double thickness,
    double thicknessCold,
    double drawn,
    double ph) {
  /** What lies on the bottom has burnt: the brew tastes and smells of it, and is lost. */
  public boolean burnt() {
    return caught >= 1;
  }
}
