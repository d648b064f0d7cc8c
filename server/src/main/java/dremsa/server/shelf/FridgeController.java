package dremsa.server.shelf;

import dremsa.core.keep.FridgeLog;
import dremsa.core.keep.Hours;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.Outage;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.tables.CsvText;
import dremsa.server.wire.Stored;
import dremsa.server.wire.WarmSpellJson;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What happens to the whole fridge, with a look before it counts. */
@RestController
@RequestMapping("/api/fridge")
@Transactional
class FridgeController {
  private final FridgeEventRepository repository;
  private final BottleRepository bottles;
  private final Judging judging;
  private final Stored stored;
  private final Kitchens kitchens;
  private final Households households;
  private final History history;

  FridgeController(
      FridgeEventRepository repository,
      BottleRepository bottles,
      Judging judging,
      Stored stored,
      Kitchens kitchens,
      Households households,
      History history) {
    this.repository = repository;
    this.bottles = bottles;
    this.judging = judging;
    this.stored = stored;
    this.kitchens = kitchens;
    this.households = households;
    this.history = history;
  }

  /** What happened to it. */
  enum FridgeWhat {
    POWER_CUT,
    WARM
  }

  /**
   * Something that happened to the fridge.
   *
   * @param celsius WARM: how warm it was
   * @param endedHoursAgo when it was over; 0 is now
   */
  record FridgeForm(
      @NotNull(message = "Say what happened.") FridgeWhat what,
      @NotNull(message = "Say for how long.")
          @Range(min = 0, max = 336, message = "Above 0 and up to two weeks.")
          Double hours,
      @Range(min = -5, max = 45, message = "A fridge is -5 to 45 °C.") @Nullable Double celsius,
      @Range(min = 0, max = 1440, message = "0 to 1440 hours ago.")
          @Nullable Double endedHoursAgo) {}

  /** A bottle before and after. */
  record Touched(
      UUID id, String name, int number, LocalDate before, LocalDate after, boolean useNow) {}

  /** A line of a log that was not taken, and why. */
  record LeftLine(int line, String why) {}

  /** A stretch without readings. */
  record GapLine(Instant from, Instant to) {}

  /**
   * What it does, or would do.
   *
   * @param id of what was done; null while it is only looked at
   * @param readings of a log; 0 for what was typed
   * @param left lines that were not taken, at most 20
   */
  record FridgeOutcome(
      @Nullable UUID id,
      String words,
      Instant from,
      Instant to,
      int readings,
      @Nullable Double coldest,
      @Nullable Double warmest,
      List<GapLine> gaps,
      List<LeftLine> left,
      List<Touched> bottles) {}

  /** What happened to the fridge before. */
  record FridgeLine(UUID id, Instant from, Instant to, String words) {}

  /** What is to be done: warm pieces over a stretch, in words. */
  private record Order(
      String words, Instant from, Instant to, List<KeepEvent.FridgeWarmed> pieces) {}

  @GetMapping
  List<FridgeLine> list(@AuthenticationPrincipal Member member) {
    return repository
        .findFirst20ByHouseholdIdAndUndoneFalseOrderByMadeAtDesc(member.household())
        .stream()
        .map(e -> new FridgeLine(e.id(), e.fromAt(), e.toAt(), e.words()))
        .toList();
  }

  @PostMapping
  FridgeOutcome happened(
      @AuthenticationPrincipal Member member,
      @RequestParam(defaultValue = "false") boolean look,
      @Valid @RequestBody FridgeForm form) {
    UUID household = member.household();
    Instant now = households.now(household);
    double ago = form.endedHoursAgo() == null ? 0 : form.endedHoursAgo();
    Instant end = Hours.after(now, -ago);
    if (form.hours() <= 0) {
      throw Problem.invalid(FieldProblem.range("hours", form.hours(), "Above 0.", 0, 336));
    }
    Instant from = Hours.after(end, -form.hours());
    Order order;
    if (form.what() == FridgeWhat.POWER_CUT) {
      List<KeepEvent.FridgeWarmed> pieces =
          Outage.powerCut(from, form.hours(), kitchens.climates(household).at(from));
      order =
          new Order(
              Said.of("Power cut, %s h", Said.tenths(form.hours())), from, endOf(pieces), pieces);
    } else {
      if (form.celsius() == null) {
        throw Problem.invalid(FieldProblem.of("celsius", null, "Say how warm it was."));
      }
      order =
          new Order(
              Said.of("Warm fridge, %s h at %.0f °C", Said.tenths(form.hours()), form.celsius()),
              from,
              end,
              Outage.warm(from, form.hours(), form.celsius()));
    }
    return carryOut(household, order, look, now, new LoggerFile.Read(List.of(), List.of()), null);
  }

