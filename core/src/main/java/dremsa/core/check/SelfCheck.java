package dremsa.core.check;

import dremsa.core.acid.Sourness;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.Trouble;
import dremsa.core.check.Finding.Code;
import dremsa.core.check.Finding.Severity;
import dremsa.core.fill.Suiting;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.keep.Classifier;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.School;
import dremsa.core.keep.Spoilage;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import dremsa.core.material.Virtue;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Looks a formula over, as it would go in a kitchen, for the slips of the craft. */
public final class SelfCheck {
  /** Sour enough to matter; the lower line is for what is rinsed off, the upper for leave-on. */
  private static final double SOUR_RINSE_OFF = 3.0;

  private static final double SOUR_LEAVE_ON = 3.5;

  /** Additions that heat spoils go in below this. */
  private static final double WARM_C = 40;

  private final Brew brew;
  private final Formula formula;
  private final Prediction prediction;
  private final School school;
  private final List<Finding> findings = new ArrayList<>();

  private SelfCheck(Brew brew, Prediction prediction, School school) {
    this.brew = brew;
    this.school = school;
    this.formula = brew.formula();
    this.prediction = prediction;
  }

  /**
   * What there is to say of a brew, the gravest first.
   *
   * @param prediction of the batch that is meant
   */
  public static List<Finding> of(Brew brew, Prediction prediction) {
    return of(brew, prediction, Wearer.ADULT);
  }

  /**
   * What there is to say of a brew for somebody, the gravest first.
   *
   * @param prediction of the batch that is meant
   */
  public static List<Finding> of(Brew brew, Prediction prediction, Wearer wearer) {
    return of(brew, prediction, wearer, School.CAREFUL);
  }

  /**
   * What there is to say of a brew for somebody, the gravest first.
   *
   * @param prediction of the batch that is meant
   * @param school that it is kept by, which decides when a preservative counts
   */
  public static List<Finding> of(Brew brew, Prediction prediction, Wearer wearer, School school) {
    SelfCheck check = new SelfCheck(brew, prediction, school);
    check.troubles();
    check.findings.addAll(StepOrder.of(brew));
    check.findings.addAll(Bulk.of(brew, prediction));
    check.spirit();
    check.additions();
    check.plants();
    check.wetOil();
    check.container();
    check.findings.addAll(Limits.of(brew, prediction, wearer));
    check.findings.addAll(Preserving.of(brew, prediction, school));
    check.acidity();
    check.lifeSpent();
    check.findings.sort((a, b) -> a.severity().compareTo(b.severity()));
    return List.copyOf(check.findings);
  }

  /**
   * What keeps a batch from being started without a second thought: the errors, those of the ways
   * of a divided batch as well. Dangerous is deliberate.
   *
   * @param scale of the batch
   */
  public static List<Finding> errors(
      Brew brew, double scale, Facts facts, Prediction prediction, School school) {
    List<Finding> all = new ArrayList<>(of(brew, prediction, Wearer.ADULT, school));
    for (Brew way : brew.ways()) {
      all.addAll(of(way, way.predict(scale, facts), Wearer.ADULT, school));
    }
    return all.stream().filter(f -> f.severity() == Severity.ERROR).distinct().toList();
  }

  private void troubles() {
    for (Trouble trouble : prediction.troubles()) {
      add(
          Code.IMPOSSIBLE_HERE,
          Severity.ERROR,
          step(trouble.step()),
          trouble.words(),
          "This step cannot be done so in this kitchen.",
          "Brew less, use another vessel or hob, or change the step.");
    }
    for (int i = 0; i < formula.steps().size(); i++) {
      StrainTool tool = formula.steps().get(i).strainer().orElse(null);
      if (tool != null && tool.stopsPowder() && !brew.kitchen().strainers().contains(tool)) {
        add(
            Code.IMPOSSIBLE_HERE,
            Severity.WARNING,
            step(i),
            "There is no " + tool.noun() + " in this kitchen.",
            "A coarser one lets powder through.",
            "Get one, or use another that is as fine.");
      }
    }
  }

  private void spirit() {
    if (!has(MaterialKind.SPIRIT)) {
      return;
    }
    for (int i = 0; i < formula.steps().size(); i++) {
      if (formula.steps().get(i).onHob()) {
        add(
            Code.SPIRIT_NEAR_HEAT,
            Severity.ERROR,
            step(i),
            "Spirit is heated here.",
            "Its vapour catches fire.",
            "Macerate it cold, in the dark.");
      }
    }
  }

