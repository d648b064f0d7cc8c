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
import java.util.Set;

/** The state of a vessel while a formula runs. Mutable; lives for one prediction. */
final class Pot {
  /** At the boil this long, what was raw counts as cooked; common practice. */
  private static final double BOILED_MINUTES = 5;

  private static final double USUAL_SPIRIT = 40;

  /** Diluted by less than this a shop base is what it was; our estimate. */
  private static final double WHOLE = 0.95;

  private final Constants k;

  Vessel vessel;
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

  /** Acids and bases put in, reckoned to all that was ever here: by the share that is left. */
  private Sourness sour = Sourness.NONE;

  /** Its pH was read, and nothing that could move it has come since. */
  private boolean phRead;

  /** Fermentation, in hours as at 22 °C. */
  private double sourHours;

  private double fermentedMinute = Double.NaN;

  /** Its own ferment has, or has not, surely come to what sour food is. */
  private boolean soured;

  /** Something was poured in since it fermented: what is sour now may be that. */
  private boolean pouredSince;

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

  /** A plant that is or was in the pot. */
  static final class PlantIn {
    final int ingredient;
    final Material material;
    double grams;
    final double addedAt;
    boolean strained;
    double strainedAt;

    /** Share of its dissolved gum that ran off with the liquid. */
    double gumShare = 1;

    /** Water of a fresh plant that came into the liquid, g. */
    double released;

    /** Of that, what liquid took the place of in the plant. */
    double exchanged;

    private final double waterShare;

    private final double fast;
    private final double slow;
    private final double gumYield;
    private final double gumRoot;

    /** What a gram of it does to the pH. */
    private final Sourness sour;

    PlantIn(int ingredient, Material material, double grams, double addedAt, Constants k) {
      this.ingredient = ingredient;
      this.material = material;
      this.grams = grams;
      this.addedAt = addedAt;
      this.waterShare = material.kind().isFresh() ? material.value(Property.WATER_SHARE, 0.85) : 0;
      this.sour = AcidOf.gram(material);
      this.fast = material.value(Property.FAST_SHARE, 0.3);
      this.slow = material.value(Property.SLOW_RATE, 0.01);
      this.gumYield = material.value(Property.GUM_YIELD, 0);
      this.gumRoot = gumYield == 0 ? 0 : k.gumRoot(material.value(Property.GUM_POWER, 0));
    }

    /** Water that it came with, g; none for a dried one. */
    double water() {
      return grams * waterShare;
    }
  }

  /** Of a shop base, reckoned like {@link #sour}. */
  private double shopBase;

  /** Water of plant that came with a brew poured in, reckoned like {@link #sour}. */
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
      case JUICE -> {
        juice += grams;
        juiceBoiled = boiledMinutes;
      }
      case WATER, ACID, BREW -> water += grams;
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
    dissolve(material.kind() == MaterialKind.WATER ? k.tap : AcidOf.gram(material), grams);
    if (Double.isNaN(firstWetMinute)) {
      firstWetMinute = minute;
    }
  }

  private void dissolve(Sourness gram, double grams) {
    if (gram != Sourness.NONE && grams > 0) {
      sour = sour.plus(gram.times(grams / left));
      phRead = false;
      pouredSince = true;
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
    boolean first = sour == Sourness.NONE && plants.isEmpty();
    dissolve(brew.sourness(), 1);
    phRead = first && brew.sourness().read();
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
    dissolve(k.tap, grams);
    celsius = (before + grams * k.waterHeat * atC) / heatCapacity();
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

  private double contact(PlantIn plant) {
    return (plant.strained ? plant.strainedAt : extractionMinutes) - plant.addedAt;
  }

  /** Share of the plant's extractable matter that went over (two pools, first order in time). */
  double extracted(PlantIn plant) {
    double contact = contact(plant);
    return plant.fast * (1 - Math.exp(-k.fastRate * contact))
        + (1 - plant.fast) * (1 - Math.exp(-plant.slow * contact));
  }

  /** Gum of this plant in the liquid, g. */
  double gum(PlantIn plant) {
    return plant.gumYield == 0
        ? 0
        : plant.gumYield
            * plant.grams
            * (1 - Math.exp(-k.gumRate * contact(plant)))
            * plant.gumShare;
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
        if (plant.gumYield > 0) {
          root += plant.gumRoot * 100 * gum(plant) / liquid;
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
      sum += plant.strained ? 0 : plant.water() - plant.released;
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
      double more = plant.strained ? 0 : (plant.water() - plant.released) * share;
      if (more > 0) {
        release(plant, more);
        plant.exchanged += more;
      }
    }
  }

  /** Water of a fresh plant comes into the liquid. */
  private void release(PlantIn plant, double grams) {
    double before = millilitres();
    double unlucky = plant.material.figure(Property.WATER_SHARE).map(Figure::high).orElse(1.0);
    double wetter = grams * Math.max(0, unlucky / Math.max(0.01, plant.waterShare) - 1);
    plant.released += grams;
    water += grams;
    poured += grams;
    ethanolSure *= before <= 0 ? 1 : (before + grams) / (before + grams + wetter);
  }

  /** Blended, a fresh plant gives all its water, as raw juice. */
  void blend(PlantIn plant) {
    double more = plant.water() - plant.released;
    if (plant.strained || more <= 0) {
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
    return sour.times(left).plus(ofPlants()).taken(phRead);
  }

  private Sourness ofPlants() {
    Sourness sum = Sourness.NONE;
    for (PlantIn plant : plants) {
      if (plant.sour != Sourness.NONE && plant.gumShare > 0) {
        sum = sum.plus(plant.sour.times(plant.grams * extracted(plant) * plant.gumShare));
      }
    }
    return sum;
  }

  /** What was read replaces what was estimated, from here on. */
  void readPh(double ph) {
    double litres = (water + juice) / 1000;
    if (litres <= 0) {
      return;
    }
    sour = sour.times(left).asRead(ph, litres, ofPlants()).times(1 / left);
    phRead = true;
    // Vinegar stirred in after an idle stand makes no ferment of it: a reading may then only deny.
    boolean mayBe = sourHours > 0 && fermentable() && (soured || !pouredSince);
    soured = mayBe && ph <= Sourness.Ph.ACID_FOOD;
    told(soured);
  }

  /**
   * Lets starch water sour. Only what has something to sour does; whether it has come far enough to
   * count is judged at the unlucky end of the estimate, until a reading says so.
   *
   * @param hours as at 22 °C
   */
  void ferment(double hours) {
    sourHours += hours;
    fermentedMinute = minute;
    pouredSince = false;
    double litres = (water + juice) / 1000;
    if (!fermentable() || litres <= 0) {
      return;
    }
    Sourness.Ph to = Souring.ph(sourHours, k.kitchen);
    Sourness plants = ofPlants();
    Sourness all = sour.times(left).plus(plants).soured(to, litres);
    sour = all.plus(plants.times(-1)).times(1 / left);
    phRead = false;
    soured = to.surelyAtMost(Sourness.Ph.ACID_FOOD);
    told(soured);
  }

  private void told(boolean fermented) {
    if (sourHours > 0) {
      if (fermented) {
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

  /** When it had stood to ferment and surely done so; NaN when it has not. */
  double souredMinute() {
    return soured ? fermentedMinute : Double.NaN;
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
