package dremsa.core.scale;

import dremsa.core.kitchen.Container;
import dremsa.core.measure.AmountReader;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.Dimension;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.TypedAmount;
import dremsa.core.measure.UnreadableAmountException;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads how much of a bottle was used, as makers say it. */
public final class Used {
  private static final Pattern STROKES =
      Pattern.compile("(\\d+)\\s*(strokes?|sprays?|pumps?|puffs?)");
  private static final Pattern SHARE =
      Pattern.compile(
          "(?:about |roughly )?(?:an? |the )?"
              + "(half|third|quarter|two thirds|three quarters|rest|all|1/2|1/3|1/4|2/3|3/4)"
              + "(?: of it)?");
  private static final Pattern PLAIN = Pattern.compile("\\d+(?:[.,]\\d+)?");

  private Used() {}

  /**
   * Millilitres of what was typed: {@code "40"}, {@code "2 tbsp"}, {@code "10 strokes"}, {@code
   * "about a third"}. A share is of what is left.
   *
   * @throws UnreadableAmountException when it cannot be read
   * @throws IllegalArgumentException when it is no volume
   */
  public static double millilitres(
      String typed,
      Container container,
      double leftMl,
      MeasureSystem system,
      CountMeasures counts) {
    String words = typed.strip().toLowerCase(Locale.ROOT);
    Matcher strokes = STROKES.matcher(words);
    if (strokes.matches()) {
      double stroke =
          container == Container.SPRAY ? Dose.MIST_STROKE.value() : Dose.TRIGGER_STROKE.value();
      return Integer.parseInt(strokes.group(1)) * stroke;
    }
    Matcher share = SHARE.matcher(words);
    if (share.matches()) {
      return leftMl * share(share.group(1));
    }
    if (PLAIN.matcher(words).matches()) {
      return Double.parseDouble(words.replace(',', '.'));
    }
    TypedAmount amount = AmountReader.of(system, counts).read(typed);
    if (amount.measure().dimension() != Dimension.VOLUME) {
      throw new IllegalArgumentException(
          "Say it in mL, spoons, strokes or as a share: 40, 2 tbsp, 10 strokes, a third");
    }
    return amount.size();
  }

  private static double share(String word) {
    return switch (word) {
      case "half", "1/2" -> 1.0 / 2;
      case "third", "1/3" -> 1.0 / 3;
      case "quarter", "1/4" -> 1.0 / 4;
      case "two thirds", "2/3" -> 2.0 / 3;
      case "three quarters", "3/4" -> 3.0 / 4;
      default -> 1;
    };
  }
}
