package dremsa.core.reading;

import java.util.Map;
import java.util.Optional;

/**
 * What was settled: in this note for one place in it, and in the household for a word wherever it
 * stands.
 *
 * @param here by the key of a stretch
 * @param always by the key of a stretch without its number
 */
public record Answers(Map<String, String> here, Map<String, String> always) {
  /** Between the key of a word and which of its places is meant. */
  static final char NUMBER = '#';

  /** Nothing settled yet. */
  public static final Answers NONE = new Answers(Map.of(), Map.of());

  public Answers {
    here = Map.copyOf(here);
    always = Map.copyOf(always);
  }

  Optional<String> of(String key) {
    String answer = here.get(key);
    return Optional.ofNullable(answer != null ? answer : always.get(word(key)));
  }

  /** The key of a word wherever it stands: without the number of its place. */
  public static String word(String key) {
    int at = key.lastIndexOf(NUMBER);
    return at < 0 ? key : key.substring(0, at);
  }
}
