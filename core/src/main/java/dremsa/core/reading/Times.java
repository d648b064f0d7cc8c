package dremsa.core.reading;

import dremsa.core.measure.Numeral;
import dremsa.core.measure.Token;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads lengths of time and temperatures: {@code 2-3 h}, {@code half an hour}, {@code 80 °C}. */
final class Times {
  private static final double HOUR = 60;
  private static final double DAY = 24 * HOUR;

  private static final Map<String, Double> UNITS =
      Map.ofEntries(
          Map.entry("s", 1 / 60.0),
          Map.entry("sec", 1 / 60.0),
          Map.entry("second", 1 / 60.0),
          Map.entry("m", 1.0),
          Map.entry("min", 1.0),
          Map.entry("minute", 1.0),
          Map.entry("mins", 1.0),
          Map.entry("h", HOUR),
          Map.entry("hr", HOUR),
          Map.entry("hrs", HOUR),
          Map.entry("hour", HOUR),
          Map.entry("d", DAY),
          Map.entry("day", DAY),
          Map.entry("night", DAY),
          Map.entry("week", 7 * DAY),
          Map.entry("wk", 7 * DAY),
          Map.entry("wks", 7 * DAY),
          Map.entry("fortnight", 14 * DAY),
          Map.entry("month", 30 * DAY),
          Map.entry("year", 365 * DAY));

  /** A night on the counter: common practice. */
  private static final double NIGHT_SHORT = 8 * HOUR;

  private static final double NIGHT_LONG = 12 * HOUR;

  /** Hotter than this is Fahrenheit where no scale is said: nothing in a kitchen pot is. */
  private static final double SURELY_FAHRENHEIT = 110;

  private Times() {}

  /** The length of time that begins at a token, if one does. */
  static Optional<Item.Span> span(List<Token> tokens, int at) {
    String word = tokens.get(at).text();
    if (word.equals("overnight")
        || word.equals("overnite")
        || follows(tokens, at, "over", "night")
        || follows(tokens, at, "all", "night")) {
      return Optional.of(
          new Item.Span(
              at, at + (word.startsWith("overni") ? 1 : 2), NIGHT_SHORT, NIGHT_LONG, false));
    }
    if (follows(tokens, at, "all", "day")) {
      return Optional.of(new Item.Span(at, at + 2, NIGHT_SHORT, NIGHT_LONG, false));
    }
    Optional<Item.Span> first = one(tokens, at);
    if (first.isEmpty()) {
      return Optional.empty();
    }
    Item.Span span = first.get();
    // "1 h 30 min", "1 hour and 30 minutes", "30 min to 1 hour"
    int next = span.to();
    boolean and = next < tokens.size() && tokens.get(next).is("and");
    boolean to =
        next < tokens.size()
            && (tokens.get(next).is("to")
                || tokens.get(next).is("-")
                || tokens.get(next).is("–")
                || tokens.get(next).is("or"));
    if (next + 1 < tokens.size()) {
      Optional<Item.Span> second = one(tokens, and || to ? next + 1 : next);
      if (second.isPresent() && !second.get().vague()) {
        Item.Span more = second.get();
        if (to && more.low() > span.low()) {
          return Optional.of(new Item.Span(at, more.to(), span.low(), more.high(), span.vague()));
        }
        if (!to && more.high() < span.low() && span.low() == span.high() && span.low() < 2 * DAY) {
          return Optional.of(
              new Item.Span(
                  at, more.to(), span.low() + more.low(), span.high() + more.high(), span.vague()));
        }
      }
    }
    return first;
  }

  private static Optional<Item.Span> one(List<Token> tokens, int from) {
    int at = from;
    while (at < tokens.size() && at < from + 2 && about(tokens.get(at))) {
      at++;
    }
    Optional<Numeral> number = at < tokens.size() ? Numeral.at(tokens, at) : Optional.empty();
    if (number.isEmpty()) {
      return Optional.empty();
    }
    Numeral n = number.get();
    int next = n.to();
    while (next < tokens.size()
        && (tokens.get(next).is("-")
            || tokens.get(next).is("full")
            || tokens.get(next).is("good")
            || tokens.get(next).is("more")
            || tokens.get(next).is("whole"))) {
      next++;
    }
    if (next >= tokens.size()) {
      return Optional.empty();
    }
    String unit = tokens.get(next).text();
    Double minutes = UNITS.getOrDefault(unit, UNITS.get(tokens.get(next).singular()));
    boolean bare = unit.length() == 1 && n.article();
    if (minutes == null || bare || tokens.get(next).raw().equals("M")) {
      return Optional.empty();
    }
    int to = next + 1;
    if (to < tokens.size()
        && tokens.get(to).is(".")
        && unit.length() <= 4
        && to + 1 < tokens.size()
        && !startsSentence(tokens.get(to + 1))) {
      to++;
    }
    double share = 0;
    // "an hour and a half"
    if (to + 2 < tokens.size() && tokens.get(to).is("and")) {
      Optional<Numeral> half = Numeral.at(tokens, to + 1);
      boolean unitAgain =
          half.isPresent()
              && half.get().to() < tokens.size()
              && UNITS.containsKey(tokens.get(half.get().to()).singular());
      if (half.isPresent() && half.get().low() < 1 && !unitAgain) {
        share = half.get().low();
        to = half.get().to();
      }
    }
    return Optional.of(
        new Item.Span(
            from, to, (n.low() + share) * minutes, (n.high() + share) * minutes, n.vague()));
  }

  private static boolean startsSentence(Token token) {
    return token.isWord() && Character.isUpperCase(token.raw().charAt(0)) || token.is("\n");
  }

  private static boolean about(Token token) {
    return switch (token.text()) {
      case "about",
          "around",
          "approx",
          "approximately",
          "roughly",
          "~",
          "another",
          "nearly",
          "ca",
          "circa",
          "some" ->
          true;
      default -> false;
    };
  }

  /** The temperature that begins at a token, if one does. */
  static Optional<Item.Warmth> warmth(List<Token> tokens, int at) {
    Optional<Numeral> number = Numeral.at(tokens, at);
    if (number.isEmpty() || number.get().article()) {
      return Optional.empty();
    }
    Numeral n = number.get();
    int next = n.to();
    boolean degree = false;
    if (next < tokens.size()
        && (tokens.get(next).is("°")
            || tokens.get(next).is("º")
            || tokens.get(next).text().startsWith("degree")
            || tokens.get(next).is("deg"))) {
      degree = true;
      next++;
    }
    String scale = next < tokens.size() ? tokens.get(next).text() : "";
    boolean celsius = scale.equals("c") || scale.equals("celsius") || scale.equals("centigrade");
    boolean fahrenheit = scale.equals("f") || scale.equals("fahrenheit");
    // "25 C" is warmth, "2 C" are cups.
    boolean letter = degree || scale.length() > 1 || fahrenheit || n.low() >= 25;
    if (!letter || !(celsius || fahrenheit || degree)) {
      return Optional.empty();
    }
    double degrees = n.high();
    boolean asFahrenheit = fahrenheit || !celsius && degrees > SURELY_FAHRENHEIT;
    return Optional.of(
        new Item.Warmth(
            at,
            celsius || fahrenheit ? next + 1 : next,
            asFahrenheit ? (degrees - 32) / 1.8 : degrees));
  }

  private static boolean follows(List<Token> tokens, int at, String one, String two) {
    return at + 1 < tokens.size() && tokens.get(at).is(one) && tokens.get(at + 1).is(two);
  }
}
