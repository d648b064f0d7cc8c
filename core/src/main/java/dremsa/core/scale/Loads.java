package dremsa.core.scale;

import dremsa.core.brew.Brew;
import dremsa.core.kitchen.VesselKind;
import java.util.EnumMap;
import java.util.Map;

/**
 * How many fillings of its largest vessel of each kind a batch takes in a kitchen.
 *
 * @param fillings by kind; 1 where it fits at once
 */
public record Loads(Map<VesselKind, Integer> fillings) {
  public Loads {
    fillings = Map.copyOf(fillings);
  }

  /** The loads of a batch of this size. */
  public static Loads of(Brew brew, double scale) {
    Map<VesselKind, Integer> fillings = new EnumMap<>(VesselKind.class);
    brew.largestScales()
        .forEach((kind, largest) -> fillings.put(kind, (int) Math.ceil(scale / largest - 1e-9)));
    return new Loads(fillings);
  }
}
