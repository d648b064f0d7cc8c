package dremsa.core.formula;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The formulas that Dremsa comes with; our own, at least one of each method. */
public final class BuiltInFormulas {
  private static final List<Formula> ALL =
      Stream.of(WaterBrews.all(), Gels.all(), OtherBrews.all()).flatMap(List::stream).toList();

  private BuiltInFormulas() {}

  /** All of them. */
  public static List<Formula> all() {
    return ALL;
  }

  public static Optional<Formula> find(String id) {
    return ALL.stream().filter(formula -> formula.id().equals(id)).findFirst();
  }
}
