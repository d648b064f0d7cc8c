package dremsa.server.bench;

import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.check.Ending;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Asks before a step is ended too early, with what that does to the batch. */
@Component
class Endings {
  /** Type of the problem that asks; its errors name each effect. */
  static final String EARLY = "early";

  private final Households households;
  private final RunKeeping keeping;

  Endings(Households households, RunKeeping keeping) {
    this.households = households;
    this.keeping = keeping;
  }

  /**
   * Asks, unless the step can simply be ended.
   *
   * @param done what the maker says of the present step
   */
  void ask(Batch batch, Runs.Run run, Bench.Done done, Instant at) {
    int index = batch.step();
    double minutes = Happened.minutes(batch.steps().get(index).startedAt(), at);
    StepFacts read = run.facts().of(index);
    for (Map.Entry<Reading, Double> reading : done.readings().entrySet()) {
      read = read.with(reading.getKey(), reading.getValue());
    }
    Facts facts = run.facts().with(index, read);
    Household household = households.of(batch.householdId());
    Ending.question(
            run.brew(),
            run.scale(),
            run.vessels(),
            facts,
            index,
            minutes,
            done.cueSeen(),
            prediction -> lastDay(household, batch, run, prediction))
        .ifPresent(
            question -> {
              throw new Problem(
                  HttpStatus.UNPROCESSABLE_CONTENT,
                  EARLY,
                  question.words(),
                  List.copyOf(question.effects().stream().map(Endings::field).toList()));
            });
  }

  private static FieldProblem field(Ending.Effect effect) {
    return FieldProblem.of("anyway", effect.name(), effect.name() + ": " + effect.words());
  }

  private LocalDate lastDay(Household household, Batch batch, Runs.Run run, Prediction prediction) {
    return keeping
        .of(household, batch, run)
        .judge(
            run.brew(),
            prediction,
            Moment.after(batch.startedAt(), prediction.heat().bottledMinute()))
        .lastDay();
  }
}
