package dremsa.server.formulas;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Differences;
import dremsa.core.formula.Formula;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The formulas that a household can brew: the built-in ones and its own. */
@Service
public class Formulas {
  /** A household has no need of more; the list is read whole. */
  static final int MOST = 400;

  private final FormulaRepository repository;
  private final FormulaVersionRepository versions;
  private final Stored stored;

  Formulas(FormulaRepository repository, FormulaVersionRepository versions, Stored stored) {
    this.repository = repository;
    this.versions = versions;
    this.stored = stored;
  }

  /**
   * What is known of a household's own formula beside the formula itself.
   *
   * @param version for optimistic locking
   * @param copiedFrom id of the formula it began as; null when it began from nothing
   */
  public record Own(
      Formula formula, long version, @Nullable String copiedFrom, Instant changedAt) {}

  /** A kept state, with how it differs from the one before it. */
  public record Kept(
      int number, Instant at, String note, Formula formula, List<String> differences) {}

  /** A household's own, the last changed first, then the built-in ones. */
  @Transactional(readOnly = true)
  public List<Formula> all(UUID household) {
    List<Formula> all = new ArrayList<>();
    repository
        .findByHouseholdIdAndGoneAtIsNullOrderByChangedAtDesc(household)
        .forEach(row -> all.add(read(row)));
    all.addAll(BuiltInFormulas.all());
    return all;
  }

  @Transactional(readOnly = true)
  public Optional<Formula> find(UUID household, String id) {
    return BuiltInFormulas.find(id).or(() -> own(household, id).map(Own::formula));
  }

  public Formula get(UUID household, String id) {
    return find(household, id).orElseThrow(() -> Problem.notFound("formula"));
  }

  /** A household's own formula; empty for a built-in one and for one that was taken away. */
  @Transactional(readOnly = true)
  public Optional<Own> own(UUID household, String id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .filter(row -> !row.gone())
        .map(row -> new Own(read(row), row.version(), row.copiedFrom(), row.changedAt()));
  }

  private Formula read(FormulaRow row) {
    return stored.formula(row.content(), row.schemaVersion()).identified(row.id());
  }

  /**
   * Adds formulas of a household's own; all of them or none.
   *
   * @param copiedFrom id of the formula they began as; null when they began from nothing
   * @return their ids
   */
  @Transactional
  public List<String> add(
      UUID household, List<Formula> formulas, @Nullable String copiedFrom, Instant at) {
    if (repository.countByHouseholdIdAndGoneAtIsNull(household) + formulas.size() > MOST) {
      throw Problem.conflict("A household keeps at most " + MOST + " formulas of its own.");
    }
    List<String> ids = new ArrayList<>();
    for (Formula formula : formulas) {
      String id = "own-" + UUID.randomUUID();
      repository.save(
          new FormulaRow(
              id, household, write(formula.identified(id)), Stored.VERSION, copiedFrom, at));
      ids.add(id);
    }
    return ids;
  }

  private String write(Formula formula) {
    return stored.write(FormulaJson.of(formula));
  }

  /**
   * Changes a formula.
   *
   * @param expected the version that was changed
   */
  @Transactional
  public void save(UUID household, String id, Formula formula, long expected, Instant at) {
    FormulaRow row = standing(household, id);
    if (row.version() != expected) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "conflict",
          "This formula was changed elsewhere meanwhile: in another tab, or by somebody else.",
          List.of(FieldProblem.of("version", expected, "It is " + row.version() + " now.")));
    }
    row.replace(write(formula.identified(id)), Stored.VERSION, at);
    repository.saveAndFlush(row);
  }

  private FormulaRow standing(UUID household, String id) {
    if (BuiltInFormulas.find(id).isPresent()) {
      throw Problem.conflict("A built-in formula stays as it is. Make a copy and change that.");
    }
    return repository
        .findByIdAndHouseholdId(id, household)
        .filter(row -> !row.gone())
        .orElseThrow(() -> Problem.notFound("formula"));
  }

  /** Takes a formula away; it can be brought back. */
  @Transactional
  public void takeAway(UUID household, String id, Instant at) {
    FormulaRow row = standing(household, id);
    row.goneAt(at);
    repository.saveAndFlush(row);
  }

  /** Brings a formula back that was taken away. */
  @Transactional
  public void bringBack(UUID household, String id) {
    FormulaRow row =
        repository
            .findByIdAndHouseholdId(id, household)
            .orElseThrow(() -> Problem.notFound("formula"));
    row.goneAt(null);
    repository.saveAndFlush(row);
  }

  /**
   * Keeps the present state of a formula.
   *
   * @return its number; the last one's where nothing changed since
   */
  @Transactional
  public int keep(UUID household, String id, String note, Instant at) {
    return keep(standing(household, id), note, at);
  }

  private int keep(FormulaRow row, String note, Instant at) {
    Optional<FormulaVersionRow> last =
        versions.findFirstByKeyFormulaIdOrderByKeyNumberDesc(row.id());
    if (last.isPresent() && last.get().content().equals(row.content())) {
      return last.get().number();
    }
    int number = last.map(FormulaVersionRow::number).orElse(0) + 1;
    versions.save(
        new FormulaVersionRow(
            new FormulaVersionRow.Key(row.id(), number),
            row.householdId(),
            row.content(),
            row.schemaVersion(),
            at,
            note));
    return number;
  }

  /** Keeps the state that a batch is brewed from; empty for a built-in formula. */
  @Transactional
  public Optional<Integer> keepForBatch(UUID household, String id, Instant at) {
    return repository.findByIdAndHouseholdId(id, household).map(row -> keep(row, "brewed", at));
  }

  /**
   * The kept states, the newest first.
   *
   * @param names gives a material's name for its id
   */
  @Transactional(readOnly = true)
  public List<Kept> kept(UUID household, String id, UnaryOperator<String> names) {
    if (own(household, id).isEmpty()) {
      return List.of();
    }
    List<FormulaVersionRow> rows = versions.findByKeyFormulaIdOrderByKeyNumberDesc(id);
    List<Kept> all = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      FormulaVersionRow row = rows.get(i);
      Formula formula = stored.formula(row.content(), row.schemaVersion());
      List<String> differences =
          i + 1 == rows.size()
              ? List.of()
              : Differences.between(
                      stored.formula(rows.get(i + 1).content(), rows.get(i + 1).schemaVersion()),
                      formula,
                      names)
                  .stream()
                  .map(Differences.Difference::words)
                  .toList();
      all.add(new Kept(row.number(), row.keptAt(), row.note(), formula, differences));
    }
    return all;
  }
}
