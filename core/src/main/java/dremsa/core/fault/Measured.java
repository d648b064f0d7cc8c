package dremsa.core.fault;

import dremsa.core.brew.Contents;
import dremsa.core.brew.Prediction;
import dremsa.core.measure.Said;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;

/** What of a prediction is what the maker sees, and what can be done about it now. */
enum Measured {
  THIN(p -> -log(p.finished().thickness()), "%.0f mPa·s", p -> p.finished().thickness()) {
    @Override
    String cure(Brewed brewed) {
      double wanted = brewed.usual().finished().thickness();
      double is = brewed.prediction().finished().thickness();
      if (!(is < wanted * NEARLY)) {
        wanted = 2 * is;
      }
      double off = solve(grams -> thickness(brewed, -grams), wanted, water(brewed) * MOST_STEAMED);
      return Said.of(
          "Steam off about %.0f g in a wide pot, stirring: it comes to %.0f mPa·s. Its date stays"
              + " as it is.",
          off, thickness(brewed, -off));
    }
  },
  THICK(p -> log(p.finished().thickness()), "%.0f mPa·s", p -> p.finished().thickness()) {
    @Override
    String cure(Brewed brewed) {
      double usual = brewed.usual().finished().thickness();
      double is = brewed.prediction().finished().thickness();
      double wanted = is > usual / NEARLY ? usual : is / 2;
      double in = solve(grams -> -thickness(brewed, grams), -wanted, water(brewed) * MOST_ADDED);
      return Said.of(
          "Stir in about %.0f mL of boiled, cooled water: it comes to %.0f mPa·s. Its date stays as"
              + " it is.",
          in, thickness(brewed, in));
    }
  },
  LITTLE(p -> -log(p.finished().millilitres()), "%.0f mL", p -> p.finished().millilitres()) {
    @Override
    String cure(Brewed brewed) {
      double held = brewed.prediction().account().held();
      return held < 1
          ? "What went off as steam is gone."
          : Said.of(
              "About %.0f g are held by what was strained out: press it once more while it is warm.",
              held);
    }
  },
  DRY(Measured::steamed, "%.0f g of steam", p -> p.account().steam()) {
    @Override
    String cure(Brewed brewed) {
      double missing = brewed.prediction().account().steam() - brewed.usual().account().steam();
      return missing > 1
          ? Said.of(
              "Smells it burnt, throw it away. If not, top it up with about %.0f mL of boiling water"
                  + " and go on.",
              missing)
          : "Smells it burnt, throw it away. If not, top it up with boiling water and go on.";
    }
  };

  private static final double NEARLY = 0.9;
  private static final double MOST_STEAMED = 0.8;
  private static final double MOST_ADDED = 4;

  private final ToDoubleFunction<Prediction> badness;
  private final String format;
  private final ToDoubleFunction<Prediction> figure;

  Measured(
      ToDoubleFunction<Prediction> badness, String format, ToDoubleFunction<Prediction> figure) {
    this.badness = badness;
    this.format = format;
    this.figure = figure;
  }

  static Optional<Measured> by(Symptom symptom) {
    return switch (symptom) {
      case TOO_THIN -> Optional.of(THIN);
      case TOO_THICK -> Optional.of(THICK);
      case LITTLE_CAME_OUT -> Optional.of(LITTLE);
      case BOILED_DRY -> Optional.of(DRY);
      default -> Optional.empty();
    };
  }

  /** How much of it there is, in the logarithm; NaN where the model does not know. */
  double badness(Prediction prediction) {
    return badness.applyAsDouble(prediction);
  }

  /** What a prediction has, with its unit. */
  String told(Prediction prediction) {
    return Said.of(format, figure.applyAsDouble(prediction));
  }

  /** What can be done with the batch as it stands. */
  abstract String cure(Brewed brewed);

  private static double log(double value) {
    return Math.log(Math.max(1e-3, value));
  }

  private static double steamed(Prediction prediction) {
    return log(prediction.account().steam());
  }

  private static double water(Brewed brewed) {
    return brewed.prediction().contents().water();
  }

  private static double thickness(Brewed brewed, double grams) {
    Contents contents = brewed.prediction().contents().watered(grams);
    return contents.thickness(brewed.brew().kitchen(), 20);
  }

  /**
   * The amount from 0 up at which a rising function reaches a value; the most where it does not.
   */
  private static double solve(DoubleUnaryOperator rising, double wanted, double most) {
    double low = 0;
    double high = most;
    for (int i = 0; i < 40; i++) {
      double middle = (low + high) / 2;
      if (rising.applyAsDouble(middle) < wanted) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }
}