  private void additions() {
    for (int i = 0; i < formula.steps().size(); i++) {
      Step s = formula.steps().get(i);
      StepOutcome outcome = prediction.steps().get(i);
      for (String key : s.ingredients()) {
        Material material = brew.materialOf(key).orElseThrow();
        boolean delicate =
            material.kind().role() == MaterialKind.Role.ADDITIVE || material.kind().isRaw();
        double most = warmest(s, material);
        if (delicate && outcome.startC() > most + 0.5 && s.kind() != StepKind.WASH) {
          add(
              Code.ADDED_TOO_HOT,
              Severity.ERROR,
              step(i),
              Said.of("%s goes in at about %.0f °C.", material.name(), outcome.startC()),
              Said.of("Heat drives it off or spoils it; it belongs in below %.0f °C.", most),
              "Let the brew cool first.");
        }
      }
    }
  }

  /** The warmest at which a material may go in at a step, °C. */
  static double warmest(Step step, Material material) {
    return step.stirredBelow().isPresent()
        ? Math.min(step.stirredBelow().getAsDouble(), 60)
        : material.value(Property.MAX_TEMPERATURE, WARM_C);
  }

  private void plants() {
    boolean oily = prediction.finished().oilShare() > 0.5;
    boolean strained = false;
    boolean boiledGum = false;
    for (int i = 0; i < formula.steps().size(); i++) {
      Step s = formula.steps().get(i);
      if (s.strainer().isPresent()) {
        strained = true;
      } else if (s.kind() == StepKind.BOIL) {
        if (strained && boiledGum && has(MaterialKind.GUM_SEED)) {
          add(
              Code.SEED_BOILED_AGAIN,
              Severity.WARNING,
              step(i),
              "It is boiled again after straining.",
              "Spent seed gives no second gel, and boiling an old brew makes it no younger.",
              "Use fresh seed for a second gel.");
        }
        boiledGum = true;
      }
    }
    for (int i = 0; i < formula.ingredients().size(); i++) {
      Material material = brew.materials().get(i);
      String key = formula.ingredients().get(i).key();
      switch (material.kind()) {
        case ALOE_LEAF -> {
          if (!prepared(key, Step.Treatment.DRAIN_LATEX)) {
            add(
                Code.ALOE_NOT_DRAINED,
                Severity.ERROR,
                ingredient(i),
                "The aloe leaf is not drained.",
                "Its yellow latex irritates and can sensitise.",
                "Stand the cut leaf upright and soak it, 10 to 60 minutes.");
          }
        }
        case GRAIN -> {
          if (!washed(key)) {
            add(
                Code.GRAIN_NOT_WASHED,
                Severity.WARNING,
                ingredient(i),
                "The grain is not washed.",
                "Dust and old starch go into the brew.",
                "Rinse it first and pour the first water away.");
          }
        }
        case GUM_SEED -> {
          if (washed(key)) {
            add(
                Code.NO_EFFECT,
                Severity.WARNING,
                ingredient(i),
                "The gum seed is washed.",
                "It gels at once and the gel runs off with the water.",
                "Put it dry into cold water.");
          }
        }
        default -> {
          // Nothing to say of the others by themselves.
        }
      }
      if (Virtue.GROUND_SEED.of(material)
          && formula.steps().stream().anyMatch(s -> s.strainer().isPresent())) {
        add(
            Code.GROUND_SEED_IN_GEL,
            Severity.ERROR,
            ingredient(i),
            "The seed is ground.",
            "Its gel cannot be strained.",
            "Use whole seed.");
      }
      if (oily && material.kind().isFresh()) {
        add(
            Code.WET_PLANT_IN_OIL,
            Severity.ERROR,
            ingredient(i),
            material.name() + " is put into oil fresh.",
            "Water in oil spoils it, and fresh plant in oil is a known botulism risk.",
            "Dry the plant fully first.");
      }
    }
  }

