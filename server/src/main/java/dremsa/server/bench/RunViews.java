package dremsa.server.bench;

import dremsa.core.brew.Facts;
import dremsa.core.brew.Landmark;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepOutcome;
import dremsa.core.check.Caution;
import dremsa.core.check.Cautions;
import dremsa.core.check.Ending;
import dremsa.core.check.Handling;
import dremsa.core.check.Wearer;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.keep.Leftover;
import dremsa.core.material.Material;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.RunJson.EntryLine;
import dremsa.server.bench.RunJson.FitLine;
import dremsa.server.bench.RunJson.HandlingLine;
import dremsa.server.bench.RunJson.HandsLine;
import dremsa.server.bench.RunJson.HappeningLine;
import dremsa.server.bench.RunJson.Kin;
import dremsa.server.bench.RunJson.LandmarkLine;
import dremsa.server.bench.RunJson.MomentLine;
import dremsa.server.bench.RunJson.PhotoLine;
import dremsa.server.bench.RunJson.RunLine;
import dremsa.server.bench.RunJson.RunView;
import dremsa.server.bench.RunJson.SpanLine;
import dremsa.server.bench.RunJson.SpanState;
import dremsa.server.bench.RunJson.SpentLine;
import dremsa.server.bench.RunJson.StepRecord;
import dremsa.server.bench.RunJson.WindowMoments;
import dremsa.server.containers.Containers;
import dremsa.server.history.History;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.predictions.Predictions;
import dremsa.server.wire.PredictionJson;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Draws runs up for screens, exports and the worktop. */
@Component
class RunViews {
  private final BatchRepository repository;
  private final PhotoRepository photos;
  private final Runs runs;
  private final Log log;
  private final Follows follows;
  private final Standings standings;
  private final Comparisons comparisons;
  private final Predictions predictions;
  private final Households households;
  private final History history;
  private final Containers containers;
  private final Kitchens kitchens;

  RunViews(
      BatchRepository repository,
      PhotoRepository photos,
      Runs runs,
      Log log,
      Follows follows,
      Standings standings,
      Comparisons comparisons,
      Predictions predictions,
      Households households,
      History history,
      Containers containers,
      Kitchens kitchens) {
    this.kitchens = kitchens;
    this.repository = repository;
    this.photos = photos;
    this.runs = runs;
    this.log = log;
    this.follows = follows;
    this.standings = standings;
    this.comparisons = comparisons;
    this.predictions = predictions;
    this.households = households;
    this.history = history;
    this.containers = containers;
  }

  /** A run in a list; without its run only what the row says. */
  RunLine line(Batch batch) {
    return new RunLine(
        batch.id(),
        batch.version(),
        batch.parentId(),
        batch.code(),
        batch.formulaName(),
        "",
        batch.status(),
        batch.step(),
        0,
        "",
        "",
        false,
        false,
        null,
        null,
        null,
        null,
        List.of(),
        List.of(),
        List.of(),
        batch.startedAt(),
        batch.endedAt(),
        batch.bottledMl());
  }

  /** A run in its lane. */
  RunLine line(Batch batch, Runs.Run run, Instant now) {
    Formula formula = run.brew().formula();
    boolean running = batch.status() == Batch.Status.RUNNING;
    Step step = formula.steps().get(batch.step());
    List<SpanLine> lane = lane(batch, run);
    List<Moment> moments = running ? Moment.of(batch, run) : List.of();
    SpanLine present = lane.get(batch.step());
    return new RunLine(
        batch.id(),
        batch.version(),
        batch.parentId(),
        batch.code(),
        batch.formulaName(),
        run.brew().tint(),
        batch.status(),
        batch.step(),
        formula.steps().size(),
        batch.status() == Batch.Status.PLANNED ? "Begin" : step.headline(),
        step.guide().cue(),
        step.needsHands(),
        batch.step() == formula.steps().size() - 1,
        window(batch, run).orElse(null),
        running ? present.to() : null,
        lane.get(lane.size() - 1).to(),
        hands(batch, step, moments, present, now).orElse(null),
        moments.stream().map(m -> new MomentLine(m.at(), m.kind(), m.words())).toList(),
        lane,
        running
            ? Cautions.at(run.brew(), run.prediction().steps().get(batch.step())).stream()
                .map(Caution::words)
                .toList()
            : List.of(),
        batch.startedAt(),
        batch.endedAt(),
        batch.bottledMl());
  }

