package dremsa.core.check;

import dremsa.core.brew.Brew;
import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Add;
import dremsa.core.formula.Step.Blend;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Bottle;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.Step.LiquidHeat;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.Step.WaterBath;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import java.util.ArrayList;
import java.util.List;

/** Finds the cautions of a step from what the step does and what is in the pot. */
public final class Cautions {
  private Cautions() {}

  /** The cautions at one step, the gravest first. */
  public static List<Caution> at(Brew brew, int index) {
    Step step = brew.formula().steps().get(index);
    List<Caution> cautions = new ArrayList<>();
    if (has(brew, MaterialKind.SPIRIT)) {
      cautions.add(Caution.NO_FLAME);
    }
    if (step instanceof Combine combine && combine.liquid() == LiquidHeat.JUST_BOILED) {
      cautions.add(Caution.BURNS);
      if (combine.vessel() == VesselKind.JAR || combine.vessel() == VesselKind.BOWL) {
        cautions.add(Caution.WARM_THE_GLASS);
      }
    } else if (step instanceof Heat || step instanceof Boil) {
      cautions.add(Caution.BURNS);
      if (has(brew, MaterialKind.GUM_SEED) || has(brew, MaterialKind.GRAIN)) {
        cautions.add(Caution.BOIL_OVER);
      }
    } else if (step instanceof WaterBath) {
      cautions.add(Caution.BURNS);
      cautions.add(Caution.WARM_THE_GLASS);
      if (has(brew, MaterialKind.CARRIER_OIL)) {
        cautions.add(Caution.OIL_HEAT);
      }
    } else if (step instanceof Blend) {
      cautions.add(Caution.HOT_BLENDER);
    } else if (step instanceof Prepare prepare) {
      for (String key : prepare.ingredients()) {
        brew.materialOf(key)
            .filter(material -> material.kind() == MaterialKind.ALOE_LEAF)
            .ifPresent(material -> cautions.add(Caution.LATEX));
      }
    } else if (step instanceof Strain && powderIn(brew)) {
      cautions.add(Caution.FINE_STRAIN);
    } else if (step instanceof Add add) {
      for (String key : add.ingredients()) {
        brew.materialOf(key)
            .filter(material -> material.kind() == MaterialKind.ESSENTIAL_OIL)
            .ifPresent(material -> cautions.add(Caution.NEVER_UNDILUTED));
      }
    } else if (step instanceof Bottle bottle) {
      cautions.add(Caution.CLEAN_BOTTLES);
      cautions.add(Caution.NOT_FOR_DRINKING);
      if (bottle.container().sprays()) {
        cautions.add(Caution.CLOSE_EYES);
      }
      cautions.add(Caution.PATCH_TEST);
    }
    return List.copyOf(cautions);
  }

  private static boolean powderIn(Brew brew) {
    return brew.materials().stream().map(Material::kind).anyMatch(MaterialKind::isPowder);
  }

  private static boolean has(Brew brew, MaterialKind kind) {
    return brew.materials().stream().anyMatch(material -> material.kind() == kind);
  }
}
