package dremsa.core.fault;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.Change;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.StepRef;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.ModelParameters;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Gathers what went, and what may have gone, otherwise with a batch. */
final class Departures {
  /** Shares: less is not told. */
  private static final double WORTH_TIME = 0.15;

  private static final double WORTH_WEIGHT = 0.03;

  /** How often makers do what nobody wrote down; our estimates. */
  private static final double OFTEN = 0.6;

  private static final double NOW_AND_THEN = 0.4;
  private static final double SELDOM = 0.25;

  /** How far they do it: our estimates. */
  private static final double HALF = 0.5;

  private static final double HALF_AGAIN = 1.5;
  private static final double SCANT = 0.85;
  private static final double HEAPED = 1.15;
  private static final double TO_COLD_MINUTES = 180;
  private static final double WARMER_C = 5;

  /** Water to gum seed as makers who get a gel have it, g to g; common practice. */
  private static final double GEL_RATIO = 12;

  private final Brewed brewed;
  private final List<Step> steps;
  private final List<Departure> all = new ArrayList<>();

  private Departures(Brewed brewed) {
    this.brewed = brewed;
    this.steps = brewed.brew().formula().steps();
  }

  static List<Departure> of(Brewed brewed) {
    Departures departures = new Departures(brewed);
    for (int i = 0; i < departures.steps.size(); i++) {
      departures.recorded(i);
      departures.likely(i);
    }
    departures.ratio();
    departures.lots();
    departures.room();
    return departures.all;
  }

  // ---- what was written down ----

  private void recorded(int i) {
    StepFacts known = brewed.facts().of(i);
    if (known.skipped()) {
      written(i, steps.get(i).headline() + " was left out", StepFacts.NONE, "Do not leave it out.");
      return;
    }
    double usual = brewed.usual().steps().get(i).minutes();
    double minutes = known.minutes().orElse(usual);
    if (Math.abs(minutes - usual) > Math.max(1, WORTH_TIME * usual)) {
      written(
          i,
          Said.of(
              "%s: %s, usually %s",
              steps.get(i).headline(), Said.duration(minutes), Said.duration(usual)),
          known.untimed(),
          Said.of("Give it %s.", Said.duration(usual)));
    }
    for (Map.Entry<String, Double> weighed : known.weighed().entrySet()) {
      double planned =
          brewed.usual().steps().get(i).put().getOrDefault(weighed.getKey(), weighed.getValue());
      if (Math.abs(weighed.getValue() - planned) > WORTH_WEIGHT * planned) {
        written(
            i,
            Said.of(
                "%s g of %s went in, planned were %s g",
                grams(weighed.getValue()), name(weighed.getKey()), grams(planned)),
            known.withWeighed(weighed.getKey(), planned),
            Said.of("Weigh in %s g.", grams(planned)));
      }
    }
    if (known.waterMl() > 0) {
      StepFacts dry = dry(known);
      written(
          i,
          Said.of("%.0f mL of water were poured in beside the recipe", known.waterMl()),
          dry,
          "Leave it out.");
    }
  }

  private static StepFacts dry(StepFacts known) {
    StepFacts dry = StepFacts.NONE;
    for (Map.Entry<String, Double> weighed : known.weighed().entrySet()) {
      dry = dry.withWeighed(weighed.getKey(), weighed.getValue());
    }
    return known.minutes().isPresent() ? dry.withMinutes(known.minutes().getAsDouble()) : dry;
  }

  private void written(int step, String words, StepFacts right, String next) {
    Facts facts = brewed.facts().with(step, right);
    all.add(new Departure(step, words + ".", brewed.with(facts), true, 1, next));
  }

  // ---- what nobody wrote down ----

