package dremsa.server.washdays;

import dremsa.core.keep.Hours;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Idempotency;
import dremsa.server.http.Problem;
import dremsa.server.washdays.SheetJson.DoneForm;
import dremsa.server.washdays.SheetJson.DoneView;
import dremsa.server.washdays.SheetJson.MoveForm;
import dremsa.server.washdays.SheetJson.SeenRun;
import dremsa.server.washdays.SheetJson.SheetForm;
import dremsa.server.washdays.SheetJson.SheetView;
import dremsa.server.washdays.SheetJson.StepTap;
import dremsa.server.washdays.SheetJson.WashRunView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Wash days: their sheets, those under way, and what was done. */
@RestController
@Transactional
class WashDayController {
  /** Longer ago nobody remembers it to the hour. */
  private static final double MOST_HOURS = 24 * 30;

  private final WashDays washDays;
  private final WashRuns runs;
  private final Sheets sheets;
  private final WashPlans plans;
  private final Households households;
  private final Idempotency idempotency;

  WashDayController(
      WashDays washDays,
      WashRuns runs,
      Sheets sheets,
      WashPlans plans,
      Households households,
      Idempotency idempotency) {
    this.washDays = washDays;
    this.runs = runs;
    this.sheets = sheets;
    this.plans = plans;
    this.households = households;
    this.idempotency = idempotency;
  }

  /** Works a sheet out; keeps nothing. */
  @PostMapping("/api/sheets")
  @WithoutTurn
  @Transactional(readOnly = true)
  SheetView sheet(@AuthenticationPrincipal Member member, @Valid @RequestBody SheetForm form) {
    return sheets.of(member.household(), form, now(member)).view();
  }

  /** The same, to print. */
  @PostMapping(path = "/api/sheets/print", produces = MediaType.APPLICATION_PDF_VALUE)
  @WithoutTurn
  @Transactional(readOnly = true)
  ResponseEntity<byte[]> print(
      @AuthenticationPrincipal Member member, @Valid @RequestBody SheetForm form) {
    Household household = households.of(member.household());
    SheetView sheet = sheets.of(member.household(), form, now(member)).view();
    return ResponseEntity.ok()
        .header("Content-Disposition", "inline; filename=\"wash-day.pdf\"")
        .contentType(MediaType.APPLICATION_PDF)
        .body(new SheetPaper(household, sheet).pdf());
  }

  @GetMapping("/api/wash-runs")
  List<WashRunView> running(@AuthenticationPrincipal Member member) {
    return runs.all(member.household(), now(member));
  }

  @PostMapping("/api/wash-runs")
  WashRunView begin(
      @AuthenticationPrincipal Member member,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody SheetForm form) {
    UUID id =
        idempotency.once(
            member.household(),
            key,
            Map.of("begin", form),
            UUID.class,
            () -> runs.begin(member.household(), form, now(member)));
    return runs.view(member.household(), id, now(member));
  }

  /** Asks for something else while it is under way. */
  record AskedOtherwise(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say what is asked for.") @Valid SheetForm sheet) {}

  @PutMapping("/api/wash-runs/{id}")
  WashRunView ask(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody AskedOtherwise form) {
    runs.ask(member.household(), id, form.version(), form.sheet(), now(member));
    return runs.view(member.household(), id, now(member));
  }

  @PostMapping("/api/wash-runs/{id}/steps")
  WashRunView tap(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody StepTap tap) {
    idempotency.once(
        member.household(),
        key,
        Map.of("run", id, "tap", tap),
        Boolean.class,
        () -> {
          runs.tap(member.household(), id, tap, now(member));
          return true;
        });
    return runs.view(member.household(), id, now(member));
  }

  @PostMapping("/api/wash-runs/{id}/undo")
  WashRunView untap(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody SeenRun seen) {
    runs.untap(member.household(), id, seen.version(), now(member));
    return runs.view(member.household(), id, now(member));
  }

  /** It was not a wash day after all: nothing is written down. */
  @DeleteMapping("/api/wash-runs/{id}")
  List<WashRunView> leave(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    runs.end(member.household(), id);
    return running(member);
  }

  /** Writes down what was done, and takes it from the bottles. */
  @PostMapping("/api/wash-days")
  DoneView done(
      @AuthenticationPrincipal Member member,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody DoneForm form) {
    UUID household = member.household();
    return idempotency.once(
        household,
        key,
        Map.of("done", form),
        DoneView.class,
        () -> {
          Instant now = now(member);
          DoneView view = new DoneView(washDays.done(household, form, at(form, now), now));
          if (form.run() != null) {
            runs.end(household, form.run());
          }
          plans.plan(household, now);
          return view;
        });
  }

  private static Instant at(DoneForm form, Instant now) {
    double late = form.secondsAgo() == null ? 0 : form.secondsAgo() / 3600;
    double ago = (form.hoursAgo() == null ? 0 : form.hoursAgo()) + late;
    if (!(ago >= 0 && ago <= MOST_HOURS)) {
      throw Problem.invalid(
          FieldProblem.range(
              "hoursAgo", String.valueOf(ago), "Within the last 30 days.", 0, MOST_HOURS));
    }
    return Hours.after(now, -ago);
  }

  /** Which wash day is taken back. */
  record TakenBack(boolean takenBack) {}

  @PostMapping("/api/wash-days/{id}/undo")
  TakenBack takeBack(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    Instant now = now(member);
    washDays.takeBack(member.household(), id, now);
    plans.plan(member.household(), now);
    return new TakenBack(true);
  }

  /** Puts an occasion on another day, leaves it out, or lets the routine say again. */
  @PostMapping("/api/wash-days/move")
  TakenBack move(@AuthenticationPrincipal Member member, @Valid @RequestBody MoveForm form) {
    Instant now = now(member);
    washDays.move(member.household(), form, now);
    plans.plan(member.household(), now);
    return new TakenBack(Boolean.TRUE.equals(form.back()));
  }

  private Instant now(Member member) {
    return households.now(member.household());
  }
}
