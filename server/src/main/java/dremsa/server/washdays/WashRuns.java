package dremsa.server.washdays;

import dremsa.core.people.Contact;
import dremsa.core.people.Sheet;
import dremsa.core.people.WashOrder;
import dremsa.core.people.WashOrder.Progress;
import dremsa.core.people.WashStep;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.people.PeopleChanged;
import dremsa.server.reminders.Due;
import dremsa.server.reminders.Reminders;
import dremsa.server.washdays.SheetJson.ItemView;
import dremsa.server.washdays.SheetJson.ProgressView;
import dremsa.server.washdays.SheetJson.RestView;
import dremsa.server.washdays.SheetJson.SheetForm;
import dremsa.server.washdays.SheetJson.StepTap;
import dremsa.server.washdays.SheetJson.Taps;
import dremsa.server.washdays.SheetJson.WashRunView;
import dremsa.server.wire.Stored;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Wash days under way: which step ended when, and what calls for hands next. */
@Component
class WashRuns {
  /** More than anybody begins at once. */
  private static final int MOST = 6;

  /** A tap that comes later was made no longer ago. */
  private static final double LATEST_TAP_S = 24 * 3600;

  private final WashRunRepository repository;
  private final Sheets sheets;
  private final Reminders reminders;
  private final Stored stored;

  WashRuns(WashRunRepository repository, Sheets sheets, Reminders reminders, Stored stored) {
    this.repository = repository;
    this.sheets = sheets;
    this.reminders = reminders;
    this.stored = stored;
  }

  @Transactional
  UUID begin(UUID household, SheetForm form, Instant now) {
    if (repository.findByHouseholdIdOrderByBeganAt(household).size() >= MOST) {
      throw Problem.conflict("There are " + MOST + " wash days under way: end one of them first.");
    }
    SheetForm begun = new SheetForm(form.day(), now, form.heads());
    sheets.of(household, begun, now);
    return repository
        .saveAndFlush(
            new WashRunRow(
                household, form.day(), now, stored.write(begun), stored.write(new Taps(List.of()))))
        .id();
  }

  /** Those under way, the first begun first. */
  @Transactional(readOnly = true)
  List<WashRunView> all(UUID household, Instant now) {
    return repository.findByHouseholdIdOrderByBeganAt(household).stream()
        .map(row -> view(household, row, now))
        .toList();
  }

