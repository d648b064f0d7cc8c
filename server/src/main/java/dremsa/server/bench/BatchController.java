package dremsa.server.bench;

import dremsa.core.check.Wearer;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepWords;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Container;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Idempotency;
import dremsa.server.http.Problem;
import dremsa.server.predictions.Plan;
import dremsa.server.predictions.Predictions;
import dremsa.server.wire.ChangeJson;
import dremsa.server.wire.MakeJson;
import dremsa.server.wire.PlannedStep;
import dremsa.server.wire.PredictionJson;
import dremsa.server.wire.TargetJson;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.PageRequest;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/batches")
@Transactional
class BatchController {
  private static final int PAGE = 40;

  private final Bench bench;
  private final Runs runs;
  private final BatchRepository repository;
  private final Predictions predictions;
  private final Households households;
  private final History history;
  private final Idempotency idempotency;

  BatchController(
      Bench bench,
      Runs runs,
      BatchRepository repository,
      Predictions predictions,
      Households households,
      History history,
      Idempotency idempotency) {
    this.bench = bench;
    this.runs = runs;
    this.repository = repository;
    this.predictions = predictions;
    this.households = households;
    this.history = history;
    this.idempotency = idempotency;
  }

  /**
   * A batch to start; says what is meant as a question to the predictions does.
   *
   * @param steps minutes planned otherwise than usual
   * @param pours the bottle of the shelf behind each brew used as an ingredient
   */
  record NewBatch(
      @NotNull(message = "Say which formula.") @Size(max = 80, message = "At most 80 characters.")
          String formulaId,
      @Nullable String variant,
      @Size(max = 40, message = "At most 40 changes.") @Nullable List<@Valid ChangeJson> changes,
      @Size(max = 20, message = "At most 20 choices.") @Nullable Map<String, String> choices,
      @NotNull(message = "Say what is wanted.") @Valid TargetJson target,
      @Valid @Nullable MakeJson make,
      @Size(max = Formula.MOST_STEPS, message = "At most 60 steps.")
          @Nullable List<@Valid PlannedStep> steps,
      @Size(max = 20, message = "At most 20 bottles.") @Nullable Map<String, UUID> pours)
      implements Plan {}

  /** A step that is done. */
  record StepFinish(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say whether the cue was seen.") Boolean cueSeen,
      @Nullable Double measuredMl,
      @Nullable Double measuredC,
      @Size(max = 400, message = "A note has at most 400 characters.") @Nullable String note,
      @Size(max = 50, message = "At most 50 bottles.") @Nullable List<@Valid BottleFill> bottles) {}

  /** One container filled. */
  record BottleFill(
      @NotNull(message = "Say what it is.") Container container,
      @NotNull(message = "Say what it holds.")
          @Range(min = 5, max = 5000, message = "A bottle holds 5 to 5000 mL.")
          Double sizeMl,
      @NotNull(message = "Say how much went in.")
          @Range(min = 1, max = 5000, message = "1 to 5000 mL go into a bottle.")
          Double millilitres) {}

  /** Which version was seen, for taking back. */
  record Seen(@NotNull(message = "Say which version you saw.") Long version) {}

  /** Giving a run up. */
  record GiveUp(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say why.") @Size(min = 1, max = 400, message = "1 to 400 characters.")
          String reason) {}

  /** A run in a list or on the worktop. */
  record RunLine(
      UUID id,
      String code,
      String name,
      Batch.Status status,
      int step,
      int steps,
      String headline,
      boolean needsHands,
      @Nullable WindowMoments window,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable Double bottledMl) {}

  /** When the present step begins to be right, is usually done, and begins to be late. */
  record WindowMoments(Instant startedAt, Instant rightFrom, Instant usualAt, Instant lateFrom) {}

  /** What happened at a step. */
  record StepRecord(
      Instant startedAt,
      @Nullable Instant endedAt,
      Window.@Nullable Timing timing,
      boolean cueSeen,
      @Nullable Double measuredMl,
      @Nullable Double measuredC,
      String note) {}

  /** Something that happened. */
  record HappeningLine(
      Instant at,
      Happening.Kind kind,
      @Nullable Double millilitres,
      String detail,
      boolean undone) {}

  /**
   * A run, whole.
   *
   * @param now the server's time when this was written; the page counts from it
   * @param undoable whether the last tap can be taken back
   */
  record RunView(
      UUID id,
      long version,
      String code,
      String formulaId,
      String name,
      Batch.Status status,
      Instant now,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable Double bottledMl,
      int step,
      boolean undoable,
      @Nullable WindowMoments window,
      List<StepRecord> done,
      Container container,
      String tint,
      TargetJson target,
      PredictionJson prediction,
      List<HappeningLine> happenings) {}

  /** A page of batches, the newest first. */
  record BatchPage(List<RunLine> batches, int page, boolean more) {}

  @PostMapping
  RunView start(
      @AuthenticationPrincipal Member member,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody NewBatch wanted) {
    UUID household = member.household();
    UUID id =
        idempotency.once(
            household,
            key,
            wanted,
            UUID.class,
            () -> bench.start(household, wanted, households.now(household)));
    return get(member, id);
  }

