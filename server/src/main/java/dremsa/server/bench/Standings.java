package dremsa.server.bench;

import dremsa.core.acid.Sourness;
import dremsa.core.brew.Prompt;
import dremsa.core.brew.Ripening;
import dremsa.core.check.HardStop;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.formula.Window;
import dremsa.core.keep.Verdict;
import dremsa.server.accounts.Household;
import dremsa.server.bench.RunJson.DayLine;
import dremsa.server.bench.RunJson.StandingLine;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Draws up ferments, soaks and macerations by the day. */
@Component
class Standings {
  private static final double DAY_MIN = 24 * 60;

  /** From so long on a step is looked at by the day. */
  private static final double LONG_MIN = 8 * 60;

  private final RunKeeping keeping;

  Standings(RunKeeping keeping) {
    this.keeping = keeping;
  }

  Optional<StandingLine> of(Household household, Batch batch, Runs.Run run, Instant now) {
    Step step = run.brew().formula().steps().get(batch.step());
    Optional<Window> window = step.window();
    boolean ferments = step.kind() == StepKind.FERMENT;
    if (!step.stands() || window.isEmpty() || window.get().usual() < LONG_MIN) {
      return Optional.empty();
    }
    StepDone.State present = batch.steps().get(batch.step());
    double elapsed = Happened.minutes(present.startedAt(), now);
    Optional<Ripening> ripening =
        ferments
            ? Optional.of(Ripening.of(run.facts().of(batch.step()), run.brew().kitchen(), elapsed))
            : Optional.empty();
    Verdict verdict = keeping.of(household, batch, run).judge(run.brew(), run.prediction(), now);
    boolean budget = !Double.isInfinite(verdict.budgetHours());
    double usual = window.get().usual() + present.extendedMin();
    return Optional.of(
        new StandingLine(
            (int) Math.floor(elapsed / DAY_MIN) + 1,
            (int) Math.max(1, Math.ceil(usual / DAY_MIN)),
            ripening.map(Ripening::stage).orElse(null),
            ripening.map(r -> r.stage().words()).orElse(null),
            ripening.map(r -> r.ph().value()).orElse(null),
            ripening.map(r -> at(now, r.toMild())).orElse(null),
            ripening.map(r -> at(now, r.toFull())).orElse(null),
            ripening.map(r -> at(now, r.toStrong())).orElse(null),
            run.prediction().momentAt(Happened.minutes(batch.startedAt(), now)).strength() * 100,
            budget ? verdict.spentHours() : 0,
            budget ? verdict.budgetHours() : null,
            ripening.map(r -> !r.ph().surelyAtMost(Sourness.Ph.ACID_FOOD)).orElse(false),
            days(household, batch, run, present, elapsed),
            Arrays.stream(HardStop.values())
                .filter(stop -> !(ferments && stop.normalForFerment()))
                .map(HardStop::words)
                .toList()));
  }

  private static @Nullable Instant at(Instant now, double minutes) {
    return Double.isInfinite(minutes) ? null : Moment.after(now, minutes);
  }

  /** Days from the first to today; a day is one of the household's. */
  private static List<DayLine> days(
      Household household, Batch batch, Runs.Run run, StepDone.State present, double elapsed) {
    List<LocalDate> shakes =
        Moment.of(batch, run).stream()
            .filter(m -> m.kind() == Prompt.Kind.SHAKE)
            .map(m -> date(household, m.at()))
            .toList();
    LocalDate first = date(household, present.startedAt());
    LocalDate today = date(household, Moment.after(present.startedAt(), elapsed));
    List<DayLine> days = new ArrayList<>();
    int number = 1;
    for (LocalDate day = first; !day.isAfter(today); day = day.plusDays(1)) {
      LocalDate of = day;
      List<BatchEntry.What> entered =
          run.log().stream()
              .filter(e -> e.stepIndex() == batch.step())
              .filter(e -> date(household, e.enteredAt()).equals(of))
              .map(BatchEntry::what)
              .toList();
      days.add(
          new DayLine(
              number++,
              day,
              shakes.contains(day),
              entered.stream().anyMatch(e -> e.kind() == BatchEntry.Kind.SHAKEN),
              last(entered, BatchEntry.Kind.TEMPERATURE),
              last(entered, BatchEntry.Kind.PH),
              entered.stream()
                  .filter(
                      e -> e.kind() == BatchEntry.Kind.SMELL || e.kind() == BatchEntry.Kind.NOTE)
                  .map(BatchEntry.What::words)
                  .toList()));
    }
    return days;
  }

  private static @Nullable Double last(List<BatchEntry.What> entered, BatchEntry.Kind kind) {
    return entered.stream()
        .filter(e -> e.kind() == kind)
        .reduce((a, b) -> b)
        .map(BatchEntry.What::amount)
        .orElse(null);
  }

  private static LocalDate date(Household household, Instant at) {
    return household.day(at);
  }
}
