package dremsa.core.measure;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/**
 * Reads amounts as people type them: {@code "1 1/2 tbsp"}, {@code "¼ c"}, {@code "2-3 sprigs"},
 * {@code "a glass"}, {@code "100 mL of buds"}, {@code "1,5 dl"}.
 *
 * <p>A spoon or cup is the one of the maker's own system. A comma between digits is a decimal
 * comma.
 */
public final class AmountReader {
  private static final double MOST = 1e6;
  private static final int LONGEST = 120;

  private final Map<String, KitchenMeasure> byName = new HashMap<>();

  private AmountReader(MeasureSystem system, CountMeasures counts) {
    for (KitchenMeasure measure : KitchenMeasures.common()) {
      name(measure, measure.symbol(), measure.symbol() + "s");
    }
    name(KitchenMeasures.GRAM, "gram", "grams", "gramme", "grammes", "gr");
    name(KitchenMeasures.KILOGRAM, "kilo", "kilos", "kilogram", "kilograms");
    name(KitchenMeasures.OUNCE, "ounce", "ounces");
    name(KitchenMeasures.POUND, "pound", "pounds");
    name(
        KitchenMeasures.MILLILITRE, "millilitre", "millilitres", "milliliter", "milliliters", "cc");
    name(KitchenMeasures.CENTILITRE, "centilitre", "centilitres");
    name(KitchenMeasures.DECILITRE, "decilitre", "decilitres");
    name(KitchenMeasures.LITRE, "litre", "litres", "liter", "liters");
    for (KitchenMeasure measure : KitchenMeasures.volumesOf(system)) {
      switch (measure.symbol()) {
        case "cup" -> name(measure, "cup", "cups", "c");
        case "tbsp" -> name(measure, "tbsp", "tbsps", "tablespoon", "tablespoons", "tbs", "tb");
        case "tsp" -> name(measure, "tsp", "tsps", "teaspoon", "teaspoons");
        case "dsp" -> name(measure, "dsp", "dessertspoon", "dessertspoons");
        case "fl oz" -> name(measure, "fl oz", "floz", "fluid ounce", "fluid ounces");
        case "pint" -> name(measure, "pint", "pints", "pt");
        default -> name(measure, measure.symbol());
      }
    }
    for (KitchenMeasure measure : KitchenMeasures.largeOf(system)) {
      name(measure, measure.symbol(), measure.symbol() + "s");
      boolean gallon = measure.symbol().equals("gallon");
      name(measure, gallon ? "gal" : "qt", gallon ? "gals" : "qts");
    }
    name(KitchenMeasures.US_GALLON, "us gallon", "us gallons");
    name(KitchenMeasures.US_QUART, "us quart", "us quarts");
    name(KitchenMeasures.US_PINT, "us pint", "us pints");
    name(KitchenMeasures.UK_GALLON, "imperial gallon", "imperial gallons", "uk gallon");
    name(KitchenMeasures.UK_QUART, "imperial quart", "imperial quarts", "uk quart");
    name(KitchenMeasures.UK_PINT, "imperial pint", "imperial pints", "uk pint");
    for (KitchenMeasure measure : counts.all()) {
      name(measure, measure.symbol(), measure.symbol() + "s");
    }
    name(CountMeasures.LEAF, "leaves");
    counts.all().stream()
        .filter(measure -> measure.id().equals("glass"))
        .forEach(measure -> name(measure, "glasses"));
    counts.all().stream()
        .filter(measure -> measure.id().equals("pinch"))
        .forEach(measure -> name(measure, "pinches"));
  }

  /** A reader for a maker's measures. */
  public static AmountReader of(MeasureSystem system, CountMeasures counts) {
    return new AmountReader(system, counts);
  }

  private void name(KitchenMeasure measure, String... names) {
    for (String name : names) {
      byName.put(name.toLowerCase(Locale.ROOT), measure);
    }
  }

