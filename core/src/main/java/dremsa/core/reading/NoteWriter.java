package dremsa.core.reading;

import dremsa.core.formula.Branch;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.Window;
import dremsa.core.measure.Said;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Writes a formula as a note in plain words, to copy or to share. {@link NoteReader} reads the same
 * formula back; only its id is not written.
 */
public final class NoteWriter {
  static final String METHOD = "Method: ";
  static final String PURPOSES = "For: ";
  static final String ABOUT = "About: ";
  static final String TAKE = "Take";
  static final String DO = "Do";
  static final String HOW = "   How: ";
  static final String UNTIL = "   Until: ";
  static final String EARLY = "   Too early: ";
  static final String LATE = "   Too late: ";

  private final Naming naming;
  private final StringBuilder note = new StringBuilder();
  private final Formula formula;

  private NoteWriter(Formula formula, Naming naming) {
    this.formula = formula;
    this.naming = naming;
  }

  /** The formula as a note, lines ended by a line feed. */
  static String write(Formula formula, Naming naming) {
    return new NoteWriter(formula, naming).whole();
  }

  private String whole() {
    line(formula.name());
    line(METHOD + formula.method().words());
    if (!formula.purposes().isEmpty()) {
      line(
          PURPOSES
              + formula.purposes().stream()
                  .sorted()
                  .map(Purpose::words)
                  .collect(Collectors.joining(", ")));
    }
    if (!formula.about().isEmpty()) {
      line(ABOUT + oneLine(formula.about()));
    }
    line("");
    line(TAKE);
    formula
        .ingredients()
        .forEach(ingredient -> line("- " + amount(ingredient) + " " + name(ingredient.key())));
    line("");
    line(DO);
    steps(formula.steps());
    for (Branch branch : formula.branches()) {
      line("");
      line("Then " + Said.exactly(branch.share() * 100) + " % " + oneLine(branch.name()));
      steps(branch.steps());
    }
    return note.toString();
  }

  private void steps(List<Step> steps) {
    for (int i = 0; i < steps.size(); i++) {
      Step step = steps.get(i);
      line((i + 1) + ". " + step.accept(new Sentence()) + ".");
      Guide guide = step.guide();
      told(HOW, guide.how());
      told(UNTIL, guide.cue());
      told(EARLY, guide.early());
      told(LATE, guide.late());
    }
  }

  private void told(String label, String words) {
    if (!words.isEmpty()) {
      line(label + oneLine(words));
    }
  }

  private static String oneLine(String words) {
    return words.replaceAll("\\s+", " ").strip();
  }

  private void line(String words) {
    note.append(words).append('\n');
  }

  private String name(String key) {
    Ingredient ingredient = formula.ingredient(key).orElseThrow();
    String name = naming.name(ingredient.material());
    return ingredient.key().equals(ingredient.material()) ? name : name + " [" + key + "]";
  }

  private String names(List<String> keys) {
    return keys.isEmpty()
        ? ""
        : ": " + keys.stream().map(this::name).collect(Collectors.joining("; "));
  }

  /** {@code "32 g"}, {@code "0.8 %"}, {@code "10 drops to 100 mL"}, to the last figure. */
  static String amount(Ingredient ingredient) {
    Proportion proportion = ingredient.proportion();
    if (proportion instanceof Proportion.Parts parts) {
      return Said.exactly(parts.grams()) + " g";
    } else if (proportion instanceof Proportion.PercentOfFinished share) {
      return Said.exactly(share.percent()) + " %";
    }
    return Said.exactly(((Proportion.DropsPer100Ml) proportion).drops()) + " drops to 100 mL";
  }

  private static String time(Window window) {
    return ", "
        + time(window.usual())
        + " ("
        + time(window.shortest())
        + " to "
        + time(window.longest())
        + ")";
  }

  private static String time(double minutes) {
    if (minutes > 0 && minutes % 1440 == 0) {
      return Said.exactly(minutes / 1440) + " d";
    }
    return minutes > 0 && minutes % 60 == 0
        ? Said.exactly(minutes / 60) + " h"
        : Said.exactly(minutes) + " min";
  }

  private static String lid(boolean lid) {
    return lid ? ", lid on" : ", lid off";
  }

  private static String stir(boolean stir) {
    return stir ? ", stirring" : "";
  }

  /** A step as one sentence, everything in it that its guide does not say. */
  private final class Sentence implements StepCases<String> {
    @Override
    public String wash(Step.Wash step) {
      return step.headline() + names(step.ingredients());
    }

    @Override
    public String prepare(Step.Prepare step) {
      return step.headline() + time(step.time()) + names(step.ingredients());
    }

    @Override
    public String combine(Step.Combine step) {
      String how =
          step.pouredHot() ? "Pour just-boiled water over in the " : "Put together cold in the ";
      return how + step.vessel().words() + names(step.ingredients());
    }

    @Override
    public String heat(Step.Heat step) {
      return "Bring to the boil" + lid(step.lid()) + stir(step.stir());
    }

    @Override
    public String boil(Step.Boil step) {
      return step.level().headline() + lid(step.lid()) + stir(step.stir()) + time(step.time());
    }

    @Override
    public String waterBath(Step.WaterBath step) {
      return step.headline() + time(step.time());
    }

    @Override
    public String steep(Step.Steep step) {
      return step.headline() + time(step.time());
    }

    @Override
    public String soak(Step.Soak step) {
      return "Soak " + Step.Soak.places().get(step.place()) + time(step.time());
    }

    @Override
    public String ferment(Step.Ferment step) {
      return step.headline() + time(step.time());
    }

    @Override
    public String macerate(Step.Macerate step) {
      return step.headline() + ", shaken every " + step.shakeEveryDays() + " d" + time(step.time());
    }

    @Override
    public String cool(Step.Cool step) {
      return "Cool to "
          + Said.exactly(step.toC())
          + " °C "
          + step.way().words()
          + (step.cover() ? ", covered" : ", open");
    }

    @Override
    public String strain(Step.Strain step) {
      return step.headline();
    }

    @Override
    public String blend(Step.Blend step) {
      return step.headline() + time(step.time());
    }

    @Override
    public String add(Step.Add step) {
      return "Stir in below " + Said.exactly(step.belowC()) + " °C" + names(step.ingredients());
    }

    @Override
    public String bottle(Step.Bottle step) {
      return step.headline();
    }

    @Override
    public String freeze(Step.Freeze step) {
      return "Freeze in portions of " + Said.exactly(step.portionMl()) + " mL";
    }

    @Override
    public String divide(Step.Divide step) {
      return "Take " + Said.exactly(step.share() * 100) + " % for " + step.into();
    }
  }
}
