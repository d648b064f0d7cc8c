package dremsa.core.keep;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.Said;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What stays in the strainer, and what it is still good for. What was strained together cannot be
 * told apart: one use counts for all of it. Common practice throughout.
 *
 * @param use what it is good for
 * @param materials what it was, in the order of putting in
 * @param dryGrams of them as they were put in, g
 * @param wetGrams with the liquid that they hold, g
 * @param why it goes this way
 */
public record Leftover(
    Use use, List<Material> materials, double dryGrams, double wetGrams, String why) {
  /** A seed that softens to a mask; no other kind of seed does. */
  private static final String FENUGREEK = "fenugreek";

  public Leftover {
    materials = List.copyOf(materials);
  }

  /** A second use. */
  public enum Use {
    /** Blended and worn the same day. */
    MASK("Blend it to a mask", 0),
    /** Dried fully, then steeped in oil. */
    DRY_FOR_OIL("Spread it to dry, then steep it in oil", 0),
    /** Steeped once more in fresh oil. */
    SECOND_OIL("Steep it in fresh oil for a day or longer: a second, weaker oil", 96),
    COMPOST("Compost", 0);

    private final String words;
    private final double hours;

    Use(String words, double hours) {
      this.words = words;
      this.hours = hours;
    }

    public String words() {
      return words;
    }

    /**
     * How long it may wait for that, h; 0 means the same day. Wet plant counts as a paste that is
     * for use at once; pressed out of oil with wet hands and cloth it counts as {@link
     * KeepingClass#OIL_WET}.
     */
    public double hours() {
      return hours;
    }

    /** The last day for it: a whole local day, never before the day it was strained. */
    public LocalDate lastDay(Instant strained, ZoneId zone) {
      LocalDate day = strained.atZone(zone).toLocalDate();
      LocalDate last = Keeping.lastWholeDay(Hours.after(strained, hours), zone);
      return last.isBefore(day) ? day : last;
    }
  }

  /** What a brew leaves in its strainer; empty where nothing was strained out. */
  public static Optional<Leftover> of(Brew brew, Prediction prediction) {
    Formula formula = brew.formula();
    if (formula.steps().stream().noneMatch(Step.Strain.class::isInstance)) {
      return Optional.empty();
    }
    List<Material> plants = new ArrayList<>();
    double dry = 0;
    for (int i = 0; i < brew.materials().size(); i++) {
      double grams = prediction.amounts().getOrDefault(formula.ingredients().get(i).key(), 0.0);
      if (brew.materials().get(i).kind().isPlant() && grams > 0) {
        plants.add(brew.materials().get(i));
        dry += grams;
      }
    }
    if (plants.isEmpty()) {
      return Optional.empty();
    }
    double given = prediction.strengths().stream().mapToDouble(s -> s.extracted()).max().orElse(1);
    Judged judged = judge(plants, formula, prediction.finished().oilShare() > 0.5, given);
    double wet = dry + Math.max(0, prediction.account().held());
    return Optional.of(new Leftover(judged.use(), plants, dry, wet, judged.why()));
  }

  private record Judged(Use use, String why) {}

  /** Below this share of what it can give a plant is not spent; our rule. */
  private static final double SPENT = 0.5;

  /** A weak draw has not spent its plant; wet it keeps for no second one all the same. */
  private static String gave(String liquid, double given) {
    return given >= SPENT
        ? "It gave the " + liquid + " what it had."
        : Said.of(
            "Only about %.0f %% of it went over, but wet it does not keep: draw it longer next"
                + " time.",
            given * 100);
  }

  /**
   * @param given the most that any of the plants gave, share of what it can give
   */
  private static Judged judge(List<Material> plants, Formula formula, boolean oil, double given) {
    Predicate<MaterialKind> all = kind -> plants.stream().allMatch(p -> p.kind() == kind);
    Predicate<MaterialKind> any = kind -> plants.stream().anyMatch(p -> p.kind() == kind);
    if (any.test(MaterialKind.GUM_SEED) || any.test(MaterialKind.GUM_POWDER)) {
      return new Judged(Use.COMPOST, "Spent gum seed gives no second gel.");
    }
    if (plants.stream().anyMatch(p -> p.kind().isFresh())) {
      return new Judged(Use.COMPOST, "The pulp of fresh plant begins to spoil at once.");
    }
    if (oil) {
      return all.test(MaterialKind.GRAIN)
          ? new Judged(Use.SECOND_OIL, "Grain steeped in oil has some left to give.")
          : new Judged(Use.COMPOST, gave("oil", given));
    }
    if (plants.stream().allMatch(p -> p.id().equals(FENUGREEK))) {
      return new Judged(Use.MASK, "Soaked fenugreek blends soft. It keeps for no second day.");
    }
    boolean bath = has(formula, Step.WaterBath.class);
    boolean boiled = has(formula, Step.Boil.class);
    boolean soured = has(formula, Step.Ferment.class);
    if (bath && plants.stream().allMatch(p -> isBudOrGrain(p.kind()))
        || !boiled && !soured && all.test(MaterialKind.GRAIN)) {
      return new Judged(
          Use.DRY_FOR_OIL, "Dried fully it gives an oil what water does not take. Wet it moulds.");
    }
    return new Judged(Use.COMPOST, gave("water", given));
  }

  private static boolean isBudOrGrain(MaterialKind kind) {
    return kind == MaterialKind.BUD || kind == MaterialKind.GRAIN;
  }

  private static boolean has(Formula formula, Class<? extends Step> kind) {
    return formula.steps().stream().anyMatch(kind::isInstance);
  }
}
