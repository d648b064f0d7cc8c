package dremsa.core.people;

import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;

/**
 * A little of something new on the inner arm, for two days. Common dermatology advice, from memory.
 *
 * @param material its id
 * @param result empty while nobody said what came of it
 */
public record PatchTest(String material, Instant started, Optional<Result> result) {
  /** So long it is looked at. */
  public static final Duration LASTS = Duration.ofHours(48);

  /** What came of it. */
  public enum Result {
    NOTHING("nothing to see"),
    REACTED("red, itching or swollen");

    private final String words;

    Result(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public PatchTest {
    Objects.requireNonNull(material, "material");
    Objects.requireNonNull(started, "started");
    Objects.requireNonNull(result, "result");
  }

  /** When it is to be looked at. */
  public Instant due() {
    return started.plus(LASTS);
  }

  /** Nobody said what came of it. */
  public boolean isOpen() {
    return result.isEmpty();
  }
}
