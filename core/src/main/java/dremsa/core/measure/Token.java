package dremsa.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A word, a number, a sign or the end of a line in what somebody wrote.
 *
 * @param from where it begins in the text
 * @param to where it ends, exclusive
 * @param raw as written
 * @param text in lower case, of one kind of apostrophe
 * @param singular the same without its plural
 */
public record Token(int from, int to, String raw, String text, String singular) {
  private static final Pattern TOKEN =
      Pattern.compile(
          "\\d{1,9}(?:[.,]\\d{1,9}){0,3}|[½⅓⅔¼¾⅛⅜⅝⅞]|\\p{L}\\p{M}*(?:\\p{L}|\\p{M}|['’](?=\\p{L}))*|\\n|\\S");

  /** The tokens of a text, in their order; spaces are left out, ends of lines are not. */
  public static List<Token> all(String text) {
    List<Token> all = new ArrayList<>();
    Matcher matcher = TOKEN.matcher(text);
    while (matcher.find()) {
      String raw = matcher.group();
      String lower = raw.toLowerCase(Locale.ROOT).replace('’', '\'').replace('⁄', '/');
      all.add(new Token(matcher.start(), matcher.end(), raw, lower, singular(lower)));
    }
    return all;
  }

  /** Whether it is a number in digits. */
  public boolean isDigits() {
    char first = text.charAt(0);
    return first >= '0' && first <= '9';
  }

  /** Whether it is a word. */
  public boolean isWord() {
    return Character.isLetter(text.codePointAt(0));
  }

  /** Whether it is this word or sign. */
  public boolean is(String other) {
    return text.equals(other);
  }

  /**
   * The number it is: a comma is a decimal comma, unless three digits follow it after a number that
   * could be in thousands.
   *
   * @throws NumberFormatException when it is none
   */
  public double number() {
    String digits =
        text.matches("[1-9]\\d{0,2}(?:,\\d{3})+") ? text.replace(",", "") : text.replace(',', '.');
    return Double.parseDouble(digits);
  }

  /** A word without its plural. */
  private static String singular(String word) {
    if (word.equals("leaves")) {
      return "leaf";
    }
    int length = word.length();
    if (length < 4
        || !word.endsWith("s")
        || word.endsWith("ss")
        || word.endsWith("us")
        || word.endsWith("is")) {
      return word;
    }
    if (word.endsWith("ies") && length > 4) {
      return word.substring(0, length - 3) + "y";
    }
    boolean es =
        word.endsWith("oes")
            || word.endsWith("ches")
            || word.endsWith("shes")
            || word.endsWith("sses");
    return word.substring(0, length - (es ? 2 : 1));
  }
}
