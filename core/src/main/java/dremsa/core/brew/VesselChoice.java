package dremsa.core.brew;

import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** Which vessel of each kind a batch uses. */
public record VesselChoice(Map<VesselKind, Vessel> vessels) {
  public static final VesselChoice NONE = new VesselChoice(Map.of());

  public VesselChoice {
    vessels = Map.copyOf(vessels);
  }

  public Optional<Vessel> of(VesselKind kind) {
    return Optional.ofNullable(vessels.get(kind));
  }

  /** The same choice with this vessel for its kind. */
  public VesselChoice with(Vessel vessel) {
    Map<VesselKind, Vessel> changed = new EnumMap<>(VesselKind.class);
    changed.putAll(vessels);
    changed.put(vessel.kind(), vessel);
    return new VesselChoice(changed);
  }
}
