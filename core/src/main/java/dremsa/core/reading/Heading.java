package dremsa.core.reading;

import dremsa.core.measure.Token;
import dremsa.core.reading.Stretch.About;
import java.util.List;
import java.util.Optional;

/** The first line of a note, where it is a name and no part of the recipe. */
final class Heading {
  private static final int MOST_WORDS = 9;

  private final Optional<String> name;
  private final int from;
  private final int to;
  private final int items;

  private Heading(Optional<String> name, int from, int to, int items) {
    this.name = name;
    this.from = from;
    this.to = to;
    this.items = items;
  }

  /** Looks for a heading before the first line's end, or before its colon. */
  static Heading of(List<Token> tokens, List<Item> items) {
    int start = 0;
    while (start < tokens.size() && !tokens.get(start).isWord() && !tokens.get(start).isDigits()) {
      start++;
    }
    int end = start;
    while (end < tokens.size() && !ends(tokens, end)) {
      end++;
    }
    boolean more = end + 1 < tokens.size();
    boolean stops = end > start && tokens.get(end - 1).is(",");
    if (!more || stops || end == start || words(tokens, start, end) > MOST_WORDS) {
      return NONE;
    }
    if (!tokens.get(end).is("\n") && isItsAmount(tokens, items, start, end)) {
      return NONE;
    }
    int index = 0;
    boolean things = false;
    for (Item item : items) {
      if (item.from() >= end) {
        break;
      }
      index++;
      boolean recipe =
          item instanceof Item.Quantity
              || item instanceof Item.Span && !tokens.get(end).is("\n")
              || item instanceof Item.Percent
              || item instanceof Item.Ratio
              || item instanceof Item.Verb verb
                  && verb.from() == start
                  && !isPast(tokens.get(start))
              || item instanceof Item.Word word && word.is("title");
      if (recipe) {
        return NONE;
      }
      things |= item instanceof Item.Substance;
    }
    // "rosemary" alone on its line heads nothing: the list begins.
    boolean bare = things && words(tokens, start, end) == 1 && tokens.get(end).is("\n");
    if (bare) {
      return NONE;
    }
    StringBuilder name = new StringBuilder();
    for (int i = start; i < end; i++) {
      boolean apart = i > start && tokens.get(i).from() > tokens.get(i - 1).to();
      name.append(apart ? " " : "").append(tokens.get(i).raw());
    }
    String whole = name.length() > 120 ? name.substring(0, 120) : name.toString();
    return new Heading(Optional.of(whole.strip()), start, end, index);
  }

  private static final Heading NONE = new Heading(Optional.empty(), 0, 0, 0);

  /** A line's end, a colon, a sentence's end, a dash with room round it. */
  private static boolean ends(List<Token> tokens, int at) {
    Token token = tokens.get(at);
    boolean apart = at > 0 && token.from() > tokens.get(at - 1).to();
    return token.is("\n")
        || token.is(":")
        || token.is(".")
        || token.is("!")
        || token.is("(")
        || (token.is("-") || token.is("–") || token.is("—")) && apart;
  }

  /** {@code Fermented rice water} is a name, {@code Ferment the rice} is not. */
  private static boolean isPast(Token token) {
    return token.text().endsWith("ed");
  }

  /**
   * {@code Castor oil: 2 tbsp}, {@code Black tea - 3 bags}: the amount of what stands before it.
   */
  private static boolean isItsAmount(List<Token> tokens, List<Item> items, int start, int end) {
    boolean named = false;
    for (Item item : items) {
      if (item.from() < end) {
        named |= item instanceof Item.Substance;
        continue;
      }
      if (item.from() == end && item instanceof Item.Break) {
        continue;
      }
      if (item instanceof Item.Quantity || item instanceof Item.Percent) {
        int next = item.to();
        boolean ofSomething =
            items.stream()
                .filter(i -> i.from() >= next)
                .takeWhile(i -> !(i instanceof Item.Break))
                .anyMatch(i -> i instanceof Item.Substance || i instanceof Item.Unknown);
        return named && !ofSomething;
      }
      return false;
    }
    return false;
  }

  private static long words(List<Token> tokens, int from, int to) {
    return tokens.subList(from, to).stream().filter(Token::isWord).count();
  }

  Optional<String> name() {
    return name;
  }

  /** How many items it takes. */
  int items() {
    return items;
  }

  void note(Margin margin) {
    name.ifPresent(words -> margin.read(from, to, About.NAME, -1, "what it is called"));
  }
}
