package dremsa.server.shelf;

import dremsa.core.brew.StepOutcome;
import dremsa.core.check.Caution;
import dremsa.core.check.Cautions;
import dremsa.core.check.Ending;
import dremsa.core.check.HardStop;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Purpose;
import dremsa.core.keep.DiscardReason;
import dremsa.core.keep.Freshness;
import dremsa.core.keep.School;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.bench.BatchRecord;
import dremsa.server.bench.Deliberate;
import dremsa.server.bench.Runs;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Idempotency;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.wire.VerdictJson;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/bottles")
@Transactional
class BottleController {
  static final int MOST_STANDING = 200;

  private final Shelf shelf;
  private final Judging judging;
  private final BottleTaps taps;
  private final BottleRepository repository;
  private final Runs runs;
  private final Kitchens kitchens;
  private final Households households;
  private final History history;
  private final Idempotency idempotency;
  private final HeadNames names;

  BottleController(
      Shelf shelf,
      Judging judging,
      BottleTaps taps,
      BottleRepository repository,
      Runs runs,
      Kitchens kitchens,
      Households households,
      History history,
      Idempotency idempotency,
      HeadNames names) {
    this.names = names;
    this.shelf = shelf;
    this.judging = judging;
    this.taps = taps;
    this.repository = repository;
    this.runs = runs;
    this.kitchens = kitchens;
    this.households = households;
    this.history = history;
    this.idempotency = idempotency;
  }

  /** A bottle on the shelf. */
  record BottleLine(
      UUID id,
      long version,
      UUID batchId,
      String formulaId,
      String code,
      int number,
      String name,
      String tint,
      Container container,
      double sizeMl,
      double filledMl,
      double leftMl,
      Place place,
      Instant filledAt,
      LocalDate lastDay,
      boolean useNow,
      boolean marked,
      @Nullable LocalDate printedDay,
      Freshness freshness,
      Bottle.Status status,
      @Nullable DiscardReason endReason,
      @Nullable Instant endedAt) {}

  /**
   * How a mixture or a batch is kept.
   *
   * @param schools that it can be kept by
   */
  record KeptBy(School school, boolean cleanWorking, List<School> schools) {}

  /** What stands, what to use first in front. */
  record ShelfView(LocalDate today, double fridgeC, List<BottleLine> bottles) {}

  /** Something that happened to a bottle. */
  record BottleHappening(
      Instant at,
      Happening.Kind kind,
      @Nullable Double millilitres,
      String detail,
      boolean undone,
      @Nullable String doneBy) {}

  /**
   * A bottle's page.
   *
   * @param uses what makers use it as
   * @param purposes the same, as a use can name it
   * @param cautions when it is used
   * @param stops signs at which it is thrown away at any age
   * @param marks that early or late ends of its steps left on it
   * @param sterilisedAt when its container was, before it was filled
   */
  record BottleView(
      BottleLine bottle,
      String code,
      String formulaId,
      Instant startedAt,
      Instant now,
      LocalDate today,
      VerdictJson keeping,
      KeptBy keptBy,
      List<String> ingredients,
      List<String> uses,
      List<Purpose> purposes,
      List<String> cautions,
      List<String> stops,
      @Nullable Instant sterilisedAt,
      @Nullable Deliberate override,
      List<String> marks,
      List<BottleHappening> happenings) {}

  /**
   * Some taken out.
   *
   * @param amount as typed, instead of millilitres: "2 tbsp", "10 strokes", "a third"
   * @param who used it, where it is known
   * @param person whose head it was; then their name needs no saying
   * @param purpose what for, where it is known
   */
  record Take(
      @NotNull(message = "Say which version you saw.") Long version,
      @Nullable Double millilitres,
      @Size(max = 60, message = "At most 60 characters.") @Nullable String amount,
      @Size(max = 80, message = "At most 80 characters.") @Nullable String who,
      @Nullable UUID person,
      @Nullable Purpose purpose) {}

  /** Which version was seen. */
  record SeenBottle(@NotNull(message = "Say which version you saw.") Long version) {}

  /** Thrown away. */
  record Discard(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say why.") DiscardReason reason,
      @Size(max = 400, message = "At most 400 characters.") @Nullable String note) {}

  @GetMapping
  ShelfView shelf(@AuthenticationPrincipal Member member) {
    Household household = households.of(member.household());
    LocalDate today = households.today(household);
    List<BottleLine> lines =
        repository
            .findByHouseholdIdAndStatusOrderByLastDayAscRunsOutAscNumberAsc(
                household.id(), Bottle.Status.STANDING, PageRequest.of(0, MOST_STANDING))
            .stream()
            .map(bottle -> line(bottle, today))
            .toList();
    return new ShelfView(today, kitchens.of(household.id()).climate().fridgeC(), lines);
  }

