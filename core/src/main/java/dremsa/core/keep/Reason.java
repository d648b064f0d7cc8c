package dremsa.core.keep;

import dremsa.core.acid.Sourness;
import dremsa.core.measure.Said;
import java.time.Instant;

/** One reason of a discard date; data first, with a sentence for the maker. */
public sealed interface Reason {
  /** One sentence. */
  String words();

  /** Which reason it is, for data; stable for ever: {@code "OfClass"}. */
  String code();

  /** The published work behind it; empty where there is none. */
  default String source() {
    return "";
  }

  /** What the brew counts as. */
  record OfClass(KeepingClass keepingClass, String why) implements Reason {
    @Override
    public String code() {
      return "OfClass";
    }

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
    public String code() {
      return "OfSchool";
    }

    @Override
    public String words() {
      String cap = "never later than " + Hours.words(capHours) + " after straining";
      if (Double.isInfinite(budgetHours)) {
        return Said.of("The %s school keeps it %s.", school.words(), cap);
      }
      return budgetHours == 0
          ? Said.of("The %s school keeps none of it: use it now.", school.words())
          : Said.of(
              "The %s school gives it %s at 5 °C, %s.",
              school.words(), Hours.words(budgetHours), cap);
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
    public String code() {
      return "Warmth";
    }

    @Override
    public String words() {
      return Said.of("%s: %s took %s off its life.", cause, Hours.words(hours), Hours.words(spent));
    }

    @Override
    public String source() {
      return "Square-root spoilage model, Ratkowsky et al. 1982; FAO Fisheries Technical Paper 348";
    }
  }

  /** Which clock binds. */
  record Binds(Verdict.Clock clock, Instant until) implements Reason {
    @Override
    public String code() {
      return "Binds";
    }

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
    public String code() {
      return "Marked";
    }

    @Override
    public String words() {
      return Said.of(
          "Marked: beyond the published %s. Only with clean working: sterilised bottle,"
              + " strained fine, fridge at 5 °C.",
          Hours.words(publishedHours));
    }

    @Override
    public String source() {
      return "USP <795> beyond-use dates";
    }
  }

  /** No whole day is left. */
  record UseNow(double hoursLeft) implements Reason {
    @Override
    public String code() {
      return "UseNow";
    }

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
    public String code() {
      return "Help";
    }

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
    public String code() {
      return "OfPart";
    }

    @Override
    public String words() {
      return spentShare > 0
          ? Said.of(
              "%s went into it with %.0f %% of its life spent: that share counts for all of it.",
              name, spentShare * 100)
          : Said.of("%s went into it: it keeps no longer than that.", name);
    }
  }

  /**
   * It cools more slowly after straining than the yardstick has it.
   *
   * @param hot whether it was still hot when strained
   * @param toRoomHours from 57 °C, or from straining, to room temperature; 0 when it was there
   * @param toColdHours to the fridge's temperature, in all
   * @param warmRoom whether the room is warmer than 21 °C
   */
  record SlowCooling(boolean hot, double toRoomHours, double toColdHours, boolean warmRoom)
      implements Reason {
    @Override
    public String code() {
      return "SlowCooling";
    }

    @Override
    public String words() {
      String room = warmRoom ? "room temperature" : "21 °C";
      return hot
          ? Said.of(
              "After straining it takes %s to %s and %s to the fridge's; 2 h and 6 h are the"
                  + " yardstick. A shallow dish, an ice bath or smaller jars cool it faster.",
              Hours.words(toRoomHours), room, Hours.words(toColdHours))
          : Said.of(
              "From room temperature it takes %s to the fridge's; 4 h are the yardstick. Smaller"
                  + " bottles or an ice bath cool it faster.",
              Hours.words(toColdHours));
    }

    @Override
    public String source() {
      return "FDA Food Code 3-501.14";
    }
  }

  /** It stands at room temperature, sealed or not. */
  record SealedJar(Sourness.Ph ph) implements Reason {
    @Override
    public String code() {
      return "SealedJar";
    }

    @Override
    public String words() {
      return !ph.surelyAtMost(Sourness.Ph.ACID_FOOD)
          ? "Above pH 4.6 a sealed jar at room temperature is no way to keep it."
          : "A sealed jar does not keep it: only cold, spirit or a working preservative do.";
    }

    @Override
    public String source() {
      return "21 CFR 114.3";
    }
  }

  /**
   * It stood to ferment, and may not have: every hour is billed as of a soak.
   *
   * @param ph estimated, or read
   */
  record NotSurelySour(Sourness.Ph ph) implements Reason {
    @Override
    public String code() {
      return "NotSurelySour";
    }

    @Override
    public String words() {
      if (ph.read()) {
        return Said.of(
            "Its pH was read as %s, above 4.6: it has not fermented, so the time it stood"
                + " counts in full.",
            Said.of("%.1f", ph.value()));
      }
      return "Nobody can be sure that it has fermented: starch is needed, and pH 4.6 or less."
          + " Measure the pH when you strain it; until then the time it stood counts in full.";
    }

    @Override
    public String source() {
      return "21 CFR 114.3: the line of acid food is pH 4.6";
    }
  }

  /**
   * Plant powder was left in it.
   *
   * @param share of its mass
   */
  record PlantLeftIn(double share) implements Reason {
    @Override
    public String code() {
      return "PlantLeftIn";
    }

    @Override
    public String words() {
      return Said.of(
          "%.1f %% of it is plant left in: the more, the shorter it keeps; at 5 %% it is a paste.",
          share * 100);
    }
  }

  /** The longer cap of the practice school waits for a confirmation. */
  record NotConfirmed(double publishedHours, double practiceHours) implements Reason {
    @Override
    public String code() {
      return "NotConfirmed";
    }

    @Override
    public String words() {
      return Said.of(
          "The practice school would go to %s. Until clean working is confirmed (sterilised"
              + " bottle, strained fine, fridge at 5 °C) it is held at the published %s.",
          Hours.words(practiceHours), Hours.words(publishedHours));
    }

    @Override
    public String source() {
      return "USP <795> beyond-use dates";
    }
  }

  /** The date was printed, or told in a list, earlier than it would be reckoned now, and stays. */
  record Printed(java.time.LocalDate printed) implements Reason {
    @Override
    public String code() {
      return "Printed";
    }

    @Override
    public String words() {
      return Said.of("%s was printed or told before: such a date never moves later.", printed);
    }
  }
}