  private void likely(int i) {
    Step step = steps.get(i);
    StepFacts known = brewed.facts().of(i);
    if (known.minutes().isEmpty() && step.window().isPresent() && (step.onHob() || step.stands())) {
      double usual = step.window().orElseThrow().usual();
      String right = Said.of("Give it %s by the clock.", Said.duration(usual));
      supposed(i, lasted(step, usual * HALF), known.withMinutes(usual * HALF), OFTEN, right);
      supposed(
          i,
          lasted(step, usual * HALF_AGAIN),
          known.withMinutes(usual * HALF_AGAIN),
          NOW_AND_THEN,
          right);
    }
    if (step.strainer().isPresent() && known.minutes().isEmpty() && hasGum()) {
      supposed(
          i,
          "It was strained cold: gum that is cold stays in the seed",
          known.withMinutes(TO_COLD_MINUTES),
          NOW_AND_THEN,
          "Strain it while it is warm enough to run.");
    }
    for (String key : step.ingredients()) {
      double planned = brewed.usual().steps().get(i).put().getOrDefault(key, 0.0);
      if (planned > 0 && !known.weighed().containsKey(key)) {
        measure(i, key, planned, SCANT, "scant");
        measure(i, key, planned, HEAPED, "heaped");
      }
    }
    step.accept(new Otherwise(i))
        .ifPresent(
            other ->
                all.add(
                    new Departure(
                        i,
                        other.words + ".",
                        brewed.with(other.brew),
                        false,
                        other.likely,
                        other.next)));
  }

  private static String lasted(Step step, double minutes) {
    boolean shorter = minutes < step.window().orElseThrow().usual();
    return Said.of(
        "%s lasted %s %s",
        step.headline(), shorter ? "only about" : "about", Said.duration(minutes));
  }

  private void measure(int i, String key, double planned, double factor, String how) {
    StepFacts known = brewed.facts().of(i).withWeighed(key, planned * factor);
    boolean spooned = brewed.brew().materialOf(key).orElseThrow().kind() != MaterialKind.WATER;
    supposed(
        i,
        Said.of("A %s measure of %s: about %s g", how, name(key), grams(planned * factor)),
        known,
        spooned ? NOW_AND_THEN : SELDOM,
        Said.of("Weigh in %s g.", grams(planned)));
  }

  private void supposed(int step, String words, StepFacts done, double likely, String next) {
    Facts facts = brewed.facts().with(step, done);
    all.add(new Departure(step, words + ".", brewed.with(facts), false, likely, next));
  }

  /** A step done in another way than the formula says. */
  private record Way(String words, Brew brew, double likely, String next) {}

  private final class Otherwise implements StepCases.Some<Optional<Way>> {
    private final int index;

    Otherwise(int index) {
      this.index = index;
    }

    @Override
    public Optional<Way> boil(Step.Boil step) {
      if (step.lid()) {
        Step open = new Step.Boil(step.level(), false, step.stir(), step.time(), step.guide());
        return way("It boiled without its lid", open, OFTEN, "Boil it under the lid.");
      }
      Step rolling =
          new Step.Boil(Step.Level.ROLLING, false, step.stir(), step.time(), step.guide());
      return step.level() == Step.Level.ROLLING
          ? Optional.empty()
          : way("It boiled hard, not gently", rolling, OFTEN, "Turn it down once it boils.");
    }

    @Override
    public Optional<Way> strain(Step.Strain step) {
      return step.squeeze()
          ? way(
              "It was not wrung out",
              new Step.Strain(step.tool(), false, step.guide()),
              NOW_AND_THEN,
              "Wring the cloth out, gloved or when it is hand-warm.")
          : Optional.empty();
    }

    @Override
    public Optional<Way> otherwise(Step step) {
      return Optional.empty();
    }

    private Optional<Way> way(String words, Step step, double likely, String next) {
      Brew other =
          brewed
              .brew()
              .with(
                  new Change.StepInstead(StepRef.of(steps, index), step)
                      .apply(brewed.brew().formula()));
      return Optional.of(new Way(words, other, likely, next));
    }
  }

  // ---- what is no step ----

