package dremsa.server.bench;

import dremsa.core.brew.Reading;
import dremsa.core.check.Plausibility;
import dremsa.core.check.Plausibility.Answer;
import dremsa.core.check.Plausibility.Judgement;
import dremsa.core.measure.Said;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.util.List;
import java.util.TreeMap;
import org.springframework.http.HttpStatus;

/** Holds what a maker says of a step against what can be; refuses it, or asks back. */
final class Claims {
  /** Jugs and eyes differ by so much; a bottle more than there was is a slip. */
  private static final double EYE = 1.05;

  private static final double EYE_ML = 10;

  private Claims() {}

  static void check(Runs.Run run, int index, Bench.Done done) {
    double end = run.prediction().steps().get(index).endMinute();
    new TreeMap<>(done.readings())
        .forEach(
            (kind, value) -> check("readings." + kind, value, done.sure(), run, kind, index, end));
  }

  /** Holds a reading at a step and a minute since the first against what can be. */
  static void check(
      String field,
      double value,
      boolean sure,
      Runs.Run run,
      Reading kind,
      int step,
      double minute) {
    check(
        field,
        value,
        sure,
        Plausibility.reading(kind, value, run.brew(), run.prediction(), step, minute));
  }

  /**
   * Refuses what cannot be, and asks back what surprises.
   *
   * @param sure the maker was asked back already, and says that it is right
   */
  private static void check(String field, double value, boolean sure, Judgement judged) {
    FieldProblem at =
        FieldProblem.range(
            field,
            Double.isFinite(value) ? (Object) value : String.valueOf(value),
            judged.why(),
            judged.low(),
            judged.high());
    if (judged.answer() == Answer.REFUSED) {
      throw Problem.invalid(at);
    }
    if (judged.answer() == Answer.ASKED_BACK && !sure) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "questioned", judged.why(), List.of(at));
    }
  }

  static void checkBottles(Runs.Run run, List<BatchBottled.Filled> bottles) {
    if (bottles == null || bottles.isEmpty()) {
      throw Problem.invalid(FieldProblem.of("bottles", null, "Say which bottles it went into."));
    }
    double there = Math.max(1, run.prediction().finished().millilitres());
    double sum = 0;
    for (int i = 0; i < bottles.size(); i++) {
      BatchBottled.Filled bottle = bottles.get(i);
      if (bottle.millilitres() > bottle.sizeMl()) {
        throw Problem.invalid(
            FieldProblem.range(
                "bottles[" + i + "].millilitres",
                bottle.millilitres(),
                Said.of("This bottle holds %.0f mL.", bottle.sizeMl()),
                1,
                bottle.sizeMl()));
      }
      sum += bottle.millilitres();
    }
    double most = there * EYE + EYE_ML;
    if (sum > most) {
      throw Problem.invalid(
          FieldProblem.range(
              "bottles",
              sum,
              Said.of("There are about %.0f mL to fill, not %.0f mL.", there, sum),
              1,
              most));
    }
  }
}
