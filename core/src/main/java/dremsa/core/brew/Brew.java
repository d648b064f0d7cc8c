package dremsa.core.brew;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A formula resolved with a kitchen and materials, ready to be predicted at any size.
 *
 * <p>The size is a scale: 1 means the grams as the formula's parts are written.
 */
public final class Brew {
  /** How full a vessel may be that does not foam. */
  private static final double FILL = 0.9;

  private static final double FILL_FOAMING = 2.0 / 3;
  private static final double FILL_LARGE_GEL = 0.5;

  /** From here on a gel counts as large, mL. */
  private static final double LARGE_GEL_ML = 2000;

  private final Formula formula;
  private final Kitchen kitchen;
  private final List<Material> materials;
  private final Materials surroundings;
  private final Stock stock;
  private final Constants constants;
  private final boolean coarse;

  private Brew(
      Formula formula, Kitchen kitchen, Materials surroundings, Stock stock, boolean coarse) {
    this.coarse = coarse;
    this.formula = formula;
    this.kitchen = kitchen;
    this.surroundings = surroundings;
    this.stock = stock;
    this.materials =
        formula.ingredients().stream()
            .map(Ingredient::material)
            .map(
                id ->
                    stock
                        .of(id)
                        .map(poured -> poured.material(id))
                        .orElseGet(() -> surroundings.get(id)))
            .toList();
    this.constants = new Constants(kitchen, coarse);
  }

  /**
   * Resolves a formula that is not made with other brews.
   *
   * @throws dremsa.core.material.UnknownMaterialException when it names a material that is not
   *     there
   */
  public static Brew of(Formula formula, Kitchen kitchen, Materials materials) {
    return of(formula, kitchen, materials, Stock.NONE);
  }

  /**
   * Resolves a formula.
   *
   * @param stock the brews that it is made with
   * @throws dremsa.core.material.UnknownMaterialException when it names a material or a brew that
   *     is not there
   */
  public static Brew of(Formula formula, Kitchen kitchen, Materials materials, Stock stock) {
    return new Brew(formula, kitchen, materials, stock, false);
  }

  /** Another formula in the same surroundings. */
  public Brew with(Formula changed) {
    return new Brew(changed, kitchen, surroundings, stock, coarse);
  }

  /** The same formula in another kitchen. */
  public Brew with(Kitchen changed) {
    return new Brew(formula, changed, surroundings, stock, coarse);
  }

  /** The same formula with one material's figures changed. */
  public Brew with(Material changed) {
    return new Brew(formula, kitchen, surroundings.with(changed), stock, coarse);
  }

  /**
   * The same brew, reckoned in steps four times as long: good enough for how far a result is
   * shifted by something, not for the result itself.
   */
  Brew coarse() {
    return new Brew(formula, kitchen, surroundings, stock, true);
  }

  /**
   * All that a run of a brew depends on besides its scale, its vessels and what is known of it: two
   * brews of the same inputs run alike.
   */
  public record Inputs(Formula formula, Kitchen kitchen, List<Material> materials) {}

  /** What a run of it depends on; empty where other brews are poured in, whose age counts too. */
  public Optional<Inputs> inputs() {
    return stock == Stock.NONE
        ? Optional.of(new Inputs(formula, kitchen, materials))
        : Optional.empty();
  }

  /** The ways of a divided batch, each as a brew of its own; empty when it is not divided. */
  public List<Brew> ways() {
    return formula.branches().stream().map(branch -> with(formula.way(branch))).toList();
  }

  public Formula formula() {
    return formula;
  }

  public Kitchen kitchen() {
    return kitchen;
  }

  /** The materials in the order of the formula's ingredients. */
  public List<Material> materials() {
    return materials;
  }

  /**
   * The brew poured in as an ingredient, by its place in the formula; empty for a plain material.
   */
  public Optional<Stock.Poured> poured(int ingredient) {
    return stock.of(formula.ingredients().get(ingredient).material());
  }

  /** The material of an ingredient, by its key. */
  public Optional<Material> materialOf(String key) {
    for (int i = 0; i < materials.size(); i++) {
      if (formula.ingredients().get(i).key().equals(key)) {
        return Optional.of(materials.get(i));
      }
    }
    return Optional.empty();
  }

  /** The colour of the brew, for drawing: its first plant's, else its first liquid's. */
  public String tint() {
    return materials.stream()
        .filter(material -> material.kind().isPlant())
        .findFirst()
        .orElse(materials.get(0))
        .tint();
  }

  /** Where water boils in this kitchen, °C. */
  public double boilingC() {
    return constants.boilingC;
  }

  /** Grams of an ingredient at scale 1; 0 for what is dosed on the finished brew. */
  public double partsOf(String key) {
    return formula
        .ingredient(key)
        .map(Ingredient::proportion)
        .map(proportion -> proportion instanceof Proportion.Parts p ? p.grams() : 0.0)
        .orElse(0.0);
  }

