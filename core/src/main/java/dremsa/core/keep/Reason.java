package dremsa.core.keep;

import java.time.Instant;

/** One reason of a discard date; data first, with a sentence for the maker. */
public sealed interface Reason {
  /** One sentence. */
  String words();

  /** The published work behind it; empty where there is none. */
  default String source() {
    return "";
  }

  /** What the brew counts as. */
  record OfClass(KeepingClass keepingClass, String why) implements Reason {
    @Override
    public String words() {
      return "It counts as " + keepingClass.words() + ": " + why + ".";
    }
  }

  /**
   * What the school gives it.
   *
   * @param budgetHours life at 5 °C; infinite when only the cap counts
   * @param capHours after straining
   */
  record OfSchool(School school, double budgetHours, double capHours, boolean foodCode)
      implements Reason {
    @Override
    public String words() {
      String cap = "never later than " + Hours.words(capHours) + " after straining";
      if (Double.isInfinite(budgetHours)) {
        return "The %s school keeps it %s.".formatted(school.words(), cap);
      }
      return budgetHours == 0
          ? "The %s school keeps none of it: use it now.".formatted(school.words())
          : "The %s school gives it %s at 5 °C, %s."
              .formatted(school.words(), Hours.words(budgetHours), cap);
    }

    @Override
    public String source() {
      return foodCode
          ? "FDA Food Code 3-501.17 (7 days at 5 °C); USP <795> (14 days refrigerated)"
          : "";
    }
  }

  /**
   * What a time above the fridge's temperature cost.
   *
   * @param cause a step's headline or an event
   * @param hours it lasted, as far as it cost anything
   * @param spent hours of life at 5 °C
   */
  record Warmth(String cause, double hours, double spent) implements Reason {
    @Override
    public String words() {
      return "%s: %s took %s off its life."
          .formatted(cause, Hours.words(hours), Hours.words(spent));
    }

    @Override
    public String source() {
      return "Square-root spoilage model, Ratkowsky et al. 1982; FAO Fisheries Technical Paper 348";
    }
  }

  /** Which clock binds. */
  record Binds(Verdict.Clock clock, Instant until) implements Reason {
    @Override
    public String words() {
      return switch (clock) {
        case BUDGET -> "Its life runs out first; the last day is the last whole day before that.";
        case CAP -> "The cap comes first; the last day is the last whole day before it.";
        case ROOM ->
            "It stands at room temperature, which allows less than the fridge; the last day is the"
                + " last whole day before that ends.";
        case PART -> "A brew in it would have ended then: a mixture never outlives its parts.";
        case THAWED -> "Thawed, it keeps at most 48 hours at 5 °C and is never frozen again.";
        case OPENED -> "Opened and touched, an unpreserved gel keeps at most 5 days at 5 °C.";
      };
    }

    @Override
    public String source() {
      return "FDA Food Code 3-501.17: the day of preparation is day 1";
    }
  }

  /** The date lies beyond the published figure. */
  record Marked(double publishedHours) implements Reason {
    @Override
    public String words() {
      return ("Marked: beyond the published %s. Only with clean working: sterilised bottle,"
              + " strained fine, fridge at 5 °C.")
          .formatted(Hours.words(publishedHours));
    }

    @Override
    public String source() {
      return "USP <795> beyond-use dates";
    }
  }

  /** No whole day is left. */
  record UseNow(double hoursLeft) implements Reason {
    @Override
    public String words() {
      return hoursLeft <= 0
          ? "Nothing of it keeps: throw away what is left."
          : "Less than a whole day is left: use it now, keep nothing.";
    }
  }

  /** What would make it keep longer. */
  record Help(String advice) implements Reason {
    @Override
    public String words() {
      return advice;
    }
  }

  /**
   * It took over the age of a brew that went into it.
   *
   * @param name of that brew
   * @param spentShare of its life, 0 to 1
   * @param keptAs the class that it counts as now
   */
  record OfPart(String name, double spentShare, KeepingClass keptAs) implements Reason {
    @Override
    public String words() {
      return spentShare > 0
          ? "%s went into it with %.0f %% of its life spent: that share counts for all of it."
              .formatted(name, spentShare * 100)
          : "%s went into it: it keeps no longer than that.".formatted(name);
    }
  }
}
