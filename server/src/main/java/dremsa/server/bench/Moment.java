package dremsa.server.bench;

import dremsa.core.brew.Prompt;
import dremsa.core.brew.Prompts;
import dremsa.core.brew.StepOutcome;
import java.time.Instant;
import java.util.List;

/** A call for hands or eyes, at its time. */
record Moment(Instant at, Prompt.Kind kind, String words) {
  /** What the present step of a running batch calls for, in the order of time. */
  static List<Moment> of(Batch batch, Runs.Run run) {
    StepDone.State present = batch.steps().get(batch.step());
    StepOutcome outcome = run.prediction().steps().get(batch.step());
    return Prompts.of(run.brew(), outcome, present.extendedMin()).stream()
        .map(p -> new Moment(after(present.startedAt(), p.minute()), p.kind(), p.words()))
        .toList();
  }

  static Instant after(Instant start, double minutes) {
    return start.plusMillis(Math.round(minutes * 60_000));
  }
}
