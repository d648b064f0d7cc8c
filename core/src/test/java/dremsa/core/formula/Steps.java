package dremsa.core.formula;

import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.List;

/** One step of every kind, in an order in which a brew could go through them. */
public final class Steps {
  private static final Guide TOLD = new Guide("do it so", "it looks so", "too thin", "too dark");
  private static final Window TIME = Window.minutes(5, 10, 20);

  /** All work on water and sage; what is stirred in is panthenol. */
  public static final List<Step> OF_EVERY_KIND =
      List.of(
          new Step.Wash(List.of("sage"), TOLD),
          new Step.Prepare(List.of("sage"), Step.Treatment.CHOP, TIME, TOLD),
          new Step.Combine(VesselKind.POT, List.of("water", "sage"), Step.LiquidHeat.ROOM, TOLD),
          new Step.Heat(true, false, TOLD),
          new Step.Boil(Step.Level.GENTLE, true, false, TIME, TOLD),
          new Step.WaterBath(TIME, TOLD),
          new Step.Steep(true, TIME, TOLD),
          new Step.Soak(Place.FRIDGE, TIME, TOLD),
          new Step.Ferment(TIME, TOLD),
          new Step.Macerate(2, TIME, TOLD),
          new Step.Cool(35, Step.CoolingWay.ICE_BATH, false, TOLD),
          new Step.Blend(TIME, TOLD),
          new Step.Strain(StrainTool.CLOTH, true, TOLD),
          new Step.Divide("rinse", 0.5, TOLD),
          new Step.Add(List.of("panthenol"), 40, TOLD),
          new Step.Bottle(Container.SPRAY, TOLD),
          new Step.Freeze(30, TOLD));

  private Steps() {}

  /** A formula of them all. */
  public static Formula formula() {
    return new Formula(
        "all",
        "All",
        Method.BLEND,
        java.util.Set.of(Purpose.SCALP),
        "",
        List.of(
            Ingredient.parts("water", 500),
            Ingredient.parts("sage", 10),
            new Ingredient("panthenol", "panthenol", new Proportion.PercentOfFinished(1))),
        OF_EVERY_KIND);
  }
}
