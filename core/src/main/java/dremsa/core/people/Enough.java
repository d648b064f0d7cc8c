package dremsa.core.people;

import dremsa.core.formula.Formula;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Said;
import dremsa.core.scale.Dose;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;

/** For how many uses an amount of a brew is enough, where nobody is known yet: on medium hair. */
public final class Enough {
  /** Heads that a recipe is reckoned for beside one; so many as most kitchens brew for. */
  private static final int HEADS = 2;

  private Enough() {}

  /**
   * One sentence: how many uses it is, and how much two heads would want.
   *
   * @param millilitres that come out of it, above 0
   * @return empty where nothing is known of how it is used
   */
  public static Optional<String> words(Formula formula, double millilitres) {
    return Arrays.stream(SlotKind.values())
        .filter(slot -> slot != SlotKind.BETWEEN_BRAIDS)
        .filter(slot -> slot.purposes().stream().anyMatch(formula.purposes()::contains))
        .flatMap(slot -> slot.dose().stream())
        .max(Comparator.comparingDouble(Enough::each))
        .map(use -> words(use, millilitres));
  }

  private static double each(Dose.Use use) {
    return dose(use).value();
  }

  private static Figure dose(Dose.Use use) {
    return Dose.of(use, Dose.Length.MEDIUM, Dose.Density.USUAL);
  }

  private static String words(Dose.Use use, double millilitres) {
    double each = each(use);
    double uses = millilitres / each;
    String said =
        uses < 1
            ? Said.of("is less than one %s on medium hair (%.0f mL)", use.words(), each)
            : Said.of(
                "is about %.0f %s of a %s on medium hair (%.0f mL)",
                Math.floor(uses), uses < 2 ? "use" : "uses", use.words(), each);
    return Said.of(
        "%.0f mL %s. For %d heads measure %.0f mL a time.", millilitres, said, HEADS, HEADS * each);
  }
}
