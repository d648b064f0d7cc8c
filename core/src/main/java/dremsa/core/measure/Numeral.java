package dremsa.core.measure;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A number as people write it: {@code 1 1/2}, {@code 2-3}, {@code ½}, {@code one and a half},
 * {@code a couple of}, {@code between 2 and 3}.
 *
 * @param low the number, or the smaller of two
 * @param high the number again, or the larger of two
 * @param to the token after it
 * @param vague whether it only says roughly how many: {@code a few}, {@code several}
 * @param article whether it is no more than {@code a} or {@code an}
 */
public record Numeral(double low, double high, int to, boolean vague, boolean article) {
  private static final Map<String, Double> WORDS =
      Map.ofEntries(
          Map.entry("one", 1.0),
          Map.entry("two", 2.0),
          Map.entry("three", 3.0),
          Map.entry("four", 4.0),
          Map.entry("five", 5.0),
          Map.entry("six", 6.0),
          Map.entry("seven", 7.0),
          Map.entry("eight", 8.0),
          Map.entry("nine", 9.0),
          Map.entry("ten", 10.0),
          Map.entry("eleven", 11.0),
          Map.entry("twelve", 12.0),
          Map.entry("fourteen", 14.0),
          Map.entry("fifteen", 15.0),
          Map.entry("sixteen", 16.0),
          Map.entry("eighteen", 18.0),
          Map.entry("twenty", 20.0),
          Map.entry("thirty", 30.0),
          Map.entry("forty", 40.0),
          Map.entry("fifty", 50.0),
          Map.entry("sixty", 60.0),
          Map.entry("ninety", 90.0),
          Map.entry("hundred", 100.0),
          Map.entry("dozen", 12.0),
          Map.entry("couple", 2.0));

  private static final Map<String, Double> SHARES =
      Map.of(
          "half", 0.5,
          "halves", 0.5,
          "third", 1.0 / 3,
          "thirds", 1.0 / 3,
          "quarter", 0.25,
          "quarters", 0.25,
          "eighth", 0.125,
          "eighths", 0.125);

  /** What {@code a few} and {@code several} are taken for; common practice. */
  private static final Map<String, double[]> VAGUE =
      Map.of("few", new double[] {2, 4}, "several", new double[] {3, 5});

  /** The number that begins at a token, if one does. */
  public static Optional<Numeral> at(List<Token> tokens, int at) {
    return Optional.ofNullable(new Cursor(tokens).numeral(at));
  }

  private record Cursor(List<Token> tokens) {

    @Nullable Numeral numeral(int at) {
      boolean between = is(at, "between");
      Numeral low = one(between ? at + 1 : at);
      if (low == null) {
        return null;
      }
      int next = low.to;
      boolean joined = is(next, "-", "–", "—", "to", "or", between ? "and" : "to");
      Numeral high = joined && !low.vague ? one(next + 1) : null;
      if (high != null && high.low > low.low && !high.article && !date(next + 1)) {
        return new Numeral(low.low, high.high, high.to, false, false);
      }
      return between ? null : low;
    }

    /** {@code 2-3-5} is neither a span nor an amount. */
    private boolean date(int at) {
      return is(at + 1, "-", "–") && digits(at + 2);
    }

    private @Nullable Numeral one(int at) {
      if (at >= tokens.size()) {
        return null;
      }
      Token token = tokens.get(at);
      Numeral whole;
      if (token.isDigits()) {
        whole = figures(at);
      } else {
        double sign = sign(at);
        whole = sign > 0 ? exact(sign, at + 1) : words(at);
      }
      return whole == null ? null : withShare(whole);
    }

