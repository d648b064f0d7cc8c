package dremsa.core.brew;

import java.util.Optional;

/**
 * What stands ready at the end.
 *
 * @param millilitres at 20 °C
 * @param grams of it
 * @param thickness mPa·s at 20 °C; NaN for oil, cream and paste, which the model does not know
 * @param thicknessHot mPa·s at the temperature at which it was last strained; the same as {@code
 *     thickness} if it never was
 * @param gumPercent dissolved gum, percent by mass
 * @param alcoholPercent percent by volume
 * @param oilShare share of the mass that is oil
 * @param juiceShare share of the mass that is raw juice
 * @param waterShare share of the mass that is water (with what is dissolved in it)
 * @param solidsShare share of the mass that is plant left in it
 * @param debris plant powder went past the strainer and is in it
 */
public record Finished(
    double millilitres,
    double grams,
    double thickness,
    double thicknessHot,
    double gumPercent,
    double alcoholPercent,
    double oilShare,
    double juiceShare,
    double waterShare,
    double solidsShare,
    boolean debris) {
  /** Its band when cold; empty where the model does not know its thickness. */
  public Optional<Thickness> band() {
    return Double.isNaN(thickness) ? Optional.empty() : Optional.of(Thickness.of(thickness));
  }
}