  private WashRunRow row(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("wash day"));
  }

  private WashRunRow seen(UUID household, UUID id, long version) {
    WashRunRow row = row(household, id);
    if (row.version() != version) {
      throw Problem.conflict("Somebody was quicker. Look at the wash day again.");
    }
    return row;
  }

  WashRunView view(UUID household, UUID id, Instant now) {
    return view(household, row(household, id), now);
  }

  private Taps taps(WashRunRow row) {
    return stored.read(row.taps(), Taps.class);
  }

  private Sheets.Made sheet(UUID household, WashRunRow row, Instant now) {
    SheetForm form = stored.read(row.asked(), SheetForm.class);
    // Begun yesterday evening it is still the same wash day.
    java.time.LocalDate today = sheets.today(household, now);
    SheetForm standing =
        form.day().isBefore(today) ? new SheetForm(today, form.startsAt(), form.heads()) : form;
    return sheets.of(household, standing, now);
  }

  private WashRunView view(UUID household, WashRunRow row, Instant now) {
    Sheets.Made made = sheet(household, row, now);
    List<Taps.Tap> taps = taps(row).taps();
    List<List<WashStep>> heads = made.sheet().heads().stream().map(Sheet.Head::steps).toList();
    List<Progress> progress = new ArrayList<>();
    List<ProgressView> shown = new ArrayList<>();
    for (int h = 0; h < heads.size(); h++) {
      Taps.@Nullable Tap last = last(taps, h);
      int done = last == null ? 0 : Math.min(heads.get(h).size(), last.step() + 1);
      progress.add(
          last == null ? Progress.NONE : new Progress(done, minutes(row.beganAt(), last.at())));
      boolean over = done >= heads.get(h).size();
      shown.add(
          new ProgressView(
              done, last == null || over ? null : rest(heads.get(h).get(done - 1), last.at())));
    }
    WashOrder order = WashOrder.searched(heads, progress, minutes(row.beganAt(), now));
    return new WashRunView(
        row.id(),
        row.version(),
        now,
        row.beganAt(),
        made.view(),
        shown,
        order.items().stream().map(ItemView::of).toList());
  }

  private static Taps.@Nullable Tap last(List<Taps.Tap> taps, int head) {
    return taps.stream().filter(tap -> tap.head() == head).reduce((a, b) -> b).orElse(null);
  }

  private static double minutes(Instant from, Instant to) {
    return Duration.between(from, to).toMillis() / 60_000.0;
  }

  private static @Nullable RestView rest(WashStep step, Instant from) {
    return step.rest()
        .map(
            rest ->
                new RestView(
                    from,
                    after(from, rest.least()),
                    after(from, rest.usual()),
                    after(from, rest.most()),
                    rest.then()))
        .orElse(null);
  }

  private static Instant after(Instant from, double minutes) {
    return from.plusMillis(Math.round(minutes * 60_000));
  }

  /** A step of a head ended. The steps of one head end in their order. */
  @Transactional
  void tap(UUID household, UUID id, StepTap tap, Instant now) {
    WashRunRow row = row(household, id);
    double ago = tap.secondsAgo() == null ? 0 : tap.secondsAgo();
    if (!(ago >= 0 && ago <= LATEST_TAP_S)) {
      throw Problem.invalid(
          FieldProblem.range(
              "secondsAgo", String.valueOf(ago), "Within the last day.", 0, LATEST_TAP_S));
    }
    Sheets.Made made = sheet(household, row, now);
    if (tap.head() < 0 || tap.head() >= made.sheet().heads().size()) {
      throw Problem.invalid(FieldProblem.of("head", tap.head(), "There is no such head."));
    }
    List<WashStep> steps = made.sheet().heads().get(tap.head()).steps();
    List<Taps.Tap> taps = new ArrayList<>(taps(row).taps());
    Taps.@Nullable Tap last = last(taps, tap.head());
    int next = last == null ? 0 : last.step() + 1;
    if (tap.step() < 0 || tap.step() >= steps.size()) {
      throw Problem.invalid(FieldProblem.of("step", tap.step(), "There is no such step."));
    }
    if (tap.step() != next) {
      throw Problem.conflict("Somebody was quicker: that step is not the next one.");
    }
    Instant at = now.minusMillis(Math.round(ago * 1000));
    Instant earliest = last == null ? row.beganAt() : last.at();
    Instant ended = at.isBefore(earliest) ? earliest : at;
    taps.add(new Taps.Tap(tap.head(), tap.step(), ended));
    row.tapped(stored.write(new Taps(taps)));
    repository.saveAndFlush(row);
    remind(household, row, made.sheet(), taps, now);
  }

  /** The last tap was none. */
  @Transactional
  void untap(UUID household, UUID id, long version, Instant now) {
    WashRunRow row = seen(household, id, version);
    List<Taps.Tap> taps = new ArrayList<>(taps(row).taps());
    if (taps.isEmpty()) {
      throw Problem.conflict("There is nothing to take back here.");
    }
    taps.remove(taps.size() - 1);
    row.tapped(stored.write(new Taps(taps)));
    repository.saveAndFlush(row);
    remind(household, row, sheet(household, row, now).sheet(), taps, now);
  }

  /** Asks for something else while it is under way: another bottle, a place left out. */
  @Transactional
  void ask(UUID household, UUID id, long version, SheetForm form, Instant now) {
    WashRunRow row = seen(household, id, version);
    SheetForm otherwise = new SheetForm(form.day(), row.beganAt(), form.heads());
    sheets.of(household, otherwise, now);
    row.ask(stored.write(otherwise));
    repository.saveAndFlush(row);
  }

  /** Somebody, or an occasion, is no longer there: the others' wash day goes on without them. */
  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void changed(PeopleChanged event) {
    for (WashRunRow row : repository.findByHouseholdIdOrderByBeganAt(event.household())) {
      SheetForm form = stored.read(row.asked(), SheetForm.class);
      List<Integer> there = sheets.known(event.household(), form);
      if (there.size() == form.heads().size()) {
        continue;
      }
      if (there.isEmpty()) {
        end(event.household(), row.id());
        continue;
      }
      row.ask(
          stored.write(
              new SheetForm(
                  form.day(), form.startsAt(), there.stream().map(form.heads()::get).toList())));
      List<Taps.Tap> taps =
          taps(row).taps().stream()
              .filter(tap -> there.contains(tap.head()))
              .map(tap -> new Taps.Tap(there.indexOf(tap.head()), tap.step(), tap.at()))
              .toList();
      row.tapped(stored.write(new Taps(taps)));
      repository.saveAndFlush(row);
      remind(
          event.household(),
          row,
          sheet(event.household(), row, event.at()).sheet(),
          taps,
          event.at());
    }
  }

  private void remind(
      UUID household, WashRunRow row, Sheet sheet, List<Taps.Tap> taps, Instant now) {
    List<Due> dues = new ArrayList<>();
    for (int h = 0; h < sheet.heads().size(); h++) {
      Sheet.Head head = sheet.heads().get(h);
      Taps.@Nullable Tap last = last(taps, h);
      if (last == null || last.step() + 1 >= head.steps().size()) {
        continue;
      }
      Optional<Contact> rest = head.steps().get(last.step()).rest();
      if (rest.isPresent()) {
        String occasion = "person:" + head.person() + ":run:" + row.id() + ":" + last.step() + ":";
        due(dues, occasion, after(last.at(), rest.get().usual()), Due.Kind.NOW, head, rest.get());
        due(dues, occasion, after(last.at(), rest.get().most()), Due.Kind.LATE, head, rest.get());
      }
    }
    dues.removeIf(due -> due.at().isBefore(now));
    reminders.replace(household, subject(row.id()), dues);
  }

  private static void due(
      List<Due> dues, String occasion, Instant at, Due.Kind kind, Sheet.Head head, Contact rest) {
    String words =
        kind == Due.Kind.LATE ? "It has been on long enough. " + rest.then() : rest.then();
    dues.add(
        new Due(
            occasion + kind + ":" + at.getEpochSecond(),
            at,
            kind,
            head.name(),
            words,
            "/use/sheet"));
  }

  private static String subject(UUID run) {
    return "washrun:" + run;
  }

  /** It is over, or was never begun: nothing calls any more. */
  @Transactional
  void end(UUID household, UUID id) {
    WashRunRow row = row(household, id);
    reminders.replace(household, subject(id), List.of());
    repository.delete(row);
    repository.flush();
  }
}
