package dremsa.server.practice;

import dremsa.core.formula.Formula;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.material.UnknownMaterialException;
import dremsa.core.practice.Act;
import dremsa.core.practice.Debrief;
import dremsa.core.practice.Exercise;
import dremsa.core.practice.Exercises;
import dremsa.core.practice.PracticeRun;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.people.People;
import dremsa.server.practice.PracticeJson.BestView;
import dremsa.server.practice.PracticeJson.ExerciseView;
import dremsa.server.practice.PracticeJson.KeptPractice;
import dremsa.server.practice.PracticeJson.PracticeLine;
import dremsa.server.practice.PracticeJson.PracticeView;
import dremsa.server.practice.PracticeJson.PracticesView;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Begins practices, takes what a hand does, and says how the pot stands. */
@Service
public class Practices {
  /** The oldest that are over make room for new ones. */
  static final int MOST = 300;

  private final PracticeRepository repository;
  private final Formulas formulas;
  private final Kitchens kitchens;
  private final HouseholdMaterials materials;
  private final People people;
  private final Stored stored;

  Practices(
      PracticeRepository repository,
      Formulas formulas,
      Kitchens kitchens,
      HouseholdMaterials materials,
      People people,
      Stored stored) {
    this.repository = repository;
    this.formulas = formulas;
    this.kitchens = kitchens;
    this.materials = materials;
    this.people = people;
    this.stored = stored;
  }

  /** All that can be practised, and what is or was. */
  @Transactional(readOnly = true)
  PracticesView all(UUID household) {
    List<PracticeRow> rows = repository.findByHouseholdIdOrderByBegunAtDesc(household);
    Map<UUID, String> names = people.names(household);
    return new PracticesView(
        Exercises.all().stream()
            .map(
                exercise ->
                    new ExerciseView(
                        exercise.id(),
                        exercise.title(),
                        exercise.task(),
                        exercise.aims().stream().map(PracticeViews::aim).toList(),
                        best(exercise.id(), rows, names)))
            .toList(),
        rows.stream().map(row -> line(row, names)).toList());
  }

  private PracticeLine line(PracticeRow row, Map<UUID, String> names) {
    return new PracticeLine(
        row.id(),
        row.exercise(),
        title(row),
        row.personId(),
        name(row.personId(), names),
        row.begunAt(),
        row.endedAt(),
        row.reached(),
        row.asked());
  }

  private static String name(@Nullable UUID person, Map<UUID, String> names) {
    return person == null ? "" : names.getOrDefault(person, "");
  }

  private String title(PracticeRow row) {
    return Exercises.find(row.exercise())
        .map(Exercise::title)
        .orElseGet(
            () -> {
              FormulaJson formula = kept(row).formula();
              return formula == null ? "" : formula.name();
            });
  }

  /** The best of each person; what nobody put a name to counts as one. */
  private static List<BestView> best(
      String exercise, List<PracticeRow> rows, Map<UUID, String> names) {
    Map<String, List<PracticeRow>> each = new HashMap<>();
    for (PracticeRow row : rows) {
      if (row.exercise().equals(exercise) && row.reached() != null) {
        each.computeIfAbsent(Objects.toString(row.personId(), ""), key -> new ArrayList<>())
            .add(row);
      }
    }
    return each.values().stream()
        .map(
            tries -> {
              PracticeRow top =
                  tries.stream().max(Comparator.comparingDouble(Practices::share)).orElseThrow();
              return new BestView(
                  top.personId(),
                  name(top.personId(), names),
                  Objects.requireNonNullElse(top.reached(), 0),
                  top.asked(),
                  tries.size());
            })
        .sorted(Comparator.comparing(BestView::name))
        .toList();
  }

  private static double share(PracticeRow row) {
    return (double) Objects.requireNonNullElse(row.reached(), 0) / Math.max(1, row.asked());
  }

  private KeptPractice kept(PracticeRow row) {
    return stored.read(row.content(), KeptPractice.class);
  }

  /** Begins one. */
  @Transactional
  public UUID begin(
      UUID household,
      @Nullable String id,
      @Nullable String formula,
      @Nullable UUID person,
      Instant now) {
    if (person != null) {
      people.get(household, person);
    }
    makeRoom(household);
    KeptPractice kept = new KeptPractice(null, null, List.of());
    Exercise exercise;
    if (id != null && !id.equals(Exercise.FREE)) {
      exercise =
          Exercises.find(id)
              .orElseThrow(
                  () ->
                      Problem.invalid(
                          FieldProblem.of("exercise", id, "There is no such exercise.")));
    } else {
      if (formula == null) {
        throw Problem.invalid(FieldProblem.of("formula", null, "Say what to practise."));
      }
      Formula free = formulas.get(household, formula);
      Kitchen kitchen = kitchens.of(household);
      kept = new KeptPractice(FormulaJson.of(free), KitchenJson.of(kitchen), List.of());
      exercise = free(free, kitchen, materials.of(household));
    }
    return repository
        .saveAndFlush(
            new PracticeRow(
                household, person, exercise.id(), exercise.aims().size(), now, stored.write(kept)))
        .id();
  }