    /** {@code 1/2}, {@code 1 1/2}, {@code 1-1/2}, {@code 1 ½}, {@code 2 x 250}. */
    private @Nullable Numeral figures(int at) {
      double value;
      try {
        value = tokens.get(at).number();
      } catch (NumberFormatException e) {
        return null; // A version or a date, such as 1.2.3.
      }
      int next = at + 1;
      if (is(next, "/")) {
        return digits(next + 1) ? over(value, next + 1) : null;
      }
      if (sign(next) > 0) {
        return exact(value + sign(next), next + 1);
      }
      int part = is(next, "-", "–", "&", "and", "+") ? next + 1 : next;
      if (digits(part) && is(part + 1, "/") && digits(part + 2)) {
        Numeral share = over(tokens.get(part).number(), part + 2);
        if (share != null && share.low < 1) {
          return exact(value + share.low, share.to);
        }
      }
      if (is(next, "x", "×") && digits(next + 1)) {
        return exact(value * tokens.get(next + 1).number(), next + 2);
      }
      return exact(value, next);
    }

    private @Nullable Numeral over(double top, int at) {
      double bottom = tokens.get(at).number();
      return bottom > 0 ? exact(top / bottom, at + 1) : null;
    }

    private @Nullable Numeral words(int at) {
      String word = tokens.get(at).text();
      if (word.equals("a") || word.equals("an")) {
        Numeral after = at + 1 < tokens.size() ? counted(at + 1) : null;
        return after != null ? after : new Numeral(1, 1, at + 1, false, true);
      }
      return counted(at);
    }

    private @Nullable Numeral counted(int at) {
      String word = tokens.get(at).text();
      double[] vague = VAGUE.get(word);
      if (vague != null) {
        return new Numeral(vague[0], vague[1], past(at + 1, "of"), true, false);
      }
      Double share = SHARES.get(word);
      if (share != null) {
        if (is(at + 1, "dozen")) {
          return exact(12 * share, at + 2);
        }
        int next = past(at + 1, "-");
        int article = past(past(next, "of"), "a", "an");
        return exact(share, article > past(next, "of") ? article : next);
      }
      Double value = WORDS.get(word);
      if (value == null) {
        return null;
      }
      int next = past(at + 1, "-");
      Double parts = next < tokens.size() ? SHARES.get(tokens.get(next).text()) : null;
      if (parts != null && value * parts < 1) {
        int after = past(next + 1, "of");
        int article = past(after, "a", "an");
        return exact(value * parts, article > after ? article : next + 1);
      }
      Double ones =
          next > at + 1 && next < tokens.size() ? WORDS.get(tokens.get(next).text()) : null;
      if (ones != null && ones < 10 && value >= 20) {
        return exact(value + ones, next + 1);
      }
      return exact(
          value, word.equals("couple") || word.equals("dozen") ? past(at + 1, "of") : at + 1);
    }

    /** {@code two and a half}, {@code 2 and a half}, {@code one & a quarter}. */
    private Numeral withShare(Numeral whole) {
      if (whole.article || whole.low < 1 || !is(whole.to, "and", "&")) {
        return whole;
      }
      int next = past(whole.to + 1, "a", "an");
      Double share = next < tokens.size() ? SHARES.get(tokens.get(next).text()) : null;
      double sign = sign(next);
      if (share == null && sign <= 0) {
        return whole;
      }
      return exact(whole.low + (share == null ? sign : share), next + 1);
    }

    private double sign(int at) {
      if (at < tokens.size()) {
        for (TypedAmount.Fraction fraction : TypedAmount.Fraction.values()) {
          if (tokens.get(at).text().charAt(0) == fraction.sign()) {
            return fraction.value();
          }
        }
      }
      return 0;
    }

    private boolean digits(int at) {
      return at < tokens.size() && tokens.get(at).isDigits();
    }

    private int past(int at, String... words) {
      return is(at, words) ? at + 1 : at;
    }

    private boolean is(int at, String... words) {
      if (at < tokens.size()) {
        for (String word : words) {
          if (tokens.get(at).is(word)) {
            return true;
          }
        }
      }
      return false;
    }

    private static Numeral exact(double value, int to) {
      return new Numeral(value, value, to, false, false);
    }
  }
}
