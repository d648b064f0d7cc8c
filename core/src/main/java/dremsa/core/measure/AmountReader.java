package dremsa.core.measure;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * Reads amounts as people type them: {@code "1 1/2 tbsp"}, {@code "¼ c"}, {@code "2-3 sprigs"},
 * {@code "a glass"}, {@code "100 mL of buds"}, {@code "1,5 dl"}, {@code "a heaped tablespoon"},
 * {@code "half a cup"}, {@code "a cup and a half"}. Other names of the measures stand in {@code
 * names.csv} beside this class.
 *
 * <p>A spoon or cup is the one of the maker's own system. A comma between digits is a decimal
 * comma, unless three digits follow it.
 */
public final class AmountReader {
  private static final double MOST = 1e6;
  private static final int LONGEST = 120;

  /** The longest name of a measure, words. */
  private static final int MOST_WORDS = 3;

  private static final Set<String> ABOUT =
      Set.of(
          "about",
          "approx",
          "approximately",
          "around",
          "roughly",
          "circa",
          "ca",
          "~",
          "nearly",
          "almost",
          "some",
          "maybe",
          "scant",
          "generous",
          "good",
          "full",
          "level",
          "levelled",
          "leveled",
          "big",
          "large",
          "small",
          "little",
          "packed",
          "loosely",
          "tightly",
          "more",
          "or",
          "less",
          "flat",
          "whole");

  private static final Set<String> HEAPED =
      Set.of("heaped", "heaping", "rounded", "piled", "overflowing");

  /** What stands between a number and its measure without changing it. */
  private static final Set<String> LEVEL =
      Set.of(
          "level",
          "levelled",
          "leveled",
          "full",
          "scant",
          "good",
          "generous",
          "big",
          "large",
          "small",
          "little",
          "packed",
          "flat",
          "whole",
          "metric");

  private final Map<String, KitchenMeasure> byName = new HashMap<>();

