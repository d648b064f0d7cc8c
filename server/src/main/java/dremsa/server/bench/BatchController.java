package dremsa.server.bench;

import dremsa.core.brew.Reading;
import dremsa.core.formula.Formula;
import dremsa.core.kitchen.Container;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.bench.RunJson.RunLine;
import dremsa.server.bench.RunJson.RunView;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Idempotency;
import dremsa.server.http.Problem;
import dremsa.server.predictions.Plan;
import dremsa.server.predictions.ThingsInUse;
import dremsa.server.predictions.When;
import dremsa.server.wire.ChangeJson;
import dremsa.server.wire.MakeJson;
import dremsa.server.wire.PlannedStep;
import dremsa.server.wire.TargetJson;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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

/** Batches from their start to their bottles. */
@RestController
@RequestMapping("/api/batches")
@Transactional
class BatchController {
  private static final int PAGE = 40;

  private final Bench bench;
  private final Log log;
  private final Runs runs;
  private final RunViews views;
  private final BatchRepository repository;
  private final Households households;
  private final Idempotency idempotency;
  private final ThingsInUse inUse;

  BatchController(
      Bench bench,
      Log log,
      Runs runs,
      RunViews views,
      BatchRepository repository,
      Households households,
      Idempotency idempotency,
      ThingsInUse inUse) {
    this.inUse = inUse;
    this.bench = bench;
    this.log = log;
    this.runs = runs;
    this.views = views;
    this.repository = repository;
    this.households = households;
    this.idempotency = idempotency;
  }

  /**
   * A batch to start; says what is meant as a question to the predictions does.
   *
   * @param steps minutes planned otherwise than usual
   * @param pours the bottle of the shelf behind each brew used as an ingredient
   * @param startAt begin then; it waits on the bench until it is begun
   * @param readyBy begin so early that it is usually ready by then
   * @param override why it is brewed although the self-check calls it dangerous; it stays with the
   *     batch, its bottles and their labels
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
      @Size(max = 20, message = "At most 20 bottles.") @Nullable Map<String, UUID> pours,
      @Nullable Instant startAt,
      @Nullable Instant readyBy,
      @Size(max = 300, message = "At most 300 characters.") @Nullable String override)
      implements Plan {}

  /** A planned start moved. */
  record PutOff(
      @NotNull(message = "Say which version you saw.") Long version,
      @Nullable Instant startAt,
      @Nullable Instant readyBy) {}

  /**
   * A step that is done.
   *
   * @param readings taken at its end, by their kind
   * @param measuredMl earlier name of the reading VOLUME; as are the next three of theirs
   * @param secondsAgo it was done so long before it is said; a tap that could not be sent at once
   * @param sure asked back already, and right
   * @param anyway asked already whether it is too early, and to be ended all the same
   */
  record StepFinish(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say whether the cue was seen.") Boolean cueSeen,
      @Nullable Map<Reading, Double> readings,
      @Nullable Double measuredMl,
      @Nullable Double measuredC,
      @Nullable Double measuredG,
      @Nullable Double measuredPh,
      @Size(max = 400, message = "A note has at most 400 characters.") @Nullable String note,
      @Size(max = 50, message = "At most 50 bottles.") @Nullable List<@Valid BottleFill> bottles,
      @Range(min = 0, max = Log.LONGEST_AGO_S, message = "At most a week ago.")
          @Nullable Long secondsAgo,
      @Nullable Boolean sure,
      @Nullable Boolean anyway) {
    /** All that was read, under the earlier names too. */
    private Map<Reading, Double> all() {
      Map<Reading, Double> all = new EnumMap<>(Reading.class);
      all.putAll(readings == null ? Map.of() : readings);
      EarlierReadings.putInto(all, measuredMl, measuredC, measuredG, measuredPh);
      all.values().removeIf(Objects::isNull);
      return all;
    }
  }

  /** One container filled. */
  record BottleFill(
      @NotNull(message = "Say what it is.") Container container,
      @NotNull(message = "Say what it holds.")
          @Range(min = 5, max = 5000, message = "A bottle holds 5 to 5000 mL.")
          Double sizeMl,
      @NotNull(message = "Say how much went in.")
          @Range(min = 1, max = 5000, message = "1 to 5000 mL go into a bottle.")
          Double millilitres) {}

  /** Which version was seen, for beginning and taking back. */
  record Seen(@NotNull(message = "Say which version you saw.") Long version) {}

  /** Giving a run up. */
  record GiveUp(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say why.") @Size(min = 1, max = 400, message = "1 to 400 characters.")
          String reason) {}

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
            () ->
                bench.start(
                    household,
                    wanted,
                    new When(wanted.startAt(), wanted.readyBy()),
                    households.now(household)));
    return views.view(household, id);
  }

  /** What is on the bench, running or waiting for its start; what wants hands first in front. */
  @GetMapping("/running")
  List<RunLine> running(@AuthenticationPrincipal Member member) {
    Instant now = households.now(member.household());
    return repository
        .findByHouseholdIdAndStatusInOrderByStartedAt(
            member.household(), List.of(Batch.Status.RUNNING, Batch.Status.PLANNED))
        .stream()
        .map(batch -> views.line(batch, runs.of(batch, now), now))
        .toList();
  }

  /** What of the kitchen is held by what brews or is planned, what becomes free first in front. */
  @GetMapping("/in-use")
  List<ThingsInUse.Held> inUse(@AuthenticationPrincipal Member member) {
    return inUse.of(member.household(), households.now(member.household()));
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
            .map(views::line)
            .toList();
    return new BatchPage(lines, page, lines.size() == PAGE);
  }

  @GetMapping("/{id}")
  RunView get(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return views.view(member.household(), id);
  }

  @PostMapping("/{id}/begin")
  RunView begin(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody Seen seen) {
    bench.begin(member.household(), id, seen.version(), households.now(member.household()));
    return views.view(member.household(), id);
  }

  @PostMapping("/{id}/put-off")
  RunView putOff(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody PutOff form) {
    bench.putOff(
        member.household(),
        id,
        form.version(),
        new When(form.startAt(), form.readyBy()),
        households.now(member.household()));
    return views.view(member.household(), id);
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
    Bench.Done done =
        new Bench.Done(
            form.cueSeen(),
            form.all(),
            form.note(),
            bottles,
            Boolean.TRUE.equals(form.sure()),
            Boolean.TRUE.equals(form.anyway()));
    idempotency.once(
        household,
        key,
        // A tap that is sent again later says a longer ago: it is the same tap.
        Map.of("batch", id, "step", index, "done", done),
        Boolean.class,
        () -> {
          Instant at = log.at(household, id, households.now(household), form.secondsAgo());
          bench.finish(household, id, index, form.version(), done, at);
          return true;
        });
    return views.view(household, id);
  }

  @PostMapping("/{id}/undo")
  RunView undo(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody Seen seen) {
    bench.undo(member.household(), id, seen.version(), households.now(member.household()));
    return views.view(member.household(), id);
  }

  @PostMapping("/{id}/give-up")
  RunView giveUp(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody GiveUp form) {
    bench.giveUp(
        member.household(), id, form.version(), form.reason(), households.now(member.household()));
    return views.view(member.household(), id);
  }
}
