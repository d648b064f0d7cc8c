package dremsa.core.brew;

import dremsa.core.acid.Sourness;
import dremsa.core.kitchen.Vessel;
import dremsa.core.material.AcidOf;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The state of a vessel while a formula runs. Mutable; lives for one prediction. */
final class Pot {
  /** At the boil this long, what was raw counts as cooked; common practice. */
  private static final double BOILED_MINUTES = 5;

  private static final double USUAL_SPIRIT = 40;

  /** Diluted by less than this a shop base is what it was; our estimate. */
  private static final double WHOLE = 0.95;

  private final Constants k;

  /** What it is in; null before anything was put together. */
  @Nullable Vessel vessel;

  double minute;
  double celsius;

  double water;
  double ethanol;

  /** The least ethanol that is believable: weak spirit, wet plants. */
  double ethanolSure;

  double glycerin;
  double oil;
  double juice;
  double other;

  /** Minutes of extraction, reckoned at 80 °C in water. */
  double extractionMinutes;

  /** Its acids, and what has become of its starch. */
  private final PotAcids acids = new PotAcids();

  double boiledMinutes;
  boolean pouredHot;
  double firstWetMinute = Double.NaN;
  double strainedMinute = Double.NaN;
  double strainedC = Double.NaN;
  boolean debris;

  /** Gum and thickening that came with a brew poured in: g, and g times the root of its power. */
  double pouredGum;

  double pouredGumRoot;
  final List<Contents.Gum> pouredGums = new ArrayList<>();

  /** Minutes at the boil when juice or fresh plant last went in; NaN when none did. */
  double juiceBoiled = Double.NaN;

  double freshBoiled = Double.NaN;

  final List<Contents.Preserver> preservatives = new ArrayList<>();
  final Set<Contents.Trait> traits = EnumSet.noneOf(Contents.Trait.class);

  double poured;
  double held;
  double cloth;
  double steam;
  double apart;
  double unaccounted;

  /** How much of what was in it since the first pouring is still here, as a share. */
  private double left = 1;

  final List<PlantIn> plants = new ArrayList<>();

  Pot(Constants k) {
    this.k = k;
    this.celsius = k.climate.roomC();
  }

  /** Of a shop base, reckoned to all that was ever here. */
  private double shopBase;

  /** Water of plant that came with a brew poured in, reckoned to all that was ever here. */
  private double pouredPlantWater;

  void add(int ingredient, Material material, double grams) {
    switch (material.kind()) {
      case SPIRIT -> {
        Figure strength = material.figures().get(Property.ALCOHOL);
        double share = Solvent.ethanolShare(strength == null ? USUAL_SPIRIT : strength.value());
        ethanol += grams * share;
        ethanolSure += grams * (strength == null ? 0 : Solvent.ethanolShare(strength.low()));
        water += grams * (1 - share);
      }
      case GLYCERIN -> glycerin += grams;
      case CARRIER_OIL, INFUSED_OIL, ESSENTIAL_OIL, FRAGRANCE -> oil += grams;
      case JUICE, FOOD -> {
        juice += grams;
        juiceBoiled = boiledMinutes;
      }
      case WATER, HYDROLAT, ACID, BREW -> water += grams;
      case CONDITIONER -> {
        double share = material.value(Property.WATER_SHARE, 0.85);
        water += grams * share;
        other += grams * (1 - share);
        shopBase += grams / left;
        traits.add(Contents.Trait.CONDITIONER);
      }
      case PRESERVATIVE -> {
        other += grams;
        boolean tooHot = celsius > material.value(Property.MAX_TEMPERATURE, 100) + 0.5;
        preservatives.add(new Contents.Preserver(material, grams / left, tooHot));
      }
      case POWDER_ADDITIVE -> {
        other += grams;
        thicken(
            grams * material.value(Property.GUM_YIELD, 0), material.value(Property.GUM_POWER, 0));
      }
      default -> {
        if (material.kind().isFresh()) {
          traits.add(Contents.Trait.FRESH_PLANT);
          freshBoiled = boiledMinutes;
        } else if (material.kind() == MaterialKind.GRAIN) {
          traits.add(Contents.Trait.STARCH);
        }
        plants.add(new PlantIn(ingredient, material, grams, extractionMinutes, k));
        return;
      }
    }
    poured += grams;
    acids.add(material.kind() == MaterialKind.WATER ? k.tap : AcidOf.gram(material), grams, left);
    if (Double.isNaN(firstWetMinute)) {
      firstWetMinute = minute;
    }
  }

