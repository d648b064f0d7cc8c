package dremsa.core.acid;

import dremsa.core.measure.Figure;
import java.util.EnumMap;
import java.util.Map;

/** How much base water brings along, in words for those who have no water report. */
public enum Hardness {
  /** Rain water, distilled, most mountain water. */
  SOFT("soft water", Figure.commonPractice(25, 0, 60, "mg/L")),
  MEDIUM("medium water", Figure.commonPractice(120, 60, 180, "mg/L")),
  HARD("hard water", Figure.commonPractice(250, 180, 400, "mg/L")),
  /** Nobody has said: anything that comes from a tap. */
  UNKNOWN("water that nobody has looked at", Figure.estimate(120, 0, 400, "mg/L"));

  /** g/mol of calcium carbonate, by which alkalinity is reckoned. */
  private static final double CARBONATE_G = 100.09;

  /** As it comes from the tap; a range from what stood closed to what was boiled. */
  private static final double TAP_PH = 7.5;

  private static final double TAP_PH_LOW = 7.0;
  private static final double TAP_PH_HIGH = 8.3;

  private final String words;
  private final Figure alkalinity;

  Hardness(String words, Figure alkalinity) {
    this.words = words;
    this.alkalinity = alkalinity;
  }

  public String words() {
    return words;
  }

  /** Alkalinity as calcium carbonate, mg/L. */
  public Figure alkalinity() {
    return alkalinity;
  }

  /**
   * What a litre of water holds.
   *
   * @param alkalinity as calcium carbonate, mg/L, as on a water report
   */
  public static Sourness litre(Figure alkalinity) {
    return new Sourness(
        litre(alkalinity.low(), TAP_PH_LOW),
        litre(alkalinity.value(), TAP_PH),
        litre(alkalinity.high(), TAP_PH_HIGH),
        false);
  }

  /**
   * A litre of water of an alkalinity and a pH, closed to the air: its base is that of its
   * carbonates.
   *
   * @param milligrams of calcium carbonate, 0 or more
   */
  public static Solutes litre(double milligrams, double ph) {
    double base = 2 * milligrams / 1000 / CARBONATE_G;
    if (base == 0) {
      return Solutes.NONE;
    }
    double carbonic = Math.max(0, base - ChargeBalance.waterCharge(ph)) / Acid.CARBONIC.charge(ph);
    Map<Acid, Double> moles = new EnumMap<>(Acid.class);
    moles.put(Acid.CARBONIC, carbonic);
    return Solutes.of(moles, base);
  }
}
