package dremsa.core.reading;

import dremsa.core.measure.AmountReader.Spotted;
import java.util.List;
import java.util.Set;

/**
 * A stretch of a note with what it may be; what stands around it decides.
 *
 * <p>Every item knows the tokens that it covers, {@code to} exclusive.
 */
sealed interface Item {
  int from();

  int to();

  /** An amount, or a number alone. */
  record Quantity(int from, int to, Spotted spotted) implements Item {}

  /** A length of time, minutes. */
  record Span(int from, int to, double low, double high, boolean vague) implements Item {
    double usual() {
      return (low + high) / 2;
    }
  }

  /** A temperature, °C. */
  record Warmth(int from, int to, double celsius) implements Item {}

  /** A share of the finished brew, or the strength of a spirit. */
  record Percent(int from, int to, double value) implements Item {}

  /** So many drops to each 100 mL. */
  record DropsEach(int from, int to, double drops) implements Item {}

  /** {@code 1:10}. */
  record Ratio(int from, int to, double first, double second) implements Item {}

  /**
   * Something that goes in, as it is called.
   *
   * @param ids of what the name can mean; empty for a name that is not known
   * @param said the words of the name itself, singular
   * @param states fresh, dried, powder, chopped, crushed, hot, cold, plain
   * @param form oil, juice, gel, water, essential, infused, butter; empty for none
   * @param part of the plant; empty when it is not said
   */
  record Substance(
      int from, int to, List<String> ids, String said, Set<String> states, String form, String part)
      implements Item {
    boolean is(String state) {
      return states.contains(state);
    }
  }

  /** A word of the list that is not a substance: its role and what it means there. */
  record Word(int from, int to, String role, String means) implements Item {
    boolean is(String otherRole) {
      return role.equals(otherRole);
    }
  }

  /** A verb. */
  record Verb(int from, int to, Act act) implements Item {}

  /**
   * The end of a sentence or a line ({@code strong}), or a comma, an {@code and}, a {@code then}.
   */
  record Break(int from, int to, boolean strong, boolean then, boolean and) implements Item {
    Break(int from, int to, boolean strong) {
      this(from, to, strong, false, false);
    }
  }

  /** A word that is in no list. */
  record Unknown(int from, int to) implements Item {}
}