  private AmountReader(MeasureSystem system, CountMeasures counts) {
    for (KitchenMeasure measure : KitchenMeasures.common()) {
      name(measure, measure.symbol(), measure.symbol() + "s");
    }
    for (KitchenMeasure measure : EverydayMeasures.all()) {
      name(measure, measure.symbol(), measure.symbol() + "s");
    }
    for (KitchenMeasure measure : KitchenMeasures.volumesOf(system)) {
      name(measure, measure.symbol(), measure.symbol() + "s");
    }
    for (KitchenMeasure measure : KitchenMeasures.largeOf(system)) {
      name(measure, measure.symbol(), measure.symbol() + "s");
    }
    for (KitchenMeasure measure : counts.all()) {
      name(measure, measure.symbol(), measure.symbol() + "s");
    }
    for (CSVRecord line : CsvTable.lines(AmountReader.class, "names.csv")) {
      KitchenMeasure known = byName.get(line.get("measure").toLowerCase(Locale.ROOT));
      if (known != null) {
        byName.put(line.get("name"), known);
      }
    }
    name(KitchenMeasures.US_GALLON, "us gallon", "us gallons");
    name(KitchenMeasures.US_QUART, "us quart", "us quarts");
    name(KitchenMeasures.US_PINT, "us pint", "us pints");
    name(KitchenMeasures.UK_GALLON, "imperial gallon", "imperial gallons", "uk gallon");
    name(KitchenMeasures.UK_QUART, "imperial quart", "imperial quarts", "uk quart");
    name(KitchenMeasures.UK_PINT, "imperial pint", "imperial pints", "uk pint");
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

  /** The measure of a name, as it would be read; empty when it is none. */
  public Optional<KitchenMeasure> measure(String name) {
    return Optional.ofNullable(byName.get(name.toLowerCase(Locale.ROOT)));
  }

  /**
   * An amount found in a text.
   *
   * @param low the number, or the smaller of two; above 0
   * @param high the number again, or the larger of two
   * @param measure null where there is a number alone
   * @param measureFrom the token with which the measure begins
   * @param to the token after it
   * @param vague whether the number is a manner of speaking, such as {@code a few}
   * @param article whether the number is no more than {@code a}
   */
  public record Spotted(
      double low,
      double high,
      @Nullable KitchenMeasure measure,
      int measureFrom,
      int to,
      boolean vague,
      boolean article) {

    /** The amount; only where there is a measure. */
    public TypedAmount typed(String rest) {
      if (measure == null) {
        throw new IllegalStateException("a number alone is no amount");
      }
      return new TypedAmount(low, high, measure, rest);
    }
  }

  /**
   * The amount that begins at a token, or the number where no measure follows it.
   *
   * @param at index of the token
   */
  public Optional<Spotted> spot(List<Token> tokens, int at) {
    int start = at;
    boolean heaped = false;
    while (start < tokens.size() && start < at + 4 && opens(tokens.get(start))) {
      heaped |= HEAPED.contains(tokens.get(start).text());
      start++;
    }
    Optional<Numeral> number = Numeral.at(tokens, start);
    if (number.isEmpty() || !(number.get().low() > 0) || number.get().high() > MOST) {
      return Optional.empty();
    }
    Numeral n = number.get();
    int next = n.to();
    int mark = next;
    while (next < tokens.size() && next < mark + 3 && fills(tokens.get(next))) {
      heaped |= HEAPED.contains(tokens.get(next).text());
      next++;
    }
    Found found = named(tokens, next);
    if (found == null) {
      found = named(tokens, mark);
      next = mark;
    }
    if (found == null) {
      return start > at && n.article()
          ? Optional.empty()
          : Optional.of(
              new Spotted(n.low(), n.high(), null, n.to(), n.to(), n.vague(), n.article()));
    }
    int to = found.to;
    double low = n.low();
    double high = n.high();
    // "a cup and a half", "1 cup to 2 cups"
    Optional<Numeral> and =
        to < tokens.size() && tokens.get(to).is("and")
            ? Numeral.at(tokens, to + 1)
            : Optional.empty();
    if (and.isPresent()
        && and.get().low() < 1
        && low == high
        && named(tokens, and.get().to()) == null) {
      low += and.get().low();
      high = low;
      to = and.get().to();
    }
    boolean joined =
        to < tokens.size()
            && (tokens.get(to).is("to") || tokens.get(to).is("-") || tokens.get(to).is("or"));
    Optional<Numeral> second = joined ? Numeral.at(tokens, to + 1) : Optional.empty();
    if (second.isPresent() && !second.get().article() && second.get().low() > low) {
      Found again = named(tokens, second.get().to());
      if (again != null && again.measure.equals(found.measure)) {
        high = second.get().high();
        to = again.to;
      }
    }
    KitchenMeasure measure = heaped ? EverydayMeasures.heaped(found.measure) : found.measure;
    return Optional.of(new Spotted(low, high, measure, next, to, n.vague(), n.article()));
  }

  private static boolean opens(Token token) {
    return ABOUT.contains(token.text()) || HEAPED.contains(token.text());
  }

  private static boolean fills(Token token) {
    return LEVEL.contains(token.text()) || HEAPED.contains(token.text()) || token.is("-");
  }

  private record Found(KitchenMeasure measure, int to) {}

  private @Nullable Found named(List<Token> tokens, int at) {
    for (int words = MOST_WORDS; words >= 1; words--) {
      if (at + words > tokens.size()) {
        continue;
      }
      StringBuilder name = new StringBuilder();
      int to = at;
      for (int i = 0; i < words && to < tokens.size(); i++, to++) {
        // "fl. oz."
        if (i > 0 && tokens.get(to).is(".") && to + 1 < tokens.size()) {
          to++;
        }
        name.append(i == 0 ? "" : " ").append(tokens.get(to).text());
      }
      KitchenMeasure found = byName.get(name.toString());
      if (found != null) {
        return new Found(found, to);
      }
    }
    return at < tokens.size() ? letter(tokens.get(at), at) : null;
  }

  /** {@code 2 T}, {@code 1 t}: a big letter is the big spoon, though hands differ. */
  private @Nullable Found letter(Token token, int at) {
    Optional<KitchenMeasure> spoon =
        switch (token.raw()) {
          case "T" -> measure("tbsp");
          case "t" -> measure("tsp");
          default -> Optional.empty();
        };
    return spoon.map(measure -> new Found(measure, at + 1)).orElse(null);
  }

  /**
   * Reads an amount, and nothing else before it.
   *
   * @throws UnreadableAmountException says at which character it stopped making sense
   */
  public TypedAmount read(String typed) {
    if (typed.length() > LONGEST) {
      throw new UnreadableAmountException(
          LONGEST, "An amount has at most " + LONGEST + " characters.");
    }
    List<Token> tokens = Token.all(typed);
    Spotted found = spot(tokens, 0).orElseThrow(() -> noNumber(tokens));
    int place = found.to() < tokens.size() ? tokens.get(found.to()).from() : typed.length();
    if (found.measure() == null) {
      throw new UnreadableAmountException(place, noMeasure(typed.substring(place).strip()));
    }
    int rest = found.to();
    while (rest < tokens.size() && (tokens.get(rest).is(".") || tokens.get(rest).is("of"))) {
      rest++;
    }
    return found.typed(
        rest < tokens.size() ? typed.substring(tokens.get(rest).from()).strip() : "");
  }

  private static UnreadableAmountException noNumber(List<Token> tokens) {
    boolean number = !tokens.isEmpty() && tokens.get(0).isDigits();
    return new UnreadableAmountException(
        0,
        number
            ? "An amount is above 0 and at most a million, the smaller number first, and a fraction"
                + " needs a number below its line."
            : "Start with a number, such as 2 or 1 1/2.");
  }

  private static String noMeasure(String rest) {
    if (rest.startsWith("%") || rest.startsWith("percent")) {
      return "Percent of what? Give grams or drops, or dose it as a share of the finished brew.";
    }
    return rest.isEmpty()
        ? "Say in which measure, such as g, mL or tbsp."
        : "'" + rest + "' is no measure known here.";
  }
}
