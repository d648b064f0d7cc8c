package dremsa.core.check;

import dremsa.core.check.Finding.Code;
import dremsa.core.check.Finding.Severity;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.measure.Dimension;
import dremsa.core.measure.KitchenMeasure;
import dremsa.core.measure.KitchenMeasures;
import dremsa.core.measure.Said;
import dremsa.core.measure.TypedAmount;
import java.util.ArrayList;
import java.util.List;

/** The slips of a typed amount that can be told from the measure and the material alone. */
public final class AmountSlips {
  private static final String PLACE = "amount";

  private AmountSlips() {}

  /** What there is to ask back, the gravest first; empty when nothing looks wrong. */
  public static List<Finding> of(TypedAmount typed, Material material) {
    List<Finding> slips = new ArrayList<>();
    boolean drops = typed.measure().equals(KitchenMeasures.DROP);
    boolean spoon = typed.measure().dimension() == Dimension.VOLUME && !drops && typed.size() >= 1;
    MaterialKind kind = material.kind();
    if (kind == MaterialKind.ESSENTIAL_OIL && spoon) {
      slips.add(
          new Finding(
              Code.INFUSED_OR_ESSENTIAL,
              Severity.ERROR,
              PLACE,
              Said.of(
                  "%s by the spoon: the essential oil, or an oil infused with the plant?",
                  material.name()),
              "An essential oil is used by the drop; a spoon of it is far over every limit.",
              "Choose the infused oil, or give drops."));
    } else if (kind == MaterialKind.INFUSED_OIL && drops) {
      slips.add(
          new Finding(
              Code.INFUSED_OR_ESSENTIAL,
              Severity.WARNING,
              PLACE,
              Said.of("%s by the drop: the infused oil, or the essential oil?", material.name()),
              "Drops of an infused oil do next to nothing.",
              "Choose the essential oil, or give a spoon."));
    } else if (drops && (kind.isPlant() || kind == MaterialKind.POWDER_ADDITIVE)) {
      slips.add(
          new Finding(
              Code.DROPS_OF_SOLID,
              Severity.ERROR,
              PLACE,
              Said.of("%s cannot be counted in drops.", material.name()),
              "Drops are for liquids.",
              "Give grams, or a spoon."));
    } else if (typed.measure().isLoose()) {
      KitchenMeasure measure = typed.measure();
      slips.add(
          new Finding(
              Code.WHICH_SCOOP,
              Severity.NOTE,
              PLACE,
              Said.of(
                  "A %s is taken as %s mL here; it may be %s to %s.",
                  measure.symbol(),
                  plain(measure.size()),
                  plain(measure.least()),
                  plain(measure.most())),
              "Glasses, hands and the scoops that come with powders differ.",
              "Fill yours with water, weigh or measure that, and set its size in the kitchen."));
    }
    return slips;
  }

  private static String plain(double millilitres) {
    return Said.of(millilitres < 1 ? "%.2f" : "%.0f", millilitres);
  }
}
