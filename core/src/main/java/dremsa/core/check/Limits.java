package dremsa.core.check;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.check.Finding.Code;
import dremsa.core.check.Finding.Severity;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Purpose;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;

/** Whether a brew holds more of something than may be on the skin of whom it is for. */
final class Limits {
  private final Brew brew;
  private final Formula formula;
  private final Prediction prediction;
  private final Wearer wearer;
  private final List<Finding> findings = new ArrayList<>();

  private Limits(Brew brew, Prediction prediction, Wearer wearer) {
    this.brew = brew;
    this.formula = brew.formula();
    this.prediction = prediction;
    this.wearer = wearer;
  }

  static List<Finding> of(Brew brew, Prediction prediction, Wearer wearer) {
    return new Limits(brew, prediction, wearer).all();
  }

  private List<Finding> all() {
    double finished = Math.max(1e-9, prediction.finished().grams());
    double essential = 0;
    boolean rinsed = isRinsedSoon();
    for (int i = 0; i < formula.ingredients().size(); i++) {
      Material material = brew.materials().get(i);
      Proportion proportion = formula.ingredients().get(i).proportion();
      double percent =
          proportion instanceof Proportion.PercentOfFinished typed
              // What was asked for as a percent is that percent, whatever steam left.
              ? typed.percent()
              : 100
                  * prediction.amounts().getOrDefault(formula.ingredients().get(i).key(), 0.0)
                  / finished;
      Property limited =
          rinsed && material.figures().containsKey(Property.LIMIT_RINSE_OFF)
              ? Property.LIMIT_RINSE_OFF
              : Property.LIMIT_LEAVE_ON;
      double limit = material.value(limited, Double.POSITIVE_INFINITY);
      if (percent > limit * 1.001) {
        add(
            Code.OVER_LIMIT,
            Severity.ERROR,
            ingredient(i),
            Said.of("%s makes %.2f %%, over %.2f %%.", material.name(), percent, limit),
            material.figure(limited).map(Figure::source).orElse(""),
            "Take less, or brew more around it.");
      }
      if (material.kind() == MaterialKind.ESSENTIAL_OIL) {
        essential += percent;
        if (proportion instanceof Proportion.Parts) {
          add(
              Code.INFUSED_OR_ESSENTIAL,
              Severity.WARNING,
              ingredient(i),
              material.name() + " is given by weight, like an infused oil.",
              "An essential oil is used by the drop; the infused oil of the same plant by the spoon.",
              "Say which is meant: give drops, or choose the infused oil.");
        }
      } else if (material.kind() == MaterialKind.INFUSED_OIL
          && proportion instanceof Proportion.DropsPer100Ml) {
        add(
            Code.INFUSED_OR_ESSENTIAL,
            Severity.WARNING,
            ingredient(i),
            material.name() + " is given in drops, like an essential oil.",
            "Drops of an infused oil do next to nothing.",
            "Say which is meant: give it by the spoon, or choose the essential oil.");
      }
    }
    double most = wearer.essentialPercent();
    if (essential > most) {
      add(
          Code.OVER_LIMIT,
          Severity.ERROR,
          "ingredients",
          Said.of("Essential oils make %.2f %% together.", essential),
          most == 0
              ? Said.of("None at all for %s.", wearer.words())
              : Said.of("Our house limit for %s is %.2g %% in all.", wearer.words(), most),
          most == 0 ? "Leave them out." : "Take fewer drops.");
    }
    for (int i = 0; i < formula.ingredients().size(); i++) {
      Material material = brew.materials().get(i);
      if (wearer.mayNotHave(material)) {
        add(
            Code.NOT_FOR_THIS_PERSON,
            Severity.ERROR,
            ingredient(i),
            material.name() + " is not for " + wearer.words() + ".",
            "Menthol and cineole can stop a small child's breath; only gentle scents below 6.",
            "Leave it out.");
      }
    }
    return findings;
  }

  /**
   * Whether it is surely off the skin within minutes. Where nobody said what it is for, or where it
   * is for several things, the stricter limits hold; so they do for what has no limit of its own
   * for rinsing off.
   */
  private boolean isRinsedSoon() {
    return !formula.purposes().isEmpty()
        && formula.purposes().stream().allMatch(Purpose::rinsedSoon);
  }

  private static String ingredient(int index) {
    return "ingredients[" + index + "]";
  }

  private void add(
      Code code, Severity severity, String place, String what, String why, String cure) {
    findings.add(new Finding(code, severity, place, what, why, cure));
  }
}
