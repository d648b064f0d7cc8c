package dremsa.core.scale;

import dremsa.core.measure.Figure;

/**
 * How much of a product one use takes. Common practice and our estimate; replaced by what a person
 * really uses as soon as that is known.
 */
public final class Dose {
  /** One stroke of a sprayer, mL; from memory. */
  public static final Figure MIST_STROKE =
      Figure.fromMemory(0.15, 0.1, 0.2, "mL", "a fine-mist pump's delivery");

  /** One pull of a trigger, mL; from memory. */
  public static final Figure TRIGGER_STROKE =
      Figure.fromMemory(0.8, 0.6, 1.2, "mL", "a trigger sprayer's delivery");

  private Dose() {}

  /** What it is used as. */
  public enum Use {
    /** Gel or mask, rinsed off. */
    GEL("gel or mask", 20, 50, 100, true),
    LEAVE_IN("leave-in spray", 10, 20, 40, true),
    /** Between plaits, cornrows or wraps until soaked. */
    SOAKING("spray under braids", 100, 170, 250, false),
    RINSE("rinse poured over", 200, 350, 500, false),
    /** On the scalp, parting by parting; hair's length is nothing to it. */
    SCALP("scalp treatment", 10, 10, 10, true),
    OIL("oil to seal", 2, 4, 8, true);

    private final String words;
    private final double little;
    private final double usual;
    private final double much;
    private final boolean byDensity;

    Use(String words, double little, double usual, double much, boolean byDensity) {
      this.words = words;
      this.little = little;
      this.usual = usual;
      this.much = much;
      this.byDensity = byDensity;
    }

    public String words() {
      return words;
    }
  }

  /** Length of hair. */
  public enum Length {
    SHORT,
    MEDIUM,
    LONG
  }

  /** How much hair there is. */
  public enum Density {
    FINE("thin", 0.8),
    USUAL("medium", 1),
    DENSE("thick", 1.4);

    private final String words;
    private final double factor;

    Density(String words, double factor) {
      this.words = words;
      this.factor = factor;
    }

    public String words() {
      return words;
    }
  }

  /** Millilitres of one use with their range. */
  public static Figure of(Use use, Length length, Density density) {
    double factor = use.byDensity ? density.factor : 1;
    double value =
        factor
            * switch (length) {
              case SHORT -> use.little;
              case MEDIUM -> use.usual;
              case LONG -> use.much;
            };
    // Very long and dense hair can take twice as much.
    double most = length == Length.LONG && density == Density.DENSE ? 2.2 : 1.6;
    return Figure.estimate(value, value * 0.6, value * most, "mL");
  }

  /** Strokes of a sprayer for an amount, rounded to whole ones, at least 1. */
  public static long strokes(double millilitres, Figure stroke) {
    return Math.max(1, Math.round(millilitres / stroke.value()));
  }
}