  @GetMapping("/{id}")
  BottleView get(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    Household household = households.of(member.household());
    Bottle bottle = shelf.get(household.id(), id);
    Instant now = households.now(household);
    Judging.Known known = judging.known(bottle);
    BatchRecord batch = known.batch();
    Formula formula = batch.brew().formula();
    Verdict verdict = known.judge(bottle.endedAt() == null ? now : bottle.endedAt());
    return new BottleView(
        line(bottle, households.today(household)),
        batch.code(),
        batch.formulaId(),
        batch.startedAt(),
        now,
        households.today(household),
        VerdictJson.of(verdict, bottle.endedAt() == null ? known.hangsOn(now) : Optional.empty()),
        new KeptBy(bottle.school(), bottle.cleanWorking(), List.of(School.values())),
        batch.brew().materials().stream().map(material -> material.name()).toList(),
        formula.purposes().stream().sorted().map(Purpose::words).toList(),
        formula.purposes().stream().sorted().toList(),
        Cautions.at(batch.brew(), last(batch)).stream().map(Caution::words).toList(),
        HardStop.of(formula),
        bottle.sterilisedAt(),
        batch.override(),
        batch.marks().stream().map(Ending.Mark::words).toList(),
        history.ofBottle(household.id(), id).stream()
            .map(
                h ->
                    new BottleHappening(
                        h.happenedAt(),
                        h.kind(),
                        h.millilitres(),
                        h.detail(),
                        h.undone(),
                        h.doneBy()))
            .toList());
  }

  @PostMapping("/{id}/take")
  BottleView take(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody Take form) {
    idempotency.once(
        member.household(),
        key,
        Map.of("bottle", id, "take", form),
        Boolean.class,
        () -> {
          double ml = form.amount() == null ? given(form) : read(member, id, form.amount());
          Uses.Told told = new Uses.Told(who(member, form), form.purpose(), form.person());
          shelf.take(member.household(), id, form.version(), ml, told, now(member));
          return true;
        });
    return get(member, id);
  }

  private static StepOutcome last(BatchRecord batch) {
    List<StepOutcome> steps = batch.prediction().steps();
    return steps.get(steps.size() - 1);
  }

  private @Nullable String who(Member member, Take form) {
    if (form.person() != null) {
      return names.of(member.household(), form.person());
    }
    return form.who() == null || form.who().isBlank() ? null : form.who().strip();
  }

  private static double given(Take form) {
    if (form.millilitres() == null) {
      throw Problem.invalid(FieldProblem.of("millilitres", null, "Say how much."));
    }
    return form.millilitres();
  }

  private double read(Member member, UUID id, String typed) {
    try {
      return shelf.millilitres(member.household(), id, typed);
    } catch (IllegalArgumentException e) {
      throw Problem.invalid(FieldProblem.of("amount", typed, Problem.why(e)));
    }
  }

  @PostMapping("/{id}/finish")
  BottleView finish(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody SeenBottle seen) {
    shelf.finish(member.household(), id, seen.version(), now(member));
    return get(member, id);
  }

  @PostMapping("/{id}/discard")
  BottleView discard(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody Discard form) {
    shelf.discard(
        member.household(),
        id,
        form.version(),
        form.reason(),
        form.note() == null ? "" : form.note().strip(),
        now(member));
    return get(member, id);
  }

  @PostMapping("/{id}/undo")
  BottleView undo(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody SeenBottle seen) {
    Bottle bottle = shelf.get(member.household(), id);
    UUID change =
        history.lastOfBottle(member.household(), id).map(Happening::changeId).orElse(null);
    if (change != null && bottle.version() == seen.version()) {
      taps.undo(member.household(), change, now(member));
    } else {
      shelf.undo(member.household(), id, seen.version(), now(member));
    }
    return get(member, id);
  }

  private Instant now(Member member) {
    return households.now(member.household());
  }

  private static BottleLine line(Bottle bottle, LocalDate today) {
    return new BottleLine(
        bottle.id(),
        bottle.version(),
        bottle.batchId(),
        bottle.formulaId(),
        bottle.code(),
        bottle.number(),
        bottle.name(),
        bottle.tint(),
        bottle.container(),
        bottle.sizeMl(),
        bottle.filledMl(),
        bottle.leftMl(),
        bottle.place(),
        bottle.filledAt(),
        bottle.lastDay(),
        bottle.useNow(),
        bottle.marked(),
        bottle.printedDay(),
        Freshness.of(bottle.lastDay(), today),
        bottle.status(),
        bottle.endReason(),
        bottle.endedAt());
  }
}
