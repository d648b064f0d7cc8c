package dremsa.server.wire;

import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/** The lifts of this package's forms, the earliest first. */
final class Lifts {
  static final List<Lift> OF_WIRE =
      List.of(new Lift(KitchenJson.class, 1, Lifts::boilIsToldByItsBubbles));

  private Lifts() {}

  /**
   * The heat of a boil is the heat of its bubbles since version 2: what a household found before
   * means something else, and its brews are reckoned with the usual figures again.
   */
  private static void boilIsToldByItsBubbles(ObjectNode kitchen) {
    if (kitchen.get("calibrated") instanceof ObjectNode calibrated) {
      calibrated.remove(List.of("ROLLING_BOIL", "GENTLE_BOIL", "SIMMER"));
    }
  }
}