  private static Optional<HandsLine> hands(
      Batch batch, Step step, List<Moment> moments, SpanLine present, Instant now) {
    if (batch.status() == Batch.Status.PLANNED) {
      return Optional.of(new HandsLine(batch.startedAt(), "Begin"));
    } else if (batch.status() != Batch.Status.RUNNING) {
      return Optional.empty();
    }
    if (step.needsHands()) {
      return Optional.of(new HandsLine(present.from(), step.headline()));
    }
    return moments.stream()
        .filter(m -> m.at().isAfter(now) || m.kind() == dremsa.core.brew.Prompt.Kind.NOW)
        .filter(m -> m.kind() != dremsa.core.brew.Prompt.Kind.SOON)
        .findFirst()
        .map(m -> new HandsLine(m.at(), m.words()))
        .or(() -> Optional.of(new HandsLine(present.to(), step.headline())));
  }

  static List<SpanLine> lane(Batch batch, Runs.Run run) {
    List<SpanLine> lane = new ArrayList<>();
    List<StepDone.State> done = batch.steps();
    for (StepOutcome outcome : run.prediction().steps()) {
      Step step = run.brew().formula().steps().get(outcome.index());
      StepDone.State known = outcome.index() < done.size() ? done.get(outcome.index()) : null;
      SpanState state =
          known == null
              ? SpanState.COMING
              : known.endedAt() == null
                  ? SpanState.NOW
                  : known.skipped() ? SpanState.SKIPPED : SpanState.DONE;
      lane.add(
          new SpanLine(
              outcome.index(),
              step.kind().key(),
              step.headline(),
              Moment.after(batch.startedAt(), outcome.startMinute()),
              Moment.after(batch.startedAt(), outcome.endMinute()),
              step.needsHands(),
              state));
    }
    return lane;
  }

  private static Optional<WindowMoments> window(Batch batch, Runs.Run run) {
    if (batch.status() != Batch.Status.RUNNING) {
      return Optional.empty();
    }
    StepDone.State present = batch.steps().get(batch.step());
    Instant started = present.startedAt();
    return run.brew()
        .formula()
        .steps()
        .get(batch.step())
        .window()
        .map(
            w ->
                new WindowMoments(
                    started,
                    Moment.after(started, w.shortest()),
                    Moment.after(started, w.usual() + present.extendedMin()),
                    Moment.after(started, w.longest() + present.extendedMin())));
  }

  PredictionJson describe(Household household, Batch batch, Runs.Run run) {
    return predictions.describe(
        new Predictions.Batched(
            run.brew(),
            run.scale(),
            run.vessels(),
            run.prediction(),
            run.facts(),
            Optional.of(runs.planned(batch).prediction())),
        new Predictions.Asked(
            batch.startedAt(),
            household.zone(),
            household.school(),
            false,
            kitchens.climates(household.id()),
            run.ages(),
            Wearer.ADULT,
            household.measureSystem(),
            null,
            null,
            new Predictions.Fill(
                run.target().toCore(run.brew()),
                containers.of(household.id(), batch.id()),
                households.now(household)),
            false));
  }

  /** A run, whole. */
  RunView view(UUID householdId, UUID id) {
    Household household = households.of(householdId);
    Batch batch = log.get(householdId, id);
    Instant now = households.now(household);
    Runs.Run run = runs.of(batch, now);
    Formula formula = run.brew().formula();
    boolean running = batch.status() == Batch.Status.RUNNING;
    PredictionJson prediction = describe(household, batch, run);
    return new RunView(
        line(batch, run, now),
        batch.id(),
        batch.version(),
        batch.code(),
        batch.formulaId(),
        batch.formulaName(),
        batch.status(),
        now,
        batch.startedAt(),
        batch.endedAt(),
        batch.bottledMl(),
        batch.step(),
        log.lastTap(batch),
        running && formula.steps().get(batch.step()).skippable(),
        running ? again(formula, batch.step()) : "",
        window(batch, run).orElse(null),
        batch.steps().stream().map(RunViews::record).toList(),
        run.log().stream().map(RunViews::entry).toList(),
        photos.lines(id).stream()
            .map(p -> new PhotoLine(p.getId(), p.getStepIndex(), p.getTakenAt(), p.getCaption()))
            .toList(),
        running ? fit(run, batch.step()).orElse(null) : null,
        landmarks(batch, run),
        running ? handling(batch, run) : List.of(),
        Runs.marks(batch, run).stream().map(Ending.Mark::words).toList(),
        running ? standings.of(household, batch, run, now).orElse(null) : null,
        follows.of(id).orElse(null),
        Leftover.of(run.brew(), run.prediction())
            .map(
                l ->
                    new SpentLine(
                        l.use(),
                        l.use().words(),
                        l.why(),
                        l.materials().stream().map(Material::name).toList(),
                        l.wetGrams()))
            .orElse(null),
        run.brew().tint(),
        run.target(),
        prediction,
        batch.status() == Batch.Status.PLANNED
            ? null
            : comparisons.of(household, batch, run, prediction),
        batch.override(),
        kin(batch),
        history.ofBatch(householdId, id).stream()
            .map(
                h ->
                    new HappeningLine(
                        h.happenedAt(),
                        h.kind(),
                        h.millilitres(),
                        h.detail(),
                        h.undone(),
                        h.doneBy()))
            .toList());
  }