  /** Pours a finished brew in. */
  void pour(Contents brew) {
    water += brew.water();
    ethanol += brew.ethanol();
    glycerin += brew.glycerin();
    oil += brew.oil();
    juice += brew.juice();
    other += brew.other() + brew.solids();
    acids.pour(brew.sourness(), left, plants.isEmpty());
    ethanolSure += brew.ethanolSure();
    pouredPlantWater += brew.waterOfSolids() / left;
    if (brew.has(Contents.Trait.CONDITIONER_WHOLE)) {
      shopBase += brew.grams() / left;
    }
    brew.gums().forEach(gum -> thicken(gum.grams(), gum.power()));
    for (Contents.Preserver p : brew.preservatives()) {
      preservatives.add(new Contents.Preserver(p.material(), p.grams() / left, p.tooHot()));
    }
    for (Contents.Trait trait : brew.traits()) {
      switch (trait) {
        case RAW_JUICE -> juiceBoiled = boiledMinutes;
        case FRESH_UNBOILED -> freshBoiled = boiledMinutes;
        case CONDITIONER_WHOLE -> traits.add(Contents.Trait.CONDITIONER);
        default -> traits.add(trait);
      }
    }
    poured += brew.grams();
    if (Double.isNaN(firstWetMinute)) {
      firstWetMinute = minute;
    }
  }

  /** A gum that is dissolved at once: a powder stirred in, or what a brew brought along. */
  private void thicken(double grams, double power) {
    if (grams > 0) {
      pouredGum += grams;
      pouredGumRoot += grams * k.gumRoot(power);
      pouredGums.add(new Contents.Gum(grams / left, power));
    }
  }

  /** Plain water poured in beside the formula. */
  void pourWater(double millilitres, double atC) {
    double grams = millilitres * Solvent.WATER_DENSITY;
    double before = heatCapacity() * celsius;
    water += grams;
    poured += grams;
    acids.add(k.tap, grams, left);
    celsius = (before + grams * k.waterHeat * atC) / heatCapacity();
  }

  /** What it stands in, once something was put together. */
  Vessel in() {
    return Objects.requireNonNull(vessel);
  }

  double liquid() {
    return water + ethanol + glycerin + oil + juice + other;
  }

  /** Volume of the liquid, mL at 20 °C. */
  double millilitres() {
    return Solvent.millilitres(water, ethanol, glycerin, oil, juice, other);
  }

  double alcoholPercent() {
    double volume = millilitres();
    return volume <= 0 ? 0 : 100 * ethanol / Solvent.ETHANOL_DENSITY / volume;
  }

  /** Keeps a share of the liquid and of all that is dissolved in it. */
  void keepShare(double share) {
    water *= share;
    ethanol *= share;
    ethanolSure *= share;
    glycerin *= share;
    oil *= share;
    juice *= share;
    other *= share;
    pouredGum *= share;
    pouredGumRoot *= share;
    // Never quite nothing: amounts are reckoned by it.
    left = Math.max(1e-9, left * share);
    for (PlantIn plant : plants) {
      plant.gumShare *= share;
    }
  }

  /** Divides the batch: keeps a share of the liquid and of the plants in it. */
  void divide(double share) {
    apart += liquid() * (1 - share);
    keepShare(share);
    for (PlantIn plant : plants) {
      // Its gum went off with it: what stays, as a smaller amount, has its full share again.
      plant.grams *= share;
      plant.released *= share;
      plant.exchanged *= share;
      plant.gumShare /= share;
    }
  }

