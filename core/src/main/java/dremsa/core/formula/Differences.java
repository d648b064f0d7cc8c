package dremsa.core.formula;

import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Tells how one state of a formula differs from another, in a maker's words. */
public final class Differences {
  /**
   * One difference.
   *
   * @param place path in the later formula; of what is gone, in the earlier one
   * @param words e.g. {@code "linseed: 80 instead of 100 parts"}
   */
  public record Difference(String place, String words) {}

  private final UnaryOperator<String> names;

  private Differences(UnaryOperator<String> names) {
    this.names = names;
  }

  /** The differences, materials told by their ids; empty when there is none. */
  public static List<Difference> between(Formula earlier, Formula later) {
    return between(earlier, later, UnaryOperator.identity());
  }

  /**
   * The differences from an earlier to a later state; empty when there is none.
   *
   * @param names gives a material's name for its id
   */
  public static List<Difference> between(
      Formula earlier, Formula later, UnaryOperator<String> names) {
    return new Differences(names).of(earlier, later);
  }

  private List<Difference> of(Formula earlier, Formula later) {
    List<Difference> all = new ArrayList<>();
    if (!earlier.name().equals(later.name())) {
      all.add(new Difference("name", "named '" + later.name() + "'"));
    }
    if (earlier.method() != later.method()) {
      all.add(new Difference("method", later.method().words()));
    }
    if (!earlier.purposes().equals(later.purposes())) {
      all.add(new Difference("purposes", "other purposes"));
    }
    if (!earlier.about().equals(later.about())) {
      all.add(new Difference("about", "another description"));
    }
    ingredients(earlier, later, all);
    steps(earlier.steps(), later.steps(), "steps", all);
    if (!earlier.branches().equals(later.branches())) {
      all.add(new Difference("branches", "divided otherwise"));
    }
    return all;
  }

  private void ingredients(Formula earlier, Formula later, List<Difference> all) {
    for (int i = 0; i < later.ingredients().size(); i++) {
      Ingredient now = later.ingredients().get(i);
      String place = "ingredients[" + i + "]";
      Optional<Ingredient> before = earlier.ingredient(now.key());
      if (before.isEmpty()) {
        all.add(
            new Difference(
                place, "with " + names.apply(now.material()) + ", " + words(now.proportion())));
      } else if (!before.get().material().equals(now.material())) {
        all.add(
            new Difference(
                place,
                names.apply(now.material())
                    + " instead of "
                    + names.apply(before.get().material())));
      } else if (!before.get().proportion().equals(now.proportion())) {
        all.add(
            new Difference(
                place,
                names.apply(now.material())
                    + ": "
                    + words(now.proportion())
                    + " instead of "
                    + words(before.get().proportion())));
      }
    }
    for (int i = 0; i < earlier.ingredients().size(); i++) {
      Ingredient before = earlier.ingredients().get(i);
      if (later.ingredient(before.key()).isEmpty()) {
        all.add(
            new Difference("ingredients[" + i + "]", "without " + names.apply(before.material())));
      }
    }
  }

  private static String words(Proportion proportion) {
    if (proportion instanceof Proportion.Parts p) {
      return Said.figures(p.grams(), 4) + " parts";
    } else if (proportion instanceof Proportion.PercentOfFinished p) {
      return Said.figures(p.percent(), 4) + " % of the finished brew";
    } else if (proportion instanceof Proportion.DropsPer100Ml p) {
      return Said.figures(p.drops(), 4) + " drops in 100 mL";
    }
    throw new AssertionError(proportion);
  }

  /** Steps by the longest run in common, so that one put in does not make all later ones differ. */
  private static void steps(List<Step> earlier, List<Step> later, String at, List<Difference> all) {
    int[][] common = new int[earlier.size() + 1][later.size() + 1];
    for (int i = earlier.size() - 1; i >= 0; i--) {
      for (int j = later.size() - 1; j >= 0; j--) {
        common[i][j] =
            earlier.get(i).equals(later.get(j))
                ? common[i + 1][j + 1] + 1
                : Math.max(common[i + 1][j], common[i][j + 1]);
      }
    }
    int i = 0;
    int j = 0;
    while (i < earlier.size() || j < later.size()) {
      if (i < earlier.size() && j < later.size() && earlier.get(i).equals(later.get(j))) {
        i++;
        j++;
      } else if (i < earlier.size()
          && j < later.size()
          && earlier.get(i).kind().key().equals(later.get(j).kind().key())
          && common[i + 1][j + 1] == common[i][j]) {
        all.add(new Difference(at + "[" + j + "]", changed(earlier.get(i), later.get(j))));
        i++;
        j++;
      } else if (j < later.size()
          && (i == earlier.size() || common[i][j + 1] >= common[i + 1][j])) {
        all.add(
            new Difference(at + "[" + j + "]", "with the step '" + later.get(j).headline() + "'"));
        j++;
      } else {
        all.add(
            new Difference(
                at + "[" + i + "]", "without the step '" + earlier.get(i).headline() + "'"));
        i++;
      }
    }
  }

  private static String changed(Step before, Step now) {
    String headline = now.headline();
    Optional<Window> was = before.window();
    Optional<Window> is = now.window();
    if (was.isPresent() && is.isPresent() && was.get().usual() != is.get().usual()) {
      return Said.of(
          "%s: %s instead of %s min",
          headline, Said.figures(is.get().usual(), 4), Said.figures(was.get().usual(), 4));
    }
    String old = before.headline();
    return old.equals(headline) ? headline + ": done otherwise" : headline + " instead of " + old;
  }
}
