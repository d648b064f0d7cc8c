package dremsa.core.learn;

import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.measure.Figure;
import java.util.Collection;
import java.util.List;

/**
 * What a kitchen taught of one figure.
 *
 * @param before as it stood
 * @param after with what was weighed; its ends are 95 % likely
 * @param told whether the batches tell it; where they do not, it stays as it stood
 * @param batches ids of those that said something of it
 */
public record Taught(Knob knob, Figure before, Figure after, boolean told, List<String> batches) {
  public Taught {
    batches = List.copyOf(batches);
  }

  /** A kitchen with what it taught; what the household set itself meanwhile stays. */
  public static Kitchen over(Kitchen kitchen, Collection<Taught> all) {
    Kitchen taught = kitchen;
    for (Taught each : all) {
      if (each.told && each.knob instanceof Knob.OfKitchen of) {
        taught = of.taught(taught, each.after);
      }
    }
    return taught;
  }

  /** Materials with what the kitchen taught of them; as with the kitchen. */
  public static Materials over(Materials materials, Collection<Taught> all) {
    Materials taught = materials;
    for (Taught each : all) {
      if (each.told && each.knob instanceof Knob.OfMaterial of) {
        taught = of.taught(taught, each.after);
      }
    }
    return taught;
  }
}
