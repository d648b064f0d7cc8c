package dremsa.server.wire;

import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/**
 * Lifts kept JSON from one version of its form to the next. A form that changes gets a line here,
 * and {@link Stored#VERSION} goes up by one; rows are lifted on reading and written anew only when
 * something of them changes.
 */
final class Lifts {
  /** Changes a row of one version into one of the next. */
  interface Lift {
    void lift(ObjectNode row);
  }

  /**
   * One change of a form.
   *
   * @param from the version before it
   */
  record Change(Class<?> form, int from, Lift lift) {}

  private static final List<Change> CHANGES =
      List.of(new Change(KitchenJson.class, 1, Lifts::boilIsToldByItsBubbles));

  private Lifts() {}

  /** Lifts a row in its place. */
  static void lift(ObjectNode row, Class<?> form, int from) {
    CHANGES.stream()
        .filter(change -> change.form() == form && change.from() >= from)
        .forEach(change -> change.lift().lift(row));
  }

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
