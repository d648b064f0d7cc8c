package dremsa.server.wire;

import dremsa.core.keep.KeepEvent;
import java.time.Instant;
import java.util.List;

/** A warm spell of the fridge, as it is kept: piece by piece. */
public record WarmSpellJson(List<PieceJson> pieces) {
  /** No fridge was ever said to be warm for longer in one piece, h. */
  private static final double MOST_WARM_H = 24 * 60;

  /** For so many hours from then on it was so warm. */
  public record PieceJson(Instant at, double hours, double celsius, String cause) {
    private boolean sound() {
      return at != null
          && cause != null
          && hours >= 0
          && hours <= MOST_WARM_H
          && celsius >= -60
          && celsius <= 100;
    }

    public KeepEvent.FridgeWarmed toCore() {
      return new KeepEvent.FridgeWarmed(at, hours, celsius, cause);
    }
  }

  public static WarmSpellJson of(List<KeepEvent.FridgeWarmed> pieces) {
    return new WarmSpellJson(
        pieces.stream()
            .map(p -> new PieceJson(p.at(), p.hours(), p.celsius(), p.cause()))
            .toList());
  }

  /**
   * Makes sure that it says what was warm about a fridge.
   *
   * @throws IllegalArgumentException when it does not
   */
  public void check() {
    if (pieces == null || pieces.stream().anyMatch(p -> p == null || !p.sound())) {
      throw new IllegalArgumentException("it does not say when the fridge was warm");
    }
  }
}
