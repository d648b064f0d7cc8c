package dremsa.core.check;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Cooling;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Reading;
import dremsa.core.brew.Weighing;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.Said;
import java.util.List;

/** Judges what a maker typed or a device read, before it replaces what the model says. */
public final class Plausibility {
  /** A brew in a kitchen is between frozen and boiling; syrups and altitude leave a little room. */
  static final double COLDEST_C = -25;

  static final double HOTTEST_C = 105;

  /** Oil in a water bath or on the lowest heat stays below this, °C. */
  static final double HOTTEST_OIL_C = 150;

  /** Farther from the model than this is asked back, °C. */
  static final double SURPRISING_C = 15;

  private static final double LEAST_PH = 1;
  private static final double MOST_PH = 13;
  private static final double SURPRISING_PH_LOW = 2.5;
  private static final double SURPRISING_PH_HIGH = 9;

  /** More than went in by this share is a misread jug; a little is its error. */
  private static final double JUG_ERROR = 1.03;

  private Plausibility() {}

  /** What becomes of a reading. */
  public enum Answer {
    TAKEN,
    /** Possible but surprising: taken once the maker says that it is right. */
    ASKED_BACK,
    REFUSED
  }

  /**
   * A judgement.
   *
   * @param why empty where it is taken
   * @param low the least that is taken at all
   * @param high the most that is taken at all
   */
  public record Judgement(Answer answer, String why, double low, double high) {}

  /**
   * Judges a reading of a run.
   *
   * @param step at which it was taken
   * @param minute since the first step
   */
  public static Judgement reading(
      Reading kind, double value, Brew brew, Prediction prediction, int step, double minute) {
    double in = prediction.account().in();
    return switch (kind) {
      case TEMPERATURE -> temperature(value, prediction, minute, oily(brew));
      case VOLUME -> amount(value, in, prediction.steps().get(step).millilitres(), "mL");
      case WEIGHT -> {
        // A pot on the scale holds at most what went in, plants and all.
        double all = prediction.amounts().values().stream().mapToDouble(g -> g).sum();
        double expected = Weighing.gramsAt(brew, prediction, minute);
        yield amount(value, Math.max(in, all), expected, "g");
      }
      case PH -> ph(value);
    };
  }

  private static boolean oily(Brew brew) {
    return brew.materials().stream()
        .anyMatch(material -> material.kind() == MaterialKind.CARRIER_OIL);
  }

  /**
   * Judges a temperature.
   *
   * @param prediction of the run
   * @param minute since the first step
   * @param oily whether it is oil, which can be hotter than water
   */
  public static Judgement temperature(
      double celsius, Prediction prediction, double minute, boolean oily) {
    double hottest = oily ? HOTTEST_OIL_C : HOTTEST_C;
    if (!(celsius >= COLDEST_C && celsius <= hottest)) {
      return new Judgement(
          Answer.REFUSED,
          said("A brew is %.0f to %.0f °C. Is that Fahrenheit?", COLDEST_C, hottest),
          COLDEST_C,
          hottest);
    }
    double expected = Cooling.celsiusAt(prediction, minute);
    boolean surprising = Math.abs(celsius - expected) > SURPRISING_C;
    return new Judgement(
        surprising ? Answer.ASKED_BACK : Answer.TAKEN,
        surprising
            ? said("About %.0f °C would be expected now. Is %.0f °C right?", expected, celsius)
            : "",
        COLDEST_C,
        hottest);
  }

  /**
   * Judges a volume or a weight at the end of a step.
   *
   * @param amount mL or g
   * @param most that can be there: what went in
   * @param expected by the model
   * @param unit for the words
   */
  public static Judgement amount(double amount, double most, double expected, String unit) {
    double highest = Math.max(1, most * JUG_ERROR);
    if (!(amount > 0 && amount <= highest)) {
      return new Judgement(
          Answer.REFUSED,
          said("Not more than went in: above 0 and up to %.0f " + unit + ".", highest),
          1,
          highest);
    }
    boolean surprising = amount < expected * 0.6 || amount > expected * 1.6;
    return new Judgement(
        surprising ? Answer.ASKED_BACK : Answer.TAKEN,
        surprising
            ? said("About %.0f " + unit + " would be expected. Is %.0f right?", expected, amount)
            : "",
        1,
        highest);
  }

  /** Judges an acidity. */
  public static Judgement ph(double ph) {
    if (!(ph >= LEAST_PH && ph <= MOST_PH)) {
      return new Judgement(
          Answer.REFUSED,
          said("The pH of a brew is %.0f to %.0f.", LEAST_PH, MOST_PH),
          LEAST_PH,
          MOST_PH);
    }
    boolean surprising = ph < SURPRISING_PH_LOW || ph > SURPRISING_PH_HIGH;
    return new Judgement(
        surprising ? Answer.ASKED_BACK : Answer.TAKEN,
        surprising ? said("pH %.1f is rare in a brew. Is the meter calibrated?", ph) : "",
        LEAST_PH,
        MOST_PH);
  }

  /** So many equal readings in a row look stuck, if the model moved meanwhile. */
  public static final int STUCK_READINGS = 4;

  /**
   * Whether a probe seems to be stuck: its last readings are the same to the last digit, while the
   * model says that the temperature must have moved.
   *
   * @param readings the newest last
   * @param predictedChange over their time, °C
   */
  public static boolean stuck(List<Double> readings, double predictedChange) {
    int size = readings.size();
    return size >= STUCK_READINGS
        && readings.subList(size - STUCK_READINGS, size).stream().distinct().count() == 1
        && Math.abs(predictedChange) > 4;
  }

  private static String said(String format, Object... values) {
    return Said.of(format, values);
  }
}