  /** A formula with little seed for its water is thin however it is boiled. */
  private void ratio() {
    double water = 0;
    Optional<Ingredient> seed = Optional.empty();
    for (int i = 0; i < brewed.brew().materials().size(); i++) {
      Ingredient ingredient = brewed.brew().formula().ingredients().get(i);
      MaterialKind kind = brewed.brew().materials().get(i).kind();
      if (kind == MaterialKind.GUM_SEED) {
        seed = Optional.of(ingredient);
      } else if (kind == MaterialKind.WATER) {
        water += brewed.brew().partsOf(ingredient.key());
      }
    }
    if (seed.isEmpty() || water == 0) {
      return;
    }
    String key = seed.get().key();
    double ratio = water / brewed.brew().partsOf(key);
    if (Math.abs(ratio / GEL_RATIO - 1) > WORTH_TIME) {
      double factor = Math.min(20, ratio / GEL_RATIO);
      Brew right = brewed.brew().with(new Change.Times(key, factor).apply(brewed.brew().formula()));
      all.add(
          new Departure(
              -1,
              Said.of("The recipe has water to %s at %.0f : 1.", name(key), ratio),
              brewed.with(right),
              true,
              NOW_AND_THEN,
              Said.of("Take %.0f : 1 for a gel of the jar.", GEL_RATIO)));
    }
  }

  /** Seed and root differ from lot to lot. */
  private void lots() {
    for (Material material : brewed.brew().materials()) {
      Optional<Figure> gives = material.figure(Property.GUM_YIELD);
      if (gives.isPresent() && material.kind().isPlant()) {
        lot(material, gives.get(), gives.get().low(), "gives little gum");
        lot(material, gives.get(), gives.get().high(), "gives much gum");
      }
    }
  }

  private void lot(Material material, Figure figure, double value, String how) {
    Material other =
        material.with(Property.GUM_YIELD, figure.withValue(value, Provenance.ESTIMATE));
    all.add(
        new Departure(
            -1,
            Said.of("This lot of %s %s.", plainly(material), how),
            brewed.with(brewed.brew().with(other)),
            false,
            SELDOM,
            "Try the next lot in a small pot first."));
  }

  private void room() {
    double roomC = brewed.brew().kitchen().climate().roomC();
    if (steps.stream().anyMatch(Step::stands) && roomC + WARMER_C < 40) {
      Climate climate = brewed.brew().kitchen().climate();
      Brew warmer =
          brewed
              .brew()
              .with(
                  brewed
                      .brew()
                      .kitchen()
                      .withClimate(
                          new Climate(roomC + WARMER_C, climate.fridgeC(), climate.freezerC())));
      all.add(
          new Departure(
              -1,
              Said.of("The room was warmer than the %.0f °C that are set.", roomC),
              brewed.with(warmer),
              false,
              NOW_AND_THEN,
              "Set how warm your kitchen is, or let it stand in the fridge."));
    }
    ModelParameters parameters = brewed.brew().kitchen().parameters();
    Figure gentle = parameters.figure(Parameter.GENTLE_BOIL);
    if (steps.stream().anyMatch(Step::onHob)) {
      Brew fierce =
          brewed
              .brew()
              .with(
                  brewed
                      .brew()
                      .kitchen()
                      .withParameters(
                          parameters.with(
                              Parameter.GENTLE_BOIL,
                              gentle.withValue(gentle.high(), Provenance.ESTIMATE))));
      all.add(
          new Departure(
              -1,
              "Your gentle boil steams more than is usual.",
              brewed.with(fierce),
              false,
              SELDOM,
              "Weigh what comes out: your kitchen is learned from it."));
    }
  }

  private static String grams(double value) {
    return Said.figures(value, 3);
  }

  private String name(String key) {
    return brewed.brew().materialOf(key).map(Departures::plainly).orElse(key);
  }

  private boolean hasGum() {
    return brewed.brew().materials().stream()
        .anyMatch(material -> material.kind() == MaterialKind.GUM_SEED);
  }

  /** {@code "linseed"} of {@code "Linseed, whole"}. */
  private static String plainly(Material material) {
    String name = material.name().split(",", 2)[0];
    return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
  }
}