  private static String again(Formula formula, int step) {
    if (step == 0) {
      return "";
    }
    Step before = formula.steps().get(step - 1);
    boolean puts = !before.skippable() || before.puts();
    return puts ? "" : before.headline();
  }

  private static StepRecord record(StepDone.State s) {
    return new StepRecord(
        s.startedAt(),
        s.endedAt(),
        s.timing(),
        s.cueSeen(),
        s.readings(),
        s.readings().get(Reading.VOLUME),
        s.readings().get(Reading.TEMPERATURE),
        s.readings().get(Reading.WEIGHT),
        s.readings().get(Reading.PH),
        s.skipped(),
        s.extendedMin(),
        s.waterMl(),
        s.note());
  }

  private static EntryLine entry(BatchEntry e) {
    BatchEntry.What what = e.what();
    return new EntryLine(
        Objects.requireNonNull(e.id()),
        e.stepIndex(),
        e.enteredAt(),
        what.kind(),
        what.amount(),
        what.subject(),
        what.words(),
        what.source());
  }

  private static Optional<FitLine> fit(Runs.Run run, int step) {
    return run.facts()
        .of(step)
        .cooling()
        .map(f -> new FitLine(f.factor(), f.low(), f.high(), f.readings(), f.errorC()));
  }

  /** The landmarks, with the interval that the fit of the present step leaves. */
  private static List<LandmarkLine> landmarks(Batch batch, Runs.Run run) {
    var fit = run.facts().of(batch.step()).cooling();
    Optional<Prediction> fast = fit.map(f -> refitted(batch, run, batch.step(), f.high()));
    Optional<Prediction> slow = fit.map(f -> refitted(batch, run, batch.step(), f.low()));
    List<LandmarkLine> lines = new ArrayList<>();
    for (Landmark landmark : Landmark.values()) {
      lines.add(
          new LandmarkLine(
              landmark.name(),
              landmark.words(),
              landmark.celsius(),
              at(batch, landmark, Optional.of(run.prediction())),
              at(batch, landmark, fast),
              at(batch, landmark, slow)));
    }
    return lines;
  }

  /** What the pot must be cool enough for at the present step, and when it will be. */
  private static List<HandlingLine> handling(Batch batch, Runs.Run run) {
    return Handling.at(run.brew(), batch.step()).stream()
        .map(
            h -> {
              OptionalDouble cool =
                  Handling.coolFrom(
                      run.brew(),
                      run.scale(),
                      run.vessels(),
                      run.facts(),
                      batch.step(),
                      h.belowC() + Handling.NOT_TOLD_APART_C);
              return new HandlingLine(
                  h.what(),
                  h.belowC(),
                  h.instead(),
                  cool.isPresent() ? Moment.after(batch.startedAt(), cool.getAsDouble()) : null);
            })
        .toList();
  }

  private static @Nullable Prediction refitted(Batch batch, Runs.Run run, int step, double factor) {
    Facts facts =
        run.facts()
            .with(
                step,
                run.facts()
                    .of(step)
                    .withCooling(run.facts().of(step).cooling().orElseThrow().with(factor)));
    return run.brew().predict(batch.scale(), run.vessels(), facts);
  }

  private static @Nullable Instant at(
      Batch batch, Landmark landmark, Optional<Prediction> prediction) {
    if (prediction.isEmpty()) {
      return null;
    }
    var minute = landmark.reachedIn(prediction.get());
    return minute.isEmpty() ? null : Moment.after(batch.startedAt(), minute.getAsDouble());
  }

  private List<Kin> kin(Batch batch) {
    UUID whole = batch.parentId() == null ? batch.id() : batch.parentId();
    List<Batch> all = new ArrayList<>();
    if (batch.parentId() != null) {
      repository.findByIdAndHouseholdId(whole, batch.householdId()).ifPresent(all::add);
    }
    all.addAll(repository.findByHouseholdIdAndParentIdOrderByCode(batch.householdId(), whole));
    return all.stream()
        .filter(b -> !b.id().equals(batch.id()))
        .map(b -> new Kin(b.id(), b.code(), b.formulaName(), b.status()))
        .toList();
  }
}
