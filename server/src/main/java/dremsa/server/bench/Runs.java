package dremsa.server.bench;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.VesselChoice;
import dremsa.core.check.Ending;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.keep.Inherited;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.learn.Weighed;
import dremsa.core.material.Materials;
import dremsa.server.http.Problem;
import dremsa.server.wire.Stored;
import dremsa.server.wire.SurroundingsJson;
import dremsa.server.wire.TargetJson;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads batches back as brews: what happened in place of what was predicted. */
@Service
public class Runs {
  private final BatchRepository repository;
  private final EntryRepository entries;
  private final Stored stored;

  Runs(BatchRepository repository, EntryRepository entries, Stored stored) {
    this.repository = repository;
    this.entries = entries;
    this.stored = stored;
  }

  /**
   * A batch with its prediction up to date.
   *
   * @param log what was entered while it ran, the oldest first
   */
  record Run(
      Brew brew,
      double scale,
      TargetJson target,
      Facts facts,
      VesselChoice vessels,
      Prediction prediction,
      Map<String, Inherited> ages,
      List<BatchEntry> log) {}

  /** A finished batch as it really was. */
  @Transactional(readOnly = true)
  public BatchRecord record(UUID household, UUID batch) {
    Batch found =
        repository
            .findByIdAndHouseholdId(batch, household)
            .orElseThrow(() -> Problem.notFound("batch"));
    return record(found, found.endedAt() == null ? found.startedAt() : found.endedAt());
  }

  /**
   * How much came of a batch.
   *
   * @param at when it was bottled
   */
  public record Weighing(UUID id, String code, String name, Instant at, Weighed weighed) {}

  /** Ids of the batches that came to bottles, the oldest first. */
  @Transactional(readOnly = true)
  public List<UUID> bottledBatches(UUID household) {
    return repository
        .findByHouseholdIdAndStatusInOrderByStartedAt(household, List.of(Batch.Status.BOTTLED))
        .stream()
        .filter(batch -> batch.parentId() == null)
        .map(Batch::id)
        .toList();
  }

  /** What came of a batch; empty where it is no longer there. */
  @Transactional(readOnly = true)
  public Optional<Weighing> weighed(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .filter(batch -> batch.status() == Batch.Status.BOTTLED)
        .map(
            batch -> {
              Instant at = Objects.requireNonNull(batch.endedAt());
              Run run = of(batch, at);
              Double bottled = batch.bottledMl();
              return new Weighing(
                  batch.id(),
                  batch.code(),
                  batch.formulaName(),
                  at,
                  Weighed.of(
                      batch.id().toString(),
                      run.brew(),
                      run.scale(),
                      run.vessels(),
                      run.facts(),
                      bottled == null ? OptionalDouble.empty() : OptionalDouble.of(bottled)));
            });
  }

  /** The batch of a code. */
  @Transactional(readOnly = true)
  public Optional<UUID> byCode(UUID household, String code) {
    return repository.findByHouseholdIdAndCode(household, code).map(Batch::id);
  }

  /** The batch of a code as it really was, if it came to bottles. */
  @Transactional(readOnly = true)
  public Optional<BatchRecord> bottled(UUID household, String code) {
    return repository
        .findByHouseholdIdAndCode(household, code)
        .filter(batch -> batch.status() == Batch.Status.BOTTLED)
        .map(batch -> record(batch, Objects.requireNonNull(batch.endedAt())));
  }

  /** A batch as it went so far, for asking what went wrong. */
  @Transactional(readOnly = true)
  public dremsa.core.fault.Brewed asItWent(UUID household, UUID id, Instant now) {
    Batch batch =
        repository
            .findByIdAndHouseholdId(id, household)
            .orElseThrow(() -> Problem.notFound("batch"));
    Run run = of(batch, batch.endedAt() == null ? now : batch.endedAt());
    return new dremsa.core.fault.Brewed(run.brew(), run.scale(), run.vessels(), run.facts());
  }

  /**
   * A batch brewed from a formula.
   *
   * @param version the kept state of the formula; null for a built-in one
   * @param bottledMl null where it did not come to bottles
   */
  public record Brewed(
      UUID id,
      String code,
      String formula,
      String name,
      @Nullable Integer version,
      Instant startedAt,
      String status,
      @Nullable Double bottledMl) {}

  /** What was brewed from a formula, the newest first, at most 30. */
  @Transactional(readOnly = true)
  public List<Brewed> brewedFrom(UUID household, String formula) {
    return repository
        .findFirst30ByHouseholdIdAndFormulaIdOrderByStartedAtDesc(household, formula)
        .stream()
        .map(Runs::brewed)
        .toList();
  }

  /**
   * What was begun from one moment to another, the newest first; the ways of a divided one once.
   */
  @Transactional(readOnly = true)
  public List<Brewed> brewedBetween(UUID household, Instant from, Instant to) {
    return repository
        .findByHouseholdIdAndParentIdIsNullAndStartedAtBetweenOrderByStartedAtDesc(
            household, from, to)
        .stream()
        .filter(batch -> batch.status() != Batch.Status.PLANNED)
        .map(Runs::brewed)
        .toList();
  }