  /**
   * Reads an amount.
   *
   * @throws UnreadableAmountException says at which character it stopped making sense
   */
  public TypedAmount read(String typed) {
    if (typed.length() > LONGEST) {
      throw new UnreadableAmountException(
          LONGEST, "An amount has at most " + LONGEST + " characters.");
    }
    return new Cursor(typed).amount();
  }

  private final class Cursor {
    private final String text;
    private int at;

    Cursor(String text) {
      this.text = text.toLowerCase(Locale.ROOT);
    }

    TypedAmount amount() {
      skip();
      double low = number();
      double high = low;
      int mark = at;
      skip();
      if (take("-") || take("–") || takeWord("to")) {
        skip();
        high = number();
      } else {
        at = mark;
      }
      skip();
      takeWord("a");
      skip();
      KitchenMeasure measure = measure();
      skip();
      takeWord("of");
      skip();
      String rest = text.substring(at).strip();
      if (!(low > 0) || high < low || high > MOST) {
        throw new UnreadableAmountException(
            0, "An amount is above 0 and at most a million, the smaller number first.");
      }
      return new TypedAmount(low, high, measure, rest);
    }

    private double number() {
      if (takeWord("a") || takeWord("an") || takeWord("one")) {
        return 1;
      }
      if (takeWord("half")) {
        return 0.5;
      }
      if (takeWord("two")) {
        return 2;
      }
      if (takeWord("three")) {
        return 3;
      }
      double whole = 0;
      boolean any = false;
      if (digit()) {
        whole = decimal();
        any = true;
        if (take("/")) {
          return over(whole);
        }
      }
      int mark = at;
      skip();
      for (TypedAmount.Fraction fraction : TypedAmount.Fraction.values()) {
        if (at < text.length() && text.charAt(at) == fraction.sign()) {
          at++;
          return whole + fraction.value();
        }
      }
      if (any && digit()) {
        double top = decimal();
        if (take("/")) {
          return whole + over(top);
        }
      }
      at = mark;
      if (!any) {
        throw new UnreadableAmountException(at, "Start with a number, such as 2 or 1 1/2.");
      }
      return whole;
    }

    private double over(double top) {
      int where = at;
      double bottom = digit() ? decimal() : 0;
      if (bottom == 0) {
        throw new UnreadableAmountException(where, "A fraction needs a number below its line.");
      }
      return top / bottom;
    }

    private double decimal() {
      int start = at;
      while (digit()) {
        at++;
      }
      if (at + 1 < text.length()
          && (text.charAt(at) == '.' || text.charAt(at) == ',')
          && Character.isDigit(text.charAt(at + 1))) {
        at++;
        while (digit()) {
          at++;
        }
      }
      return Double.parseDouble(text.substring(start, at).replace(',', '.'));
    }

    private KitchenMeasure measure() {
      // The longest name first, so that "fl oz" is not taken for something shorter.
      for (int end = text.length(); end > at; end--) {
        boolean wordEnds = end == text.length() || !Character.isLetter(text.charAt(end));
        KitchenMeasure found = wordEnds ? byName.get(text.substring(at, end).strip()) : null;
        if (found != null) {
          at = end;
          if (take(".")) {
            skip();
          }
          return found;
        }
      }
      if (text.startsWith("%", at) || text.startsWith("percent", at)) {
        throw new UnreadableAmountException(
            at,
            "Percent of what? Give grams or drops, or dose it as a share of the finished brew.");
      }
      throw new UnreadableAmountException(
          at,
          at >= text.length()
              ? "Say in which measure, such as g, mL or tbsp."
              : "'" + text.substring(at).strip() + "' is no measure known here.");
    }

    private boolean digit() {
      return at < text.length() && text.charAt(at) >= '0' && text.charAt(at) <= '9';
    }

    private void skip() {
      while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
        at++;
      }
    }

    private boolean take(String sign) {
      if (text.startsWith(sign, at)) {
        at += sign.length();
        return true;
      }
      return false;
    }

    private boolean takeWord(String word) {
      int end = at + word.length();
      if (text.startsWith(word, at)
          && (end == text.length() || !Character.isLetter(text.charAt(end)))) {
        at = end;
        return true;
      }
      return false;
    }
  }
}