  private static Exercise free(Formula formula, Kitchen kitchen, Materials all) {
    try {
      return Exercises.free(formula, kitchen, all);
    } catch (UnknownMaterialException e) {
      throw Problem.invalid(
          FieldProblem.of(
              "formula",
              formula.id(),
              "What is made with another brew cannot be practised: practise that brew first."));
    }
  }

  private void makeRoom(UUID household) {
    List<PracticeRow> rows = repository.findByHouseholdIdOrderByBegunAtDesc(household);
    if (rows.size() >= MOST) {
      repository.delete(
          rows.stream()
              .filter(row -> row.endedAt() != null)
              .reduce((newer, older) -> older)
              .orElse(rows.get(rows.size() - 1)));
    }
  }

  /** How one stands. */
  @Transactional(readOnly = true)
  PracticeView look(UUID household, UUID id, Instant now) {
    PracticeRow row = row(household, id);
    return PracticeViews.of(row, run(row, row.second(now)), now);
  }

  private PracticeRun run(PracticeRow row, double second) {
    KeptPractice kept = kept(row);
    FormulaJson formula = kept.formula();
    KitchenJson kitchen = kept.kitchen();
    if (formula == null || kitchen == null) {
      Exercise exercise =
          Exercises.find(row.exercise()).orElseThrow(() -> Problem.notFound("exercise"));
      return PracticeRun.of(exercise, Materials.standard(), kept.toCore(), second);
    }
    Materials all = materials.of(row.householdId());
    return PracticeRun.of(
        free(formula.toCore(""), kitchen.toCore(), all), all, kept.toCore(), second);
  }

  /** A hand does something. */
  @Transactional
  public void act(
      UUID household,
      UUID id,
      long version,
      Act.Kind kind,
      @Nullable String what,
      @Nullable Double value,
      Instant now) {
    PracticeRow row = open(household, id, version);
    double second = row.second(now);
    KeptPractice kept = kept(row);
    if (kept.acts().size() >= PracticeRun.MOST_ACTS) {
      throw Problem.conflict("That is more than a practice takes. Begin another one.");
    }
    if (value != null && !Double.isFinite(value)) {
      throw Problem.invalid(FieldProblem.of("value", value, "That is no number."));
    }
    Act act = new Act(second, kind, what == null ? "" : what, value == null ? 0 : value);
    run(row, second)
        .refuses(act)
        .ifPresent(
            why -> {
              throw Problem.invalid(FieldProblem.of("value", value, why));
            });
    row.says(stored.write(kept.with(act)));
    row.goesOn(second, row.pace(), now);
    PracticeRun after = run(row, second);
    if (after.isOver()) {
      Debrief debrief = Debrief.of(after);
      row.ended(now, (int) debrief.reached().stream().filter(Debrief.Reached::ok).count());
    }
    repository.saveAndFlush(row);
  }

  /** The pot's time goes faster or slower, or is held. */
  @Transactional
  public void pace(UUID household, UUID id, long version, double pace, Instant now) {
    PracticeRow row = open(household, id, version);
    row.goesOn(row.second(now), pace, now);
    repository.saveAndFlush(row);
  }

  /** So much time passes at once. */
  @Transactional
  public void pass(UUID household, UUID id, long version, double minutes, Instant now) {
    PracticeRow row = open(household, id, version);
    row.goesOn(row.second(now) + minutes * 60, row.pace(), now);
    repository.saveAndFlush(row);
  }

  /** Takes one away. */
  @Transactional
  public void remove(UUID household, UUID id) {
    repository.delete(row(household, id));
    repository.flush();
  }

  private PracticeRow row(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("practice"));
  }

  private PracticeRow open(UUID household, UUID id, long version) {
    PracticeRow row = row(household, id);
    if (row.version() != version) {
      throw Problem.conflict(
          "This was done from another tab or phone meanwhile: look at the pot again.");
    }
    if (row.endedAt() != null) {
      throw Problem.conflict("This practice is over.");
    }
    return row;
  }
}
