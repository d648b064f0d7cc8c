package dremsa.server.shelf;

import dremsa.core.keep.FridgeLog;
import dremsa.core.keep.Hours;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.Outage;
import dremsa.core.kitchen.Climate;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.tables.CsvText;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
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
  private final Fridge fridge;
  private final Kitchens kitchens;
  private final Households households;

  FridgeController(Fridge fridge, Kitchens kitchens, Households households) {
    this.fridge = fridge;
    this.kitchens = kitchens;
    this.households = households;
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
      @Range(
              min = Climate.COLDEST_ROOM_C,
              max = Climate.WARMEST_ROOM_C,
              message =
                  "A warm fridge is "
                      + Climate.COLDEST_ROOM_C
                      + " to "
                      + Climate.WARMEST_ROOM_C
                      + " °C.")
          @Nullable Double celsius,
      @Range(min = 0, max = 1440, message = "0 to 1440 hours ago.")
          @Nullable Double endedHoursAgo) {}

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
      List<Fridge.Touched> bottles) {}

  /** What happened to the fridge before. */
  record FridgeLine(UUID id, Instant from, Instant to, String words) {}

  @GetMapping
  List<FridgeLine> list(@AuthenticationPrincipal Member member) {
    return fridge.last(member.household()).stream()
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
    Fridge.Spell spell = spell(household, form, Hours.after(end, -form.hours()), end);
    return outcome(
        spell, done(household, spell, look, now), new LoggerFile.Read(List.of(), List.of()), null);
  }

  private Fridge.Spell spell(UUID household, FridgeForm form, Instant from, Instant end) {
    if (form.what() == FridgeWhat.POWER_CUT) {
      List<KeepEvent.FridgeWarmed> pieces =
          Outage.powerCut(from, form.hours(), kitchens.climates(household).at(from));
      String words = Said.of("Power cut, %s h", Said.tenths(form.hours()));
      return new Fridge.Spell(words, from, Fridge.endOf(pieces), pieces);
    }
    if (form.celsius() == null) {
      throw Problem.invalid(FieldProblem.of("celsius", null, "Say how warm it was."));
    }
    String words =
        Said.of("Warm fridge, %s h at %.0f °C", Said.tenths(form.hours()), form.celsius());
    return new Fridge.Spell(words, from, end, Outage.warm(from, form.hours(), form.celsius()));
  }

  private Fridge.Outcome done(UUID household, Fridge.Spell spell, boolean look, Instant now) {
    return look ? fridge.look(household, spell, now) : fridge.happened(household, spell, now);
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
    Fridge.Spell spell =
        new Fridge.Spell(
            Said.of("Fridge logger, %d readings", read.readings().size()), from, to, log.warm());
    return outcome(spell, done(household.id(), spell, look, now), read, log);
  }

  private static FridgeOutcome outcome(
      Fridge.Spell spell, Fridge.Outcome done, LoggerFile.Read read, @Nullable FridgeLog log) {
    return new FridgeOutcome(
        done.id(),
        spell.words(),
        spell.from(),
        spell.to(),
        read.readings().size(),
        log == null ? null : log.coldest(),
        log == null ? null : log.warmest(),
        log == null
            ? List.of()
            : log.gaps().stream().map(g -> new GapLine(g.from(), g.to())).toList(),
        read.left().stream().limit(20).map(l -> new LeftLine(l.line(), l.why())).toList(),
        done.bottles());
  }

  @DeleteMapping("/{id}")
  void takeBack(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    fridge.takeBack(member.household(), id);
  }
}
