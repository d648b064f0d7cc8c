package dremsa.server.predictions;

import dremsa.core.brew.Prediction;
import dremsa.core.measure.Said;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * When a batch shall start; with neither it starts now.
 *
 * @param startAt its first step
 * @param readyBy its last step is over
 */
public record When(@Nullable Instant startAt, @Nullable Instant readyBy) {
  public static final When NOW = new When(null, null);

  /** Nothing is planned farther ahead. */
  private static final Duration FARTHEST = Duration.ofDays(366);

  /** A start so little in the past is meant as now. */
  private static final Duration JUST_NOW = Duration.ofMinutes(5);

  /** Whether nobody said when. */
  public boolean isNow() {
    return startAt == null && readyBy == null;
  }

  /**
   * When its first step begins.
   *
   * @param prediction of the batch: how long it takes
   * @throws Problem when that is over already, or farther off than a year
   */
  public Instant starts(Prediction prediction, Instant at) {
    if (startAt != null && readyBy != null) {
      throw Problem.invalid(
          FieldProblem.of("readyBy", readyBy, "Say when to start or when it shall be ready."));
    }
    if (startAt == null && readyBy == null) {
      return at;
    }
    double minutes = prediction.steps().get(prediction.steps().size() - 1).endMinute();
    boolean ready = readyBy != null;
    Instant starts =
        readyBy == null
            ? Objects.requireNonNull(startAt)
            : readyBy.minusMillis(Math.round(minutes * 60_000));
    String field = ready ? "readyBy" : "startAt";
    if (starts.isBefore(at.minus(JUST_NOW))) {
      throw Problem.invalid(
          FieldProblem.of(
              field,
              ready ? readyBy : startAt,
              ready
                  ? Said.of(
                      "It takes about %s: begun now it is ready then.", Said.duration(minutes))
                  : "That is over already. Start it now or later."));
    }
    if (starts.isAfter(at.plus(FARTHEST))) {
      throw Problem.invalid(
          FieldProblem.of(field, starts, "Nothing is planned more than a year ahead."));
    }
    return starts.isBefore(at) ? at : starts;
  }
}