  static Instant endOf(List<KeepEvent.FridgeWarmed> pieces) {
    KeepEvent.FridgeWarmed last = pieces.get(pieces.size() - 1);
    return Hours.after(last.at(), last.hours());
  }

  /**
   * Reads a logger's file.
   *
   * @param unit AUTO, C or F
   * @param zone of times without an offset; the household's when empty
   * @param look only shows what it would do
   */
  @PostMapping(path = "/fridge-log", consumes = "text/csv")
  FridgeOutcome log(
      @AuthenticationPrincipal Member member,
      @RequestParam(defaultValue = "AUTO") LoggerFile.Unit unit,
      @RequestParam(defaultValue = "") String zone,
      @RequestParam(defaultValue = "false") boolean look,
      @RequestBody byte[] file) {
    Household household = households.of(member.household());
    ZoneId of;
    try {
      of = zone.isBlank() ? household.zone() : ZoneId.of(zone);
    } catch (DateTimeException e) {
      throw Problem.invalid(FieldProblem.of("zone", zone, "There is no such time zone."));
    }
    Instant now = households.now(household);
    LoggerFile.Read read = LoggerFile.read(CsvText.decode(file), unit, of, now);
    FridgeLog log = FridgeLog.of(read.readings());
    Instant from =
        read.readings().stream().map(FridgeLog.Reading::at).min(Instant::compareTo).orElseThrow();
    Instant to =
        read.readings().stream().map(FridgeLog.Reading::at).max(Instant::compareTo).orElseThrow();
    Order order =
        new Order(
            Said.of("Fridge logger, %d readings", read.readings().size()), from, to, log.warm());
    return carryOut(household.id(), order, look, now, read, log);
  }

  private FridgeOutcome carryOut(
      UUID household,
      Order order,
      boolean look,
      Instant now,
      LoggerFile.Read read,
      @Nullable FridgeLog log) {
    if (order.from().isAfter(now.plus(Duration.ofMinutes(5)))) {
      throw Problem.invalid(FieldProblem.of("from", order.from(), "That is still to come."));
    }
    List<Bottle> standing = bottles.findByHouseholdIdAndStatus(household, Bottle.Status.STANDING);
    Map<UUID, LocalDate> before = new HashMap<>();
    standing.forEach(b -> before.put(b.id(), b.lastDay()));
    List<Touched> touched = new ArrayList<>();
    UUID id = null;
    if (look) {
      Judging.Round round = judging.round(household, standing);
      for (Bottle bottle : standing) {
        Judging.Known known = round.known(bottle);
        var keeping = known.keeping();
        for (KeepEvent.FridgeWarmed piece : order.pieces()) {
          keeping = keeping.with(piece);
        }
        var verdict = known.judge(keeping, now);
        touched.add(touched(bottle, before.get(bottle.id()), verdict.lastDay(), verdict.useNow()));
      }
    } else {
      FridgeEvent event =
          repository.saveAndFlush(
              new FridgeEvent(
                  UUID.randomUUID(),
                  household,
                  order.from(),
                  order.to(),
                  order.words(),
                  stored.write(WarmSpellJson.of(order.pieces())),
                  now));
      id = event.id();
      Judging.Round round = judging.round(household, standing);
      for (Bottle bottle : standing) {
        round.saved(bottle, now);
        if (bottle.place() == Place.FRIDGE || !bottle.lastDay().equals(before.get(bottle.id()))) {
          history.note(
              household,
              bottle.batchId(),
              bottle.id(),
              id,
              now,
              Happening.Kind.FRIDGE_WARM,
              null,
              order.words());
        }
        touched.add(touched(bottle, before.get(bottle.id()), bottle.lastDay(), bottle.useNow()));
      }
    }
    return new FridgeOutcome(
        id,
        order.words(),
        order.from(),
        order.to(),
        read.readings().size(),
        log == null ? null : log.coldest(),
        log == null ? null : log.warmest(),
        log == null
            ? List.of()
            : log.gaps().stream().map(g -> new GapLine(g.from(), g.to())).toList(),
        read.left().stream().limit(20).map(l -> new LeftLine(l.line(), l.why())).toList(),
        touched);
  }

  private static Touched touched(Bottle bottle, LocalDate before, LocalDate after, boolean useNow) {
    return new Touched(bottle.id(), bottle.name(), bottle.number(), before, after, useNow);
  }

  @DeleteMapping("/{id}")
  void takeBack(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    FridgeEvent event =
        repository
            .findByIdAndHouseholdId(id, member.household())
            .filter(e -> !e.undone())
            .orElseThrow(() -> Problem.notFound("event of the fridge"));
    event.undo();
    repository.saveAndFlush(event);
    history.ofChange(member.household(), id).forEach(Happening::undo);
    judging.savedAll(member.household(), households.now(member.household()));
  }
}
