package dremsa.core.kitchen;

import dremsa.core.measure.Figure;
import java.util.List;

/** Kitchens with something changed, for tests. */
public final class Figures {
  private Figures() {}

  public static Kitchen withHobWatts(Kitchen kitchen, double watts) {
    Figure figure = Figure.estimate(watts, watts, watts, "W");
    return new Kitchen(
        List.of(new Hob("h", "h", figure, figure, figure)),
        kitchen.vessels(),
        kitchen.strainers(),
        kitchen.scoops(),
        kitchen.climate(),
        kitchen.parameters());
  }

  /** Without a scale: everything is measured by the spoon. */
  public static Kitchen withoutScale(Kitchen kitchen) {
    return new Kitchen(
        kitchen.hobs(),
        kitchen.vessels(),
        kitchen.strainers(),
        kitchen.scoops(),
        kitchen.climate(),
        kitchen.parameters(),
        kitchen.counts(),
        0,
        kitchen.site());
  }

  /** With vessels of every kind that take thirty litres. */
  public static Kitchen large(Kitchen kitchen) {
    List<Vessel> vessels = new java.util.ArrayList<>(kitchen.vessels());
    for (VesselKind kind : VesselKind.values()) {
      vessels.add(new Vessel("large-" + kind, "large " + kind.words(), kind, 36, 30_000, true));
    }
    return new Kitchen(
        kitchen.hobs(),
        vessels,
        kitchen.strainers(),
        kitchen.scoops(),
        kitchen.climate(),
        kitchen.parameters());
  }
}