  /** Juice, water or a brew in oil, with nothing that preserves it. */
  private void wetOil() {
    boolean fresh = brew.materials().stream().anyMatch(m -> m.kind().isFresh());
    if (!fresh && prediction.finished().oilShare() > 0.5 && keptAs() == KeepingClass.OIL_WET) {
      add(
          Code.WET_PLANT_IN_OIL,
          Severity.WARNING,
          "ingredients",
          "There is water or juice in the oil.",
          "It does not mix, and what lives in it spoils in days; at room temperature it is a risk.",
          "Leave it out, or stir it in for one use only.");
    }
  }

  private void container() {
    for (int i = 0; i < formula.steps().size(); i++) {
      int index = i;
      formula
          .steps()
          .get(i)
          .fills()
          .flatMap(container -> Suiting.against(container, false, prediction.finished()))
          .ifPresent(
              no ->
                  add(
                      no.cause() == Suiting.Cause.BITS
                          ? Code.POWDER_IN_SPRAY
                          : Code.TOO_THICK_FOR_CONTAINER,
                      no.cause() == Suiting.Cause.BITS ? Severity.ERROR : Severity.WARNING,
                      step(index),
                      no.what(),
                      no.why(),
                      no.cure()));
    }
  }

  private void acidity() {
    Sourness.Ph all = prediction.contents().ph();
    if (!all.exists()) {
      return;
    }
    double ph = all.value();
    boolean leftOn =
        formula.purposes().isEmpty() || formula.purposes().stream().anyMatch(Purpose::leftOn);
    double line = leftOn ? SOUR_LEAVE_ON : SOUR_RINSE_OFF;
    if (ph < line) {
      add(
          Code.TOO_SOUR,
          Severity.WARNING,
          "ingredients",
          Said.of("About pH %.1f.", ph),
          leftOn ? "Too sour to be left on." : "Too sour even to be rinsed off.",
          "Use less of the acid.");
    } else if (!leftOn && ph < SOUR_LEAVE_ON) {
      add(
          Code.TOO_SOUR,
          Severity.NOTE,
          "ingredients",
          Said.of("About pH %.1f: rinse it off.", ph),
          "Sour on sores or freshly scratched skin stings.",
          "Use less of the acid if it stings.");
    }
  }

  private void lifeSpent() {
    for (int i = 0; i < formula.steps().size(); i++) {
      if (formula.steps().get(i).kind() == StepKind.FERMENT && !prediction.heat().soured()) {
        add(
            Code.LIFE_SPENT_EARLY,
            Severity.WARNING,
            step(i),
            "Nobody can be sure that this ferments.",
            "It takes starch and warmth to come to pH 4.6; until then it spoils like a soak.",
            "Leave it longer or warmer, or measure the pH when you strain it.");
      }
      if (formula.steps().get(i).kind() == StepKind.SOAK) {
        StepOutcome outcome = prediction.steps().get(i);
        double spent = outcome.minutes() / 60 * Spoilage.rate(outcome.endC());
        double life = 24 * KeepingClass.INFUSION.budget(School.CAREFUL).orElseThrow().value();
        boolean dry = has(MaterialKind.SPIRIT) || prediction.finished().oilShare() > 0.5;
        if (!dry && spent > life / 2) {
          add(
              Code.LIFE_SPENT_EARLY,
              spent > life ? Severity.ERROR : Severity.WARNING,
              step(i),
              Said.of(
                  "%s spends %.0f of its %.0f hours before it is strained.",
                  formula.steps().get(i).headline(), spent, life),
              "Warm and wet, it spoils while it soaks.",
              "Soak it in the fridge, or shorter.");
        }
      }
    }
  }

  private boolean prepared(String key, Step.Treatment treatment) {
    return formula.steps().stream()
        .anyMatch(s -> s.readies().equals(Optional.of(treatment)) && s.ingredients().contains(key));
  }

  private boolean washed(String key) {
    return formula.steps().stream()
        .anyMatch(s -> s.kind() == StepKind.WASH && s.ingredients().contains(key));
  }

  private KeepingClass keptAs() {
    return Classifier.classify(prediction.contents(), school).keepingClass();
  }

  private boolean has(MaterialKind kind) {
    return brew.materials().stream().anyMatch(material -> material.kind() == kind);
  }

  private static String step(int index) {
    return "steps[" + index + "]";
  }

  private static String ingredient(int index) {
    return "ingredients[" + index + "]";
  }

  private void add(
      Code code, Severity severity, String place, String what, String why, String cure) {
    findings.add(new Finding(code, severity, place, what, why, cure));
  }
}
