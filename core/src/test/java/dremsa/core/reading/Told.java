package dremsa.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepCases;
import dremsa.core.material.Materials;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.Said;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.params.provider.Arguments;

/** What a note was read as, in one line for each part of it, so that a table can hold it. */
final class Told {
  private Told() {}

  /** A reader in the American measures with the built-in formulas as brews. */
  static NoteReader reader() {
    Map<String, String> brews = new LinkedHashMap<>();
    BuiltInFormulas.all().forEach(formula -> brews.put(formula.id(), formula.name()));
    return NoteReader.of(Materials.standard(), brews, MeasureSystem.US, CountMeasures.usual());
  }

  /**
   * A note and what it must give.
   *
   * @param formula its method and amounts, and on a second line its steps
   * @param guesses what is left to be settled by a tap, in the order of the text
   */
  static Arguments note(String note, String formula, String guesses) {
    return Arguments.of(note.strip(), formula.strip(), guesses);
  }

  /** Reads a note and holds it against what it must give. */
  static void check(String note, String formula, String guesses) {
    Reading reading = READER.read(note, Answers.NONE);
    assertThat(ingredients(reading) + "\n" + steps(reading)).as(note).isEqualTo(formula);
    assertThat(String.join("; ", guesses(reading, note)).replace('\n', ' '))
        .as(note)
        .isEqualTo(guesses);
  }

  private static final NoteReader READER = reader();

  /** The method and what goes in: {@code "SEED_GEL: linseed 41.4 g, water 590 g"}. */
  static String ingredients(Reading reading) {
    return reading.method()
        + ": "
        + reading.formula().map(Formula::ingredients).orElse(List.of()).stream()
            .map(i -> i.key() + " " + amount(i.proportion()))
            .collect(Collectors.joining(", "));
  }

  private static String amount(Proportion proportion) {
    if (proportion instanceof Proportion.Parts parts) {
      return Said.figures(parts.grams(), 3) + " g";
    } else if (proportion instanceof Proportion.PercentOfFinished share) {
      return Said.figures(share.percent(), 3) + " %";
    }
    return Said.figures(((Proportion.DropsPer100Ml) proportion).drops(), 3) + " drops";
  }

  /** The steps; with a plus before it what the method fills in. */
  static String steps(Reading reading) {
    List<String> all = new ArrayList<>();
    List<Step> steps = reading.formula().map(Formula::steps).orElse(List.of());
    for (int i = 0; i < steps.size(); i++) {
      Step step = steps.get(i);
      all.add((reading.steps().get(i).filledIn() ? "+" : "") + step.accept(new Words()));
    }
    return String.join(", ", all);
  }

  /** What one tap would settle: the words, and what they were taken for. */
  static List<String> guesses(Reading reading, String text) {
    return reading.doubtful().stream()
        .map(
            s ->
                text.substring(s.from(), s.to())
                    + " = "
                    + s.options().stream().findFirst().map(Stretch.Option::value).orElse("?"))
        .toList();
  }

  private static String minutes(Step step) {
    return step.window().map(w -> " " + Said.figures(w.usual(), 4)).orElse("");
  }

  private static final class Words implements StepCases.Some<String> {
    @Override
    public String combine(Step.Combine step) {
      return (step.pouredHot() ? "pour " : "put ")
          + step.vessel().words()
          + " ("
          + String.join(" ", step.ingredients())
          + ")";
    }

    @Override
    public String boil(Step.Boil step) {
      return step.level().words().replaceAll(".* ", "")
          + (step.stir() ? " stirring" : step.lid() ? " covered" : " open")
          + minutes(step);
    }

    @Override
    public String heat(Step.Heat step) {
      return step.stir() ? "heat stirring" : "heat";
    }

    @Override
    public String strain(Step.Strain step) {
      return "strain " + step.tool() + (step.squeeze() ? " squeezed" : "");
    }

    @Override
    public String soak(Step.Soak step) {
      return "soak " + step.place() + minutes(step);
    }

    @Override
    public String cool(Step.Cool step) {
      return "cool " + Said.exactly(step.toC());
    }

    @Override
    public String prepare(Step.Prepare step) {
      return step.treatment().words() + " (" + String.join(" ", step.ingredients()) + ")";
    }

    @Override
    public String add(Step.Add step) {
      return "add (" + String.join(" ", step.ingredients()) + ")";
    }

    @Override
    public String bottle(Step.Bottle step) {
      return "bottle " + step.container();
    }

    @Override
    public String macerate(Step.Macerate step) {
      return "macerate" + minutes(step) + " shaken " + step.shakeEveryDays();
    }

    @Override
    public String otherwise(Step step) {
      return step.kind().key() + minutes(step);
    }
  }
}