  /** Takes vapour away: water first, then that of juice. */
  double evaporate(double grams) {
    double ofWater = Math.min(grams, water);
    double ofJuice = Math.min(grams - ofWater, juice);
    water -= ofWater;
    juice -= ofJuice;
    steam += ofWater + ofJuice;
    return ofWater + ofJuice;
  }

  /** Whether nothing is left that could steam off. */
  boolean isDry() {
    return water + juice < 1e-6;
  }

  /** J/K of all that is in the pot. */
  double heatCapacity() {
    return (water + juice + other) * k.waterHeat
        + (ethanol + glycerin) * 2.4
        + oil * k.oilHeat
        + plantGrams() * k.plantHeat;
  }

  /** How fast the liquid draws against plain water. */
  double solvent() {
    double liquid = liquid();
    if (liquid <= 0) {
      return 0;
    }
    if (oil > liquid / 2) {
      return k.oilSolvent;
    }
    double strong = Math.min(1, alcoholPercent() / 40);
    return 1 + strong * (k.spiritSolvent - 1);
  }

  /** Share of the plant's extractable matter that went over. */
  double extracted(PlantIn plant) {
    return plant.extracted(extractionMinutes);
  }

  /** Gum of this plant in the liquid, g. */
  double gum(PlantIn plant) {
    return plant.gum(extractionMinutes);
  }

  /**
   * mPa·s at a temperature. Gums of several plants add up on the scale on which each is a power.
   */
  double thickness(double atC) {
    double liquid = liquid();
    double root = 0;
    if (liquid > 0) {
      root = 100 * pouredGumRoot / liquid;
      for (PlantIn plant : plants) {
        if (plant.thickens()) {
          root += plant.gumRoot() * 100 * gum(plant) / liquid;
        }
      }
    }
    return k.thickness(Solvent.viscosity(water + juice, ethanol, glycerin, atC), root, atC);
  }

  /** Plant that is still in it, without the water that it gave, g. */
  double plantGrams() {
    double sum = 0;
    for (PlantIn plant : plants) {
      sum += plant.strained ? 0 : plant.grams - plant.released;
    }
    return sum;
  }

  /** Water of fresh plant still in it that has not come out yet, g. */
  private double waterOfPlants() {
    double sum = pouredPlantWater * left;
    for (PlantIn plant : plants) {
      sum += plant.waterLeft();
    }
    return sum;
  }

  /**
   * Fresh plant gives its water and takes up as much of the liquid: that matters in spirit,
   * glycerin and vinegar. Oil takes none.
   */
  void exchange(double minutes) {
    if (minutes <= 0 || oil > liquid() / 2) {
      return;
    }
    double share = 1 - Math.exp(-minutes / k.exchangeMinutes);
    for (PlantIn plant : plants) {
      double more = plant.waterLeft() * share;
      if (more > 0) {
        if (Double.isNaN(firstWetMinute)) {
          // Nothing was poured yet: it is wet with its own water since it was put in.
          firstWetMinute = minute - minutes;
        }
        release(plant, more);
        plant.exchanged += more;
      }
    }
  }

  /** Water of a fresh plant comes into the liquid. */
  private void release(PlantIn plant, double grams) {
    double before = millilitres();
    double wetter = grams * (plant.unluckyWetness() - 1);
    plant.released += grams;
    water += grams;
    poured += grams;
    ethanolSure *= before <= 0 ? 1 : (before + grams) / (before + grams + wetter);
  }

  /** Blended, a fresh plant gives all its water, as raw juice. */
  void blend(PlantIn plant) {
    double more = plant.waterLeft();
    if (more <= 0) {
      return;
    }
    plant.released += more;
    juice += more;
    juiceBoiled = boiledMinutes;
    poured += more;
    if (Double.isNaN(firstWetMinute)) {
      firstWetMinute = minute;
    }
  }

