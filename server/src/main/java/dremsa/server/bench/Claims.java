package dremsa.server.bench;

import dremsa.core.brew.Weighing;
import dremsa.core.check.Plausibility;
import dremsa.core.check.Plausibility.Answer;
import dremsa.core.check.Plausibility.Judgement;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.Said;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.util.List;
import org.springframework.http.HttpStatus;

/** Holds what a maker says of a step against what can be; refuses it, or asks back. */
final class Claims {
  /** Jugs and eyes differ by so much; a bottle more than there was is a slip. */
  private static final double EYE = 1.05;

  private static final double EYE_ML = 10;

  private Claims() {}

  static void check(Runs.Run run, int index, Bench.Done done) {
    double end = run.prediction().steps().get(index).endMinute();
    double millilitres = run.prediction().steps().get(index).millilitres();
    if (done.measuredMl() != null) {
      check("measuredMl", done.measuredMl(), done.sure(), volume(run, millilitres, done));
    }
    if (done.measuredC() != null) {
      check(
          "measuredC",
          done.measuredC(),
          done.sure(),
          Plausibility.temperature(done.measuredC(), run.prediction(), end, oily(run)));
    }
    if (done.measuredG() != null) {
      check("measuredG", done.measuredG(), done.sure(), weight(run, done.measuredG(), end));
    }
    if (done.measuredPh() != null) {
      check("measuredPh", done.measuredPh(), done.sure(), Plausibility.ph(done.measuredPh()));
    }
  }

  private static Judgement volume(Runs.Run run, double expected, Bench.Done done) {
    return Plausibility.amount(done.measuredMl(), run.prediction().account().in(), expected, "mL");
  }

  /** A pot on the scale holds at most what went in, plants and all. */
  static Judgement weight(Runs.Run run, double grams, double minute) {
    double all = run.prediction().amounts().values().stream().mapToDouble(g -> g).sum();
    double most = Math.max(run.prediction().account().in(), all);
    double expected = Weighing.gramsAt(run.brew(), run.prediction(), minute);
    return Plausibility.amount(grams, most, expected, "g");
  }

  static boolean oily(Runs.Run run) {
    return run.brew().materials().stream()
        .map(Material::kind)
        .anyMatch(kind -> kind == MaterialKind.CARRIER_OIL);
  }

  /**
   * Refuses what cannot be, and asks back what surprises.
   *
   * @param sure the maker was asked back already, and says that it is right
   */
  static void check(String field, double value, boolean sure, Judgement judged) {
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
