package dremsa.core.people;

import dremsa.core.scale.Dose;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What somebody's hair is like. Everything may be left open; what is not known counts as what asks
 * for the smaller dose and the longer wait.
 *
 * @param stretchedCm length drawn straight, {@value #SHORTEST_CM} to {@value #LONGEST_CM} cm
 * @param unstretchedCm length as it falls, not above the stretched one
 * @param reaches how far it comes, where nobody measured it
 * @param density how much hair there is
 * @param light coloured, grey or light: what stains is seen on it
 */
public record Hair(
    OptionalDouble stretchedCm,
    OptionalDouble unstretchedCm,
    Optional<Reach> reaches,
    Dose.Density density,
    Strand strand,
    Porosity porosity,
    Pattern pattern,
    Scalp scalp,
    boolean light) {
  /** Shorter is no hair to treat, cm. */
  public static final double SHORTEST_CM = 0.5;

  /** Longer than anybody's but a record's, cm. */
  public static final double LONGEST_CM = 300;

  /** Up to the chin it takes the dose of short hair, cm; common practice. */
  private static final double SHORT_CM = 20;

  /** Beyond the shoulders it takes the dose of long hair, cm; common practice. */
  private static final double MEDIUM_CM = 40;

  /** Nothing is known of it. */
  public static final Hair UNKNOWN =
      new Hair(
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          Optional.empty(),
          Dose.Density.USUAL,
          Strand.MEDIUM,
          Porosity.UNSURE,
          Pattern.STRAIGHT,
          Scalp.ORDINARY,
          false);

  /** How far stretched hair comes. */
  public enum Reach {
    CROPPED("cropped", 5),
    CHIN("to the chin", 20),
    SHOULDER("to the shoulders", 35),
    MID_BACK("to mid-back", 55),
    WAIST("to the waist", 75);

    private final String words;
    private final double cm;

    Reach(String words, double cm) {
      this.words = words;
      this.cm = cm;
    }

    public String words() {
      return words;
    }

    /** About so long, cm; our estimate. */
    public double cm() {
      return cm;
    }
  }

  /** How thick a single hair is. */
  public enum Strand {
    FINE("fine"),
    MEDIUM("medium"),
    COARSE("coarse");

    private final String words;

    Strand(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** How it falls, in plain words. */
  public enum Pattern {
    STRAIGHT("straight"),
    WAVY("wavy"),
    CURLY("curly"),
    COILED("coiled"),
    TIGHTLY_COILED("tightly coiled");

    private final String words;

    Pattern(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** What the scalp is like. */
  public enum Scalp {
    ORDINARY("ordinary"),
    DRY("dry"),
    OILY("oily"),
    FLAKY("flaky"),
    SENSITIVE("sensitive");

    private final String words;

    Scalp(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    /** What dries or irritates is kept rare on it. */
    boolean delicate() {
      return this == DRY || this == SENSITIVE;
    }
  }

  /**
   * Checks the lengths.
   *
   * @throws InvalidPersonException names the field
   */
  public Hair {
    Objects.requireNonNull(reaches, "reaches");
    Objects.requireNonNull(density, "density");
    Objects.requireNonNull(strand, "strand");
    Objects.requireNonNull(porosity, "porosity");
    Objects.requireNonNull(pattern, "pattern");
    Objects.requireNonNull(scalp, "scalp");
    within("stretchedCm", stretchedCm);
    within("unstretchedCm", unstretchedCm);
    if (stretchedCm.isPresent()
        && unstretchedCm.isPresent()
        && unstretchedCm.getAsDouble() > stretchedCm.getAsDouble()) {
      throw new InvalidPersonException(
          "unstretchedCm", "Unstretched it is not longer than drawn straight.");
    }
  }

  private static void within(String field, OptionalDouble cm) {
    if (cm.isPresent() && !(cm.getAsDouble() >= SHORTEST_CM && cm.getAsDouble() <= LONGEST_CM)) {
      throw new InvalidPersonException(field, "Hair is 0.5 to 300 cm long.");
    }
  }

  /** How much shorter it falls than it is: 1 − unstretched / stretched; 0 to 1. */
  public OptionalDouble shrinkage() {
    return stretchedCm.isPresent() && unstretchedCm.isPresent()
        ? OptionalDouble.of(1 - unstretchedCm.getAsDouble() / stretchedCm.getAsDouble())
        : OptionalDouble.empty();
  }

  /** Drawn straight, cm: measured, else by how far it comes; empty where nobody said. */
  public OptionalDouble cm() {
    return stretchedCm.isPresent()
        ? stretchedCm
        : reaches.map(reach -> OptionalDouble.of(reach.cm())).orElse(OptionalDouble.empty());
  }

  /** The length that a dose goes by; short where nobody said, which is the smaller dose. */
  public Dose.Length length() {
    double cm = cm().orElse(0);
    return cm <= SHORT_CM
        ? Dose.Length.SHORT
        : cm <= MEDIUM_CM ? Dose.Length.MEDIUM : Dose.Length.LONG;
  }
}
