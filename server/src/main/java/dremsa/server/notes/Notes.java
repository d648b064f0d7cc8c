package dremsa.server.notes;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.check.Wearer;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.core.people.Enough;
import dremsa.core.reading.Answers;
import dremsa.core.reading.Beside;
import dremsa.core.reading.NoteReader;
import dremsa.core.reading.Reading;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;
import dremsa.server.accounts.Household;
import dremsa.server.containers.Containers;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.predictions.Planner;
import dremsa.server.predictions.Predictions;
import dremsa.server.wire.MaterialJson;
import dremsa.server.wire.PredictionJson;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads notes with what a household has and calls its things, and keeps what is brewed of them. */
@Service
public class Notes {
  private final Formulas formulas;
  private final HouseholdMaterials materials;
  private final Kitchens kitchens;
  private final Containers containers;
  private final Planner planner;
  private final Predictions predictions;
  private final OwnWords words;

  Notes(
      Formulas formulas,
      HouseholdMaterials materials,
      Kitchens kitchens,
      Containers containers,
      Planner planner,
      Predictions predictions,
      OwnWords words) {
    this.formulas = formulas;
    this.materials = materials;
    this.kitchens = kitchens;
    this.containers = containers;
    this.planner = planner;
    this.predictions = predictions;
    this.words = words;
  }

  /** A reader with the household's materials, formulas and measures. */
  public NoteReader reader(Household household) {
    return reader(household, materials.of(household.id()), kitchens.of(household.id()));
  }

  private NoteReader reader(Household household, Materials all, Kitchen kitchen) {
    return NoteReader.of(
        all,
        formulas.all(household.id()).stream()
            .collect(Collectors.toMap(Formula::id, Formula::name, (one, other) -> one)),
        household.measureSystem(),
        kitchen.counts());
  }

  /**
   * A note as it is read.
   *
   * @param asWritten how it goes with the amounts that are written; empty where nothing can be said
   * @param tint of the brew, six hexadecimal digits
   * @param beside what the writer says of its keeping, beside the date here
   */
  record Read(
      Reading reading, Optional<PredictionJson> asWritten, String tint, List<String> beside) {}

  /** Reads a note, and sees how it goes as it is written. Keeps nothing. */
  Read read(Household household, String text, Map<String, String> settled, Instant now) {
    Kitchen kitchen = kitchens.of(household.id());
    Materials all = materials.of(household.id());
    Reading reading = reading(reader(household, all, kitchen), household.id(), text, settled);
    Materials with = all;
    for (Material made : reading.made()) {
      with = with.overlaid(made);
    }
    Materials known = with;
    Optional<Predictions.Batched> batch =
        reading.formula().flatMap(f -> batch(household, f, kitchen, known));
    Predictions.Asked asked = asked(household, kitchen, now);
    return new Read(
        reading,
        batch.map(b -> predictions.describe(b, asked)),
        batch.map(b -> b.brew().tint()).orElse(""),
        batch
            .map(b -> beside(reading, b, predictions.verdict(b, asked), household))
            .orElse(List.of()));
  }

  private static List<String> beside(
      Reading reading, Predictions.Batched batch, Verdict verdict, Household household) {
    LocalDate made = LocalDate.ofInstant(verdict.strained(), household.zone());
    List<String> all = new ArrayList<>();
    reading.claims().forEach(claim -> all.add(Beside.words(claim, verdict, made)));
    reading
        .formula()
        .flatMap(formula -> Enough.words(formula, batch.prediction().finished().millilitres()))
        .ifPresent(all::add);
    return List.copyOf(all);
  }

  private Reading reading(
      NoteReader reader, UUID household, String text, Map<String, String> settled) {
    try {
      return reader.read(text, new Answers(settled, words.remembered(household)));
    } catch (IllegalArgumentException e) {
      throw Problem.invalid(
          FieldProblem.range("text", null, Problem.why(e), 0, NoteReader.LONGEST));
    }
  }

  /** The batch that the amounts as written make; empty where no kitchen would brew it. */
  private Optional<Predictions.Batched> batch(
      Household household, Formula formula, Kitchen kitchen, Materials all) {
    Ingredient largest =
        formula.ingredients().stream()
            .filter(i -> i.proportion() instanceof Proportion.Parts)
            .max(Comparator.comparingDouble(i -> ((Proportion.Parts) i.proportion()).grams()))
            .orElseThrow();
    double grams = ((Proportion.Parts) largest.proportion()).grams();
    if (grams < LEAST_G || grams > MOST_G) {
      return Optional.empty();
    }
    Brew brew = planner.resolve(household.id(), formula, kitchen, all);
    Solution solution = Scaling.solve(brew, new Target.AtHand(largest.key(), grams), Facts.NONE);
    return solution instanceof Solution.Reached reached
        ? Optional.of(
            new Predictions.Batched(
                reached.brew(),
                reached.scale(),
                reached.vessels(),
                reached.prediction(),
                Facts.NONE))
        : Optional.empty();
  }

  private Predictions.Asked asked(Household household, Kitchen kitchen, Instant now) {
    return new Predictions.Asked(
        now,
        household.zone(),
        household.school(),
        false,
        kitchens.climates(household.id()),
        Map.of(),
        Wearer.ADULT,
        household.measureSystem(),
        null,
        null,
        new Predictions.Fill(new Target.FullPot(), containers.of(household.id()), now),
        false);
  }

  /** Nothing so small or so large is brewed in a kitchen, g. */
  private static final double LEAST_G = 0.1;

  private static final double MOST_G = 20_000;

  /**
   * Keeps the formula of a note, with the materials that are new in it, and remembers what was
   * settled.
   *
   * @return its id
   */
  @Transactional
  String keep(
      Household household, String text, Map<String, String> settled, String name, Instant now) {
    Reading reading = reading(reader(household), household.id(), text, settled);
    if (!reading.doubtful().isEmpty()) {
      throw Problem.invalid(
          FieldProblem.of(
              "answers",
              null,
              "There are still guesses in it: "
                  + reading.doubtful().size()
                  + " to be settled first."));
    }
    Formula formula =
        reading
            .formula()
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of("text", null, "No formula could be read in it.")));
    for (Material made : reading.made()) {
      materials.put(household.id(), MaterialJson.of(made, true));
    }
    words.settled(household.id(), settled, now);
    Formula named = name.isBlank() ? formula : formula.named(name.strip());
    return formulas.add(household.id(), List.of(named), null, now).get(0);
  }

  /** What an answer stands for, in words. */
  String means(UUID household, String answer) {
    if (NoteReader.isNew(answer)) {
      return NoteReader.newWords(answer);
    }
    return materials.of(household).find(answer).map(Material::name).orElse(answer);
  }

  /** A formula as a note. */
  String write(Household household, String formula) {
    return reader(household).write(formulas.get(household.id(), formula));
  }
}
