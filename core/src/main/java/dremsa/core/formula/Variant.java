package dremsa.core.formula;

import java.util.List;
import java.util.Objects;

/**
 * A formula changed for a need, kept as what differs from it and not as a copy.
 *
 * @param id stable within its formula
 * @param name as said after the formula's own name, e.g. {@code "half strength"}
 * @param why when makers choose it; may be empty
 * @param changes in the order in which they are made, 1 to {@value #MOST_CHANGES}
 */
public record Variant(String id, String name, String why, List<Change> changes) {
  public static final int MOST_CHANGES = 40;

  public Variant {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(why, "why");
    changes = List.copyOf(changes);
    if (changes.isEmpty() || changes.size() > MOST_CHANGES) {
      throw new InvalidFormulaException(
          "changes", "there must be 1 to " + MOST_CHANGES + ", not " + changes.size());
    }
  }

  /**
   * The changed formula. It keeps the id of its formula: what is brewed from it belongs there.
   *
   * @throws InvalidFormulaException at {@code changes[i]} when one no longer fits the formula
   */
  public Formula of(Formula base) {
    Formula changed = base;
    for (int i = 0; i < changes.size(); i++) {
      try {
        changed = changes.get(i).apply(changed);
      } catch (IllegalArgumentException e) {
        throw new InvalidFormulaException("changes[" + i + "]", String.valueOf(e.getMessage()));
      }
    }
    return changed.named(base.name() + ", " + name);
  }
}
