package dremsa.core;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Stock;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.kitchen.Figures;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.scale.Scaling;
import dremsa.core.scale.Solution;
import dremsa.core.scale.Target;

/** Surroundings that many tests share. */
public final class Kitchens {
  public static final Kitchen METRIC = Kitchen.usual(MeasureSystem.METRIC);

  private Kitchens() {}

  public static Brew builtIn(String id) {
    return brew(BuiltInFormulas.find(id).orElseThrow());
  }

  public static Brew brew(Formula formula) {
    return in(METRIC, formula);
  }

  /** In a kitchen whose vessels take thirty litres. */
  public static Brew large(Formula formula) {
    return in(Figures.large(METRIC), formula);
  }

  /** With the brews that it is made with as their own formulas would make them. */
  public static Brew in(Kitchen kitchen, Formula formula) {
    Materials materials = Materials.standard();
    return Brew.of(
        formula,
        kitchen,
        materials,
        Stock.planned(formula, kitchen, materials, BuiltInFormulas::find));
  }

  public static Solution.Reached half(Brew brew) {
    return reached(brew, 500);
  }

  public static Solution.Reached reached(Brew brew, double millilitres) {
    return (Solution.Reached) Scaling.solve(brew, new Target.Volume(millilitres), Facts.NONE);
  }

  public static Prediction predicted(String builtIn, double millilitres) {
    return reached(builtIn(builtIn), millilitres).prediction();
  }
}