  /** What is called like this, the newest first, at most 100. */
  @Transactional(readOnly = true)
  public List<Brewed> called(UUID household, String words) {
    return repository
        .findFirst100ByHouseholdIdAndFormulaNameContainingOrderByStartedAtDesc(household, words)
        .stream()
        .filter(batch -> batch.parentId() == null && batch.status() != Batch.Status.PLANNED)
        .map(Runs::brewed)
        .toList();
  }

  /** These batches; those that are not there are left out. */
  @Transactional(readOnly = true)
  public List<Brewed> brewed(UUID household, Collection<UUID> ids) {
    return repository.findByHouseholdIdAndIdIn(household, ids).stream().map(Runs::brewed).toList();
  }

  private static Brewed brewed(Batch batch) {
    return new Brewed(
        batch.id(),
        batch.code(),
        batch.formulaId(),
        batch.formulaName(),
        batch.formulaVersion(),
        batch.startedAt(),
        batch.status().name(),
        batch.bottledMl());
  }

  /**
   * Where a running batch stands and how it is planned to go on.
   *
   * @param millilitres ready to bottle
   */
  public record Outline(long version, List<OutlineStep> steps, double millilitres) {}

  /** One step of an outline; minutes and millilitres are at its end, known or predicted. */
  public record OutlineStep(int index, Step step, double minutes, double millilitres) {}

  /** The outline of a batch at a moment. */
  @Transactional(readOnly = true)
  public Outline outline(UUID household, UUID batch, Instant now) {
    Batch found =
        repository
            .findByIdAndHouseholdId(batch, household)
            .orElseThrow(() -> Problem.notFound("batch"));
    Run run = of(found, now);
    return new Outline(
        found.version(),
        run.prediction().steps().stream()
            .map(
                outcome ->
                    new OutlineStep(
                        outcome.index(),
                        run.brew().formula().steps().get(outcome.index()),
                        outcome.minutes(),
                        outcome.millilitres()))
            .toList(),
        run.prediction().finished().millilitres());
  }

  BatchRecord record(Batch batch, Instant now) {
    Run run = of(batch, now);
    return new BatchRecord(
        batch.id(),
        batch.parentId() == null ? batch.id() : batch.parentId(),
        batch.code(),
        batch.formulaId(),
        batch.formulaName(),
        batch.startedAt(),
        run.brew(),
        run.prediction(),
        List.copyOf(run.ages().values()),
        marks(batch, run),
        batch.override());
  }

  /** What early and late ends of its steps left on a batch. */
  static List<Ending.Mark> marks(Batch batch, Run run) {
    Map<Integer, Window.Timing> timings = new TreeMap<>();
    List<StepDone.State> done = batch.steps();
    for (int i = 0; i < done.size(); i++) {
      Window.Timing timing = done.get(i).timing();
      if (timing != null) {
        timings.put(i, timing);
      }
    }
    return Ending.marks(run.brew(), run.prediction(), timings);
  }

  /** The bottles that are poured into a batch, by the material that names them. */
  Map<String, UUID> bottles(Batch batch) {
    Batch.Snapshot snapshot = batch.snapshot();
    return snapshot.surroundings() == null
        ? Map.of()
        : stored.surroundings(snapshot.surroundings(), snapshot.schemaVersion()).bottles();
  }

  Run of(Batch batch, Instant now) {
    List<BatchEntry> log =
        batch.status() == Batch.Status.PLANNED
            ? List.of()
            : entries.findByBatchIdOrderByEnteredAtAscIdAsc(batch.id());
    return of(batch, batch.snapshot().formula(), log, true, now);
  }

  /** As it was measured out: what happened since is left out of it. */
  Run planned(Batch batch) {
    return of(batch, batch.plannedFormula(), List.of(), false, batch.startedAt());
  }

  private Run of(
      Batch batch, String formulaColumn, List<BatchEntry> log, boolean asItWent, Instant now) {
    Batch.Snapshot snapshot = batch.snapshot();
    Formula formula = stored.formula(formulaColumn, snapshot.schemaVersion());
    Kitchen kitchen = stored.kitchen(snapshot.kitchen(), snapshot.schemaVersion());
    Optional<SurroundingsJson> surroundings =
        Optional.ofNullable(snapshot.surroundings())
            .map(column -> stored.surroundings(column, snapshot.schemaVersion()));
    Brew brew =
        surroundings
            .map(s -> Brew.of(formula, kitchen, s.materialsToCore(), s.stock()))
            .orElseGet(() -> Brew.of(formula, kitchen, Materials.standard()));
    VesselChoice vessels = brew.vesselsFor(batch.scale());
    Facts plan = stored.plan(snapshot.plan(), snapshot.schemaVersion());
    Facts facts =
        asItWent
            ? new Happened(batch, formula, log).facts(plan, now, brew, batch.scale(), vessels)
            : plan;
    return new Run(
        brew,
        batch.scale(),
        stored.target(snapshot.target(), snapshot.schemaVersion()),
        facts,
        vessels,
        brew.predict(batch.scale(), vessels, facts),
        surroundings.map(SurroundingsJson::ages).orElse(Map.of()),
        log);
  }
}
