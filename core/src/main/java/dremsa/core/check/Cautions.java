package dremsa.core.check;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Landmark;
import dremsa.core.brew.StepOutcome;
import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Add;
import dremsa.core.formula.Step.Blend;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Bottle;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.Step.WaterBath;
import dremsa.core.formula.StepCases;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import java.util.ArrayList;
import java.util.List;

/** Finds the cautions of a step from what the step does and what is in the pot. */
public final class Cautions {
  private Cautions() {}

  /**
   * The cautions at one step, the gravest first. What the heat of the pot means for hands and
   * vessels is {@link Handling}.
   *
   * @param outcome how the step goes, or went
   */
  public static List<Caution> at(Brew brew, StepOutcome outcome) {
    AtStep cautions = new AtStep(brew, outcome.startC());
    List<Caution> all = new ArrayList<>();
    if (cautions.has(MaterialKind.SPIRIT)) {
      all.add(Caution.NO_FLAME);
    }
    all.addAll(brew.formula().steps().get(outcome.index()).accept(cautions));
    return List.copyOf(all);
  }

  private static final class AtStep implements StepCases.Some<List<Caution>> {
    private final Brew brew;
    private final double celsius;

    AtStep(Brew brew, double celsius) {
      this.brew = brew;
      this.celsius = celsius;
    }

    @Override
    public List<Caution> combine(Combine step) {
      if (!step.pouredHot()) {
        return List.of();
      }
      boolean glass = step.vessel() == VesselKind.JAR || step.vessel() == VesselKind.BOWL;
      return glass ? List.of(Caution.BURNS, Caution.WARM_THE_GLASS) : List.of(Caution.BURNS);
    }

    @Override
    public List<Caution> heat(Heat step) {
      return hob();
    }

    @Override
    public List<Caution> boil(Boil step) {
      return hob();
    }

    private List<Caution> hob() {
      return has(MaterialKind.GUM_SEED) || has(MaterialKind.GRAIN)
          ? List.of(Caution.BURNS, Caution.BOIL_OVER)
          : List.of(Caution.BURNS);
    }

    @Override
    public List<Caution> waterBath(WaterBath step) {
      return has(MaterialKind.CARRIER_OIL)
          ? List.of(Caution.BURNS, Caution.WARM_THE_GLASS, Caution.OIL_HEAT)
          : List.of(Caution.BURNS, Caution.WARM_THE_GLASS);
    }

    @Override
    public List<Caution> blend(Blend step) {
      return celsius > Landmark.BLEND.celsius() ? List.of(Caution.HOT_BLENDER) : List.of();
    }

    @Override
    public List<Caution> prepare(Prepare step) {
      return names(step, MaterialKind.ALOE_LEAF) ? List.of(Caution.LATEX) : List.of();
    }

    @Override
    public List<Caution> strain(Strain step) {
      boolean powder =
          brew.materials().stream().map(Material::kind).anyMatch(MaterialKind::isPowder);
      return powder ? List.of(Caution.FINE_STRAIN) : List.of();
    }

    @Override
    public List<Caution> add(Add step) {
      return names(step, MaterialKind.ESSENTIAL_OIL) ? List.of(Caution.NEVER_UNDILUTED) : List.of();
    }

    @Override
    public List<Caution> bottle(Bottle step) {
      List<Caution> all = new ArrayList<>();
      all.add(Caution.CLEAN_BOTTLES);
      all.add(Caution.NOT_FOR_DRINKING);
      if (step.container().sprays()) {
        all.add(Caution.CLOSE_EYES);
      }
      all.add(Caution.PATCH_TEST);
      return all;
    }

    @Override
    public List<Caution> otherwise(Step step) {
      return List.of();
    }

    private boolean names(Step step, MaterialKind kind) {
      return step.ingredients().stream()
          .anyMatch(key -> brew.materialOf(key).filter(m -> m.kind() == kind).isPresent());
    }

    private boolean has(MaterialKind kind) {
      return brew.materials().stream().anyMatch(material -> material.kind() == kind);
    }
  }
}