  /** What it consists of now. */
  Contents contents() {
    List<Contents.Gum> gums = new ArrayList<>();
    for (PlantIn plant : plants) {
      double grams = gum(plant);
      if (grams > 0) {
        gums.add(new Contents.Gum(grams, plant.material.value(Property.GUM_POWER, 0)));
      }
    }
    for (Contents.Gum gum : pouredGums) {
      gums.add(new Contents.Gum(gum.grams() * left, gum.power()));
    }
    Set<Contents.Trait> all = EnumSet.copyOf(traits);
    boolean hot = pouredHot || boiledMinutes >= BOILED_MINUTES;
    if (boiledMinutes - juiceBoiled < BOILED_MINUTES && juice > 0) {
      all.add(Contents.Trait.RAW_JUICE);
    }
    if (boiledMinutes - freshBoiled < BOILED_MINUTES) {
      all.add(Contents.Trait.FRESH_UNBOILED);
    }
    boolean herbs = plants.stream().anyMatch(plant -> plant.material.kind() != MaterialKind.GRAIN);
    if (traits.contains(Contents.Trait.STARCH) && hot) {
      all.add(Contents.Trait.STARCH_COOKED);
    }
    if (traits.contains(Contents.Trait.STARCH) && herbs && hot) {
      all.add(Contents.Trait.STARCH_HEATED);
    }
    if (all.contains(Contents.Trait.CONDITIONER) && shopBase * left >= WHOLE * liquid()) {
      all.remove(Contents.Trait.CONDITIONER);
      all.add(Contents.Trait.CONDITIONER_WHOLE);
    }
    return new Contents(
        water,
        ethanol,
        ethanolSure,
        glycerin,
        oil,
        juice,
        other,
        plantGrams(),
        waterOfPlants(),
        sourness(),
        gums,
        preservatives.stream()
            .map(p -> new Contents.Preserver(p.material(), p.grams() * left, p.tooHot()))
            .toList(),
        all);
  }

  /** Acids and bases in the liquid, those that plants have given so far included. */
  private Sourness sourness() {
    return acids.of(left, ofPlants());
  }

  private Sourness ofPlants() {
    Sourness sum = Sourness.NONE;
    for (PlantIn plant : plants) {
      sum = sum.plus(plant.sourness(extractionMinutes));
    }
    return sum;
  }

  private double litres() {
    return (water + juice) / 1000;
  }

  /** What was read replaces what was estimated, from here on. */
  void readPh(double ph) {
    if (litres() > 0) {
      acids.read(ph, litres(), left, ofPlants(), fermentable());
      tellFerment();
    }
  }

  /**
   * Lets starch water sour. Only what has something to sour does.
   *
   * @param hours as at 22 °C
   */
  void ferment(double hours) {
    acids.stand(hours, minute);
    if (fermentable() && litres() > 0) {
      acids.sour(litres(), left, ofPlants(), k.kitchen);
      tellFerment();
    }
  }

  private void tellFerment() {
    if (acids.stood()) {
      if (acids.soured()) {
        traits.add(Contents.Trait.FERMENTED);
      } else {
        traits.remove(Contents.Trait.FERMENTED);
      }
    }
  }

  /** Whether there is starch, or a ferment to begin with. */
  private boolean fermentable() {
    return traits.contains(Contents.Trait.STARCH) || traits.contains(Contents.Trait.FERMENTED);
  }

  /** When it had stood to ferment and surely done so; empty when it has not. */
  OptionalDouble souredMinute() {
    return acids.souredMinute();
  }

  TracePoint moment() {
    if (k.coarse) {
      // Who asks how far a result shifts looks at temperatures alone.
      return new TracePoint(minute, celsius, liquid(), 0, 0);
    }
    double strength = plants.isEmpty() ? 0 : extracted(plants.get(0));
    return new TracePoint(minute, celsius, liquid(), strength, thickness(celsius));
  }
}
