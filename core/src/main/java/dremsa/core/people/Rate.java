package dremsa.core.people;

/**
 * At most so often.
 *
 * @param times 0 to 60; half a time counts for what is mild
 * @param days in so many days, 1 to 90
 */
public record Rate(double times, int days) {
  /**
   * Checks it.
   *
   * @throws InvalidPersonException names the field
   */
  public Rate {
    if (!(times >= 0 && times <= 60)) {
      throw new InvalidPersonException("times", "0 to 60 times.");
    }
    if (days < 1 || days > 90) {
      throw new InvalidPersonException("days", "In 1 to 90 days.");
    }
  }
}
