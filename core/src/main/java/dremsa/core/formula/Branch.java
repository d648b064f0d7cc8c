package dremsa.core.formula;

import java.util.List;
import java.util.Objects;

/**
 * One way that a share of a divided batch goes.
 *
 * @param name what this share becomes, e.g. {@code "for the scalp"}
 * @param share of the batch as it stands after the common steps, above 0 and at most 1
 * @param steps what is done to this share alone, 1 or more
 */
public record Branch(String name, double share, List<Step> steps) {
  public Branch {
    Objects.requireNonNull(name, "name");
    if (!(share > 0 && share <= 1)) {
      throw new IllegalArgumentException("a share is above 0 and at most 1, not " + share);
    }
    steps = List.copyOf(steps);
    if (steps.isEmpty()) {
      throw new IllegalArgumentException("a share needs a step of its own");
    }
  }
}
