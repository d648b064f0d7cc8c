package dremsa.core.people;

import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * What stands against using something on a head, or is to be minded with it. It blocks nothing.
 *
 * @param kind which limit
 * @param weight how grave
 * @param what is the matter, with its numbers
 * @param why it matters
 * @param instead what to do, or use, instead; may be empty
 * @param fineFrom the first day on which it is fine again; empty where waiting does not help, or
 *     nothing need be waited for
 * @param source where it comes from
 * @param own it is the household's own figure
 */
public record Limit(
    Kind kind,
    Weight weight,
    String what,
    String why,
    String instead,
    Optional<LocalDate> fineFrom,
    String source,
    boolean own) {
  static final String PRACTICE = "common practice";
  static final String ESTIMATE = "our estimate";

  /** What is limited. */
  public enum Kind {
    UNSUITED("does not suit"),
    REACTED("reacted before"),
    AGE("not at this age"),
    CONDITION("with care"),
    ESSENTIAL_OILS("essential oils"),
    PROTEIN("protein"),
    SPIRIT("spirit"),
    ACID("too sour"),
    FERMENT("ferment"),
    NEW_INGREDIENT("not tested yet"),
    NOT_KNOWN("not known"),
    STAINS("stains"),
    IRRITANT("irritant");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** How grave. */
  public enum Weight {
    /** Never proposed. */
    KEEP_OFF("Not for this head"),
    /** A limit is reached: something else is proposed first. */
    OVER("Too much now"),
    /** May be used, with care. */
    MIND("Mind");

    private final String words;

    Weight(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public Limit {
    Objects.requireNonNull(kind, "kind");
    Objects.requireNonNull(weight, "weight");
    Objects.requireNonNull(fineFrom, "fineFrom");
  }

  static Limit of(
      Kind kind, Weight weight, String what, String why, String instead, String source) {
    return new Limit(kind, weight, what, why, instead, Optional.empty(), source, false);
  }
}