  @GetMapping("/running")
  List<RunLine> running(@AuthenticationPrincipal Member member) {
    return repository
        .findByHouseholdIdAndStatusOrderByStartedAt(member.household(), Batch.Status.RUNNING)
        .stream()
        .map(batch -> line(batch, runs.of(batch, households.now(member.household()))))
        .toList();
  }

  @GetMapping
  BatchPage list(
      @AuthenticationPrincipal Member member, @RequestParam(defaultValue = "0") int page) {
    if (page < 0 || page > 100_000) {
      throw Problem.invalid(FieldProblem.range("page", page, "There is no such page.", 0, 100_000));
    }
    List<RunLine> lines =
        repository
            .findByHouseholdIdOrderByStartedAtDesc(member.household(), PageRequest.of(page, PAGE))
            .stream()
            .map(batch -> line(batch, null))
            .toList();
    return new BatchPage(lines, page, lines.size() == PAGE);
  }

  @GetMapping("/{id}")
  RunView get(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    Household household = households.of(member.household());
    Batch batch = bench.get(household.id(), id);
    Instant now = households.now(household);
    Runs.Run run = runs.of(batch, now);
    PredictionJson prediction =
        predictions.describe(
            new Predictions.Batched(
                run.brew(), batch.scale(), run.vessels(), run.prediction(), run.facts()),
            new Predictions.Asked(
                batch.startedAt(),
                household.zone(),
                household.school(),
                false,
                run.ages(),
                Wearer.ADULT,
                household.measureSystem(),
                null,
                null,
                false));
    return new RunView(
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
        batch.status() == Batch.Status.BOTTLED
            || (batch.status() == Batch.Status.RUNNING && batch.step() > 0),
        window(batch, run),
        batch.steps().stream()
            .map(
                s ->
                    new StepRecord(
                        s.startedAt(),
                        s.endedAt(),
                        s.timing(),
                        s.cueSeen(),
                        s.measuredMl(),
                        s.measuredC(),
                        s.note()))
            .toList(),
        container(run.brew().formula()),
        run.brew().tint(),
        run.target(),
        prediction,
        history.ofBatch(household.id(), id).stream()
            .map(
                h ->
                    new HappeningLine(
                        h.happenedAt(), h.kind(), h.millilitres(), h.detail(), h.undone()))
            .toList());
  }

  @PostMapping("/{id}/steps/{index}/finish")
  RunView finish(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable int index,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody StepFinish form) {
    UUID household = member.household();
    List<BatchBottled.Filled> bottles =
        form.bottles() == null
            ? List.of()
            : form.bottles().stream()
                .map(b -> new BatchBottled.Filled(b.container(), b.sizeMl(), b.millilitres()))
                .toList();
    idempotency.once(
        household,
        key,
        Map.of("batch", id, "step", index, "form", form),
        Boolean.class,
        () -> {
          bench.finish(
              household,
              id,
              index,
              form.version(),
              new Bench.Done(
                  form.cueSeen(), form.measuredMl(), form.measuredC(), form.note(), bottles),
              households.now(household));
          return true;
        });
    return get(member, id);
  }

  @PostMapping("/{id}/undo")
  RunView undo(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody Seen seen) {
    bench.undo(member.household(), id, seen.version(), households.now(member.household()));
    return get(member, id);
  }

  @PostMapping("/{id}/give-up")
  RunView giveUp(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody GiveUp form) {
    bench.giveUp(
        member.household(), id, form.version(), form.reason(), households.now(member.household()));
    return get(member, id);
  }

  private static RunLine line(Batch batch, Runs.Run run) {
    Step step = run == null ? null : run.brew().formula().steps().get(batch.step());
    return new RunLine(
        batch.id(),
        batch.code(),
        batch.formulaName(),
        batch.status(),
        batch.step(),
        run == null ? 0 : run.brew().formula().steps().size(),
        step == null ? "" : StepWords.headline(step),
        step != null && step.needsHands(),
        run == null ? null : window(batch, run),
        batch.startedAt(),
        batch.endedAt(),
        batch.bottledMl());
  }

  private static WindowMoments window(Batch batch, Runs.Run run) {
    if (batch.status() != Batch.Status.RUNNING) {
      return null;
    }
    Instant started = batch.steps().get(batch.step()).startedAt();
    return run.brew()
        .formula()
        .steps()
        .get(batch.step())
        .window()
        .map(
            w ->
                new WindowMoments(
                    started,
                    after(started, w.shortest()),
                    after(started, w.usual()),
                    after(started, w.longest())))
        .orElse(null);
  }

  private static Instant after(Instant start, double minutes) {
    return start.plusMillis(Math.round(minutes * 60_000));
  }

  private static Container container(Formula formula) {
    return formula.steps().stream()
        .filter(Step.Bottle.class::isInstance)
        .map(step -> ((Step.Bottle) step).container())
        .findFirst()
        .orElse(Container.JAR);
  }
}
