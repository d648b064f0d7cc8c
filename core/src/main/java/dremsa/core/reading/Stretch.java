package dremsa.core.reading;

import java.util.List;

/**
 * A stretch of the note and what it was taken for.
 *
 * @param from where it begins in the text, characters
 * @param to where it ends, exclusive
 * @param certainty how sure it is
 * @param about what it is about
 * @param target which: the index of the ingredient or of the step; -1 for neither
 * @param taken what it was taken for, in words
 * @param key names it for an answer; empty where there is nothing to ask
 * @param options what it could be, the one taken first; empty where there is nothing to ask
 */
public record Stretch(
    int from,
    int to,
    Certainty certainty,
    About about,
    int target,
    String taken,
    String key,
    List<Option> options) {

  public Stretch {
    options = List.copyOf(options);
  }

  /** How sure the reading of a stretch is. */
  public enum Certainty {
    READ,
    /** A guess: one tap says what is right. */
    GUESS,
    /** Not read: it stays beside the formula as a note. */
    UNREAD
  }

  /** What a stretch is about. */
  public enum About {
    NAME,
    AMOUNT,
    MATERIAL,
    STEP,
    /** How long the writer says that it keeps. */
    KEEPING,
    /** What is done with it on a head. */
    USE,
    WORDS
  }

  /**
   * Something that a stretch could be.
   *
   * @param value to be given back as the answer
   * @param words for the maker
   */
  public record Option(String value, String words) {}
}
