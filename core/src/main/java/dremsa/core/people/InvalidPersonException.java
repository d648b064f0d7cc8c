package dremsa.core.people;

import java.util.function.Supplier;

/** Something told of a person or a routine that cannot be. */
public final class InvalidPersonException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final String field;

  /**
   * @param field where it stands
   * @param why a sentence for who typed it
   */
  public InvalidPersonException(String field, String why) {
    super(why);
    this.field = field;
  }

  /** Where it stands: {@code "occasions[0].repeat.rule"}. */
  public String field() {
    return field;
  }

  /** Makes something that stands below a place: what is wrong in it is told with that place. */
  public static <T> T below(String place, Supplier<T> made) {
    try {
      return made.get();
    } catch (InvalidPersonException e) {
      throw new InvalidPersonException(place + "." + e.field, String.valueOf(e.getMessage()));
    }
  }
}