  /**
   * For each kind of vessel that the steps use, the smallest of the kitchen that holds the batch
   * with headspace; the largest where none does.
   */
  public VesselChoice vesselsFor(double scale) {
    VesselChoice choice = VesselChoice.NONE;
    double contents = 0;
    for (Step step : stepsOfAllWays()) {
      VesselKind kind = step.worksIn().orElse(null);
      if (kind != null && step.puts()) {
        contents += millilitresOf(step.ingredients(), scale);
        double needed = Math.max(contents, bulkOf(step.ingredients(), scale));
        Optional<Vessel> vessel =
            kitchen.vessels().stream()
                .filter(v -> v.kind() == kind && safeMillilitres(v) >= needed)
                .min(Comparator.comparingDouble(Vessel::capacityMl))
                .or(() -> kitchen.largest(kind));
        if (vessel.isPresent()) {
          choice = choice.with(vessel.get());
        }
      } else if (kind != null) {
        // What is worked in a vessel batch by batch takes the largest.
        Optional<Vessel> largest = kitchen.largest(kind);
        if (largest.isPresent()) {
          choice = choice.with(largest.get());
        }
      }
    }
    return choice;
  }

  /** Liquid that the formula's parts put in at scale 1, mL; a first guess for solving. */
  public double millilitresAtOne() {
    double sum = 0;
    for (int i = 0; i < materials.size(); i++) {
      Material material = materials.get(i);
      if (!material.kind().isPlant() || material.kind().isFresh()) {
        sum += partsOf(formula.ingredients().get(i).key()) / material.density();
      }
    }
    return Math.max(sum, 1);
  }

  /** The largest scale at which every vessel used is still full enough at most. */
  public double largestScale() {
    return largestScales().values().stream()
        .min(Double::compare)
        .orElse(10_000 / millilitresAtOne());
  }

  /** For each kind of vessel used, the largest scale that the largest one of the kitchen takes. */
  public Map<VesselKind, Double> largestScales() {
    Map<VesselKind, Double> largest = new EnumMap<>(VesselKind.class);
    double contents = 0;
    for (Step step : stepsOfAllWays()) {
      VesselKind kind = step.worksIn().orElse(null);
      if (kind != null && step.puts()) {
        contents += millilitresOf(step.ingredients(), 1);
        Optional<Vessel> vessel = kitchen.largest(kind);
        if (vessel.isPresent() && contents > 0) {
          largest.merge(kind, safeMillilitres(vessel.get()) / contents, Double::min);
        }
      }
    }
    return largest;
  }

  private List<Step> stepsOfAllWays() {
    if (formula.branches().isEmpty()) {
      return formula.steps();
    }
    List<Step> all = new ArrayList<>(formula.steps());
    formula.branches().forEach(branch -> all.addAll(branch.steps()));
    return all;
  }

  /** The most liquid and plant that a vessel may hold here, mL. */
  double safeMillilitres(Vessel vessel) {
    double capacity = vessel.capacityMl();
    if (vessel.kind() != VesselKind.POT || !foams()) {
      return capacity * FILL;
    }
    // What foams fills two thirds; a large batch of it only half.
    double usual = capacity * FILL_FOAMING;
    return usual <= LARGE_GEL_ML ? usual : Math.max(LARGE_GEL_ML, capacity * FILL_LARGE_GEL);
  }

  private boolean foams() {
    return materials.stream()
        .anyMatch(
            material ->
                material.kind() == MaterialKind.GUM_SEED
                    || material.kind() == MaterialKind.GRAIN
                    || material.kind() == MaterialKind.GUM_POWDER);
  }

  /** Room that dried plants take before they are wet, mL. */
  private double bulkOf(List<String> keys, double scale) {
    double sum = 0;
    for (String key : keys) {
      Material material = materialOf(key).orElseThrow();
      if (material.kind().isPlant() && !material.kind().isFresh()) {
        sum += partsOf(key) * scale / material.density();
      }
    }
    return sum;
  }

  private double millilitresOf(List<String> keys, double scale) {
    double sum = 0;
    for (String key : keys) {
      Material material = materialOf(key).orElseThrow();
      double grams = partsOf(key) * scale;
      // A dry plant in water takes about the room of its own mass, not of its fluffy bulk.
      sum += material.kind().isPlant() ? grams : grams / material.density();
    }
    return sum;
  }

  /**
   * Predicts a batch in the vessels that suit its size.
   *
   * @param scale above 0
   * @throws IllegalArgumentException when the scale is not a number above 0
   */
  public Prediction predict(double scale, Facts facts) {
    return predict(scale, vesselsFor(scale), facts);
  }

  /** Predicts a batch in these vessels. */
  public Prediction predict(double scale, VesselChoice vessels, Facts facts) {
    return new Simulation(this, constants, scale, vessels, facts, true).run();
  }

  /**
   * Millilitres to bottle at 20 °C, of a divided batch those of all its ways; without the trace,
   * for solving.
   */
  public double bottledMl(double scale, VesselChoice vessels, Facts facts) {
    if (!formula.branches().isEmpty()) {
      double sum = 0;
      for (Brew way : ways()) {
        sum += way.bottledMl(scale, vessels, facts);
      }
      return sum;
    }
    return untraced(scale, vessels, facts).finished().millilitres();
  }

  /**
   * How the pot looks at the end of a step; with the minutes that it has lasted so far, how it
   * looks now.
   *
   * @param step its index
   */
  public PotNow standing(double scale, VesselChoice vessels, Facts facts, int step) {
    return new Simulation(this, constants, scale, vessels, facts, false).standing(step);
  }

  /** The same prediction without its trace, for solving. */
  public Prediction untraced(double scale, VesselChoice vessels, Facts facts) {
    return new Simulation(this, constants, scale, vessels, facts, false).run();
  }

  /** What a batch of this size consists of in the end, planned as usual. */
  public Contents contents(double scale) {
    return untraced(scale, vesselsFor(scale), Facts.NONE).contents();
  }
}
