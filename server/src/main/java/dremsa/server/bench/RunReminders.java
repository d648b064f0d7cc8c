package dremsa.server.bench;

import dremsa.core.brew.Prompt;
import dremsa.core.measure.Said;
import dremsa.server.reminders.Due;
import dremsa.server.reminders.Reminders;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Plans what a run will call for: at its start, and while its present step lasts. */
@Component
class RunReminders {
  private final Runs runs;
  private final Reminders reminders;

  RunReminders(Runs runs, Reminders reminders) {
    this.runs = runs;
    this.reminders = reminders;
  }

  void plan(Batch batch, Instant now) {
    List<Due> dues = new ArrayList<>();
    if (batch.status() == Batch.Status.PLANNED) {
      dues.add(due(batch, "begin", batch.startedAt(), Due.Kind.NOW, "Time to begin"));
    } else if (batch.status() == Batch.Status.RUNNING) {
      Instant began = batch.steps().get(batch.step()).startedAt();
      for (Moment moment : Moment.of(batch, runs.of(batch, now))) {
        if (moment.at().isAfter(now)) {
          String which =
              Said.of(
                  "%d:%d:%s:%d",
                  batch.step(),
                  began.getEpochSecond(),
                  moment.kind(),
                  moment.at().getEpochSecond());
          dues.add(due(batch, which, moment.at(), loudness(moment.kind()), moment.words()));
        }
      }
    }
    reminders.replace(batch.householdId(), subject(batch), dues);
  }

  void forget(Batch batch) {
    reminders.replace(batch.householdId(), subject(batch), List.of());
  }

  private static Due due(Batch batch, String which, Instant at, Due.Kind kind, String words) {
    return new Due(
        subject(batch) + ":" + which,
        at,
        kind,
        batch.code() + " " + batch.formulaName(),
        words,
        "/brew/" + batch.id());
  }

  private static Due.Kind loudness(Prompt.Kind kind) {
    return switch (kind) {
      case SOON -> Due.Kind.SOON;
      case LATE -> Due.Kind.LATE;
      case FIRST, STIR, SHAKE, LOOK, NOW -> Due.Kind.NOW;
    };
  }

  private static String subject(Batch batch) {
    return "batch:" + batch.id();
  }
}
