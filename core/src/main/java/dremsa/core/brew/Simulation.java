package dremsa.core.brew;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.Step.Add;
import dremsa.core.formula.Step.Blend;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Bottle;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.CoolingWay;
import dremsa.core.formula.Step.Ferment;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.Step.LiquidHeat;
import dremsa.core.formula.Step.Macerate;
import dremsa.core.formula.Step.Soak;
import dremsa.core.formula.Step.Steep;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.Step.WaterBath;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** One run of a formula through the model. Lives for one prediction. */
final class Simulation {
  /** Minutes of handwork for steps without a window; common practice. */
  private static final double HANDS_SHORT = 3;

  private static final double HANDS_LONG = 5;

  /** Nothing is cooled or brought to the boil for longer than this. */
  private static final double LONGEST_WAIT = 48 * 60;

  /** A bottle of this size stands for all bottles while they chill. */
  private static final Vessel CHILLING_BOTTLE =
      new Vessel("bottle", "bottle", VesselKind.JAR, 6, 260, true);

  private static final double SHALLOW = 2.5;

  /** Of plant that stays in the brew, wetted through, g/mL; our estimate. */
  private static final double SOLID_DENSITY = 1.3;

  private final Brew brew;
  private final Formula formula;
  private final Constants k;
  private final double scale;
  private final VesselChoice vessels;
  private final Facts facts;
  private final Pot pot;
  private final List<TracePoint> trace;
  private final HeatBalance heat;
  private final Map<String, Double> amounts = new HashMap<>();
  private final List<StepOutcome> outcomes;
  private final List<Trouble> troubles = new ArrayList<>();
  private int index;

  Simulation(
      Brew brew,
      Constants constants,
      double scale,
      VesselChoice vessels,
      Facts facts,
      boolean traced) {
    if (!(scale > 0) || !Double.isFinite(scale)) {
      throw new IllegalArgumentException("the scale must be a number above 0, not " + scale);
    }
    this.brew = brew;
    this.formula = brew.formula();
    this.k = constants;
    this.scale = scale;
    this.vessels = vessels;
    this.facts = facts;
    this.pot = new Pot(constants);
    this.trace = traced ? new ArrayList<>(160) : null;
    this.heat = new HeatBalance(constants, pot, trace);
    this.outcomes = new ArrayList<>(formula.steps().size());
  }

  Prediction run() {
    for (index = 0; index < formula.steps().size(); index++) {
      Step step = formula.steps().get(index);
      double startMinute = pot.minute;
      double startC = pot.celsius;
      StepFacts known = facts.of(index);
      mark();
      doStep(step, known);
      known.celsius().ifPresent(c -> pot.celsius = c);
      known.millilitres().ifPresent(this::measured);
      mark();
      outcomes.add(
          new StepOutcome(
              index,
              startMinute,
              pot.minute,
              startC,
              pot.celsius,
              pot.millilitres(),
              pot.vessel == null ? "" : pot.vessel.name()));
    }
    return result();
  }

  private void doStep(Step step, StepFacts known) {
    if (step instanceof Combine combine) {
      combine(combine);
      stand(known.minutes().orElse(HANDS_SHORT), 1);
    } else if (step instanceof Heat h) {
      heat(h, known);
    } else if (step instanceof Boil boil) {
      boil(boil, minutes(known, boil.time()));
    } else if (step instanceof WaterBath bath) {
      waterBath(minutes(known, bath.time()));
    } else if (step instanceof Steep steep) {
      stand(minutes(known, steep.time()), steep.cover() ? k.cover : 1);
    } else if (step instanceof Soak soak) {
      standAt(soak.place(), minutes(known, soak.time()));
    } else if (step instanceof Ferment ferment) {
      double minutes = minutes(known, ferment.time());
      standAt(Place.ROOM, minutes);
      pot.sourHours += Souring.hoursAt22(pot.celsius) * minutes / 60;
    } else if (step instanceof Macerate macerate) {
      standAt(Place.ROOM, minutes(known, macerate.time()));
    } else if (step instanceof Cool cool) {
      cool(cool, known);
    } else if (step instanceof Strain strain) {
      stand(known.minutes().orElse(HANDS_LONG), 1);
      strain(strain);
    } else if (step instanceof Blend blend) {
      stand(minutes(known, blend.time()), k.cover);
      blend();
    } else if (step instanceof Add add) {
      add(add);
      stand(known.minutes().orElse(HANDS_SHORT), 1);
    } else if (step instanceof Bottle) {
      stand(known.minutes().orElse(HANDS_LONG), 1);
    } else {
      stand(known.minutes().orElse(step.window().map(Window::usual).orElse(HANDS_SHORT)), k.cover);
    }
  }

  private static double minutes(StepFacts known, Window window) {
    return known.minutes().orElse(window.usual());
  }

  // ---- putting together ----

  private void combine(Combine combine) {
    Vessel vessel = vesselFor(combine.vessel());
    boolean hot = combine.liquid() == LiquidHeat.JUST_BOILED;
    double heatBefore = pot.heatCapacity() * pot.celsius;
    double capacityBefore = pot.heatCapacity();
    pot.vessel = vessel;
    for (String key : combine.ingredients()) {
      double before = pot.heatCapacity();
      Material material = put(key, brew.partsOf(key) * scale);
      double celsius =
          hot && material.kind() == MaterialKind.WATER ? k.pouredWater : k.climate.roomC();
      heatBefore += (pot.heatCapacity() - before) * celsius;
    }
    pot.pouredHot |= hot;
    double capacity = pot.heatCapacity();
    if (capacity > 0 && capacity > capacityBefore) {
      pot.celsius = heatBefore / capacity;
    }
    double safe = brew.safeMillilitres(vessel);
    double contents = pot.millilitres() + plantGrams();
    // Spirit and water take a little less room together than apart; the model neglects it.
    if (contents > safe * 1.03) {
      troubles.add(new Trouble.TooFull(index, vessel.name(), contents, safe));
    }
  }

  private Material put(String key, double grams) {
    int ingredient = indexOf(key);
    Material material = brew.materials().get(ingredient);
    pot.add(ingredient, material, grams);
    amounts.merge(key, grams, Double::sum);
    return material;
  }

  private int indexOf(String key) {
    for (int i = 0; i < formula.ingredients().size(); i++) {
      if (formula.ingredients().get(i).key().equals(key)) {
        return i;
      }
    }
    throw new IllegalArgumentException("no ingredient '" + key + "'");
  }

  private Vessel vesselFor(VesselKind kind) {
    return vessels
        .of(kind)
        .orElseGet(
            () -> {
              troubles.add(new Trouble.NoVessel(index, kind.words()));
              return new Vessel("none", kind.words(), kind, 15, 50_000, true);
            });
  }

  private double plantGrams() {
    double sum = 0;
    for (Pot.PlantIn plant : pot.plants) {
      sum += plant.strained ? 0 : plant.grams;
    }
    return sum;
  }

  // ---- time passing ----

  private void stand(double minutes, double escape) {
    standAt(k.climate.roomC(), k.heatLoss, escape, minutes);
  }

  private void standAt(Place place, double minutes) {
    // Soaks, ferments and macerations stand lidded: next to nothing leaves in days or weeks.
    standAt(place.celsius(k.climate), k.heatLoss, 0, minutes);
  }

  private void standAt(double celsius, double loss, double escape, double minutes) {
    if (pot.vessel == null) {
      pot.minute += minutes;
    } else {
      heat.pass(0, celsius, loss, escape, 1, minutes, Double.NaN);
    }
  }

  private void heat(Heat step, StepFacts known) {
    if (k.hobWatts <= 0) {
      troubles.add(new Trouble.NoHob(index));
      return;
    }
    if (pot.vessel == null) {
      return;
    }
    double escape = step.lid() ? k.cover : 1;
    heat.pass(
        k.hobWatts,
        k.climate.roomC(),
        k.heatLoss,
        escape,
        1,
        known.minutes().orElse(LONGEST_WAIT),
        Water.BOILING_C);
    if (pot.celsius < Water.BOILING_C - 0.5 && known.minutes().isEmpty()) {
      troubles.add(new Trouble.NeverBoils(index, pot.celsius));
    }
  }

  private void boil(Boil step, double minutes) {
    if (k.hobWatts <= 0) {
      troubles.add(new Trouble.NoHob(index));
      return;
    }
    if (pot.vessel == null) {
      return;
    }
    double level =
        switch (step.level()) {
          case ROLLING -> k.rolling;
          case GENTLE -> k.gentle;
          case SIMMER -> k.simmer;
        };
    double watts = Math.min(level, k.hobWatts);
    double escape = step.lid() ? k.lid : 1;
    int pieces = (int) Math.min(24, Math.max(1, Math.ceil(minutes / 2)));
    double piece = minutes / pieces;
    double latent = Water.latentHeat(Water.BOILING_C);
    double speed = k.arrhenius(Water.BOILING_C) * pot.solvent();
    for (int i = 0; i < pieces; i++) {
      double losses =
          k.heatLoss * pot.vessel.wettedArea(pot.millilitres()) * (pot.celsius - k.climate.roomC());
      double wanted = escape * Math.max(0, watts - losses) / latent * piece * 60;
      double gone = pot.evaporate(wanted);
      pot.minute += piece;
      pot.boiledMinutes += piece;
      pot.extractionMinutes += speed * piece;
      mark();
      if (gone < wanted * 0.999 || pot.water < 1e-6) {
        troubles.add(new Trouble.BoilsDry(index, (i + 1) * piece));
        return;
      }
    }
  }

  private void waterBath(double minutes) {
    if (pot.vessel == null) {
      return;
    }
    // A larger jar lags longer, by its surface over its volume.
    double lag = k.bathLag * Math.pow(Math.max(pot.millilitres(), 50) / 300, 1.0 / 3);
    int pieces = 20;
    double piece = minutes / pieces;
    for (int i = 0; i < pieces; i++) {
      double next = k.bathC + (pot.celsius - k.bathC) * Math.exp(-piece / lag);
      pot.extractionMinutes += k.arrhenius((pot.celsius + next) / 2) * pot.solvent() * piece;
      pot.celsius = next;
      pot.minute += piece;
      mark();
    }
  }

  private void cool(Cool step, StepFacts known) {
    if (pot.vessel == null) {
      return;
    }
    double around =
        switch (step.way()) {
          case COUNTER, SHALLOW_BOWL -> k.climate.roomC();
          case ICE_BATH -> 0;
          case FRIDGE -> k.climate.fridgeC();
        };
    double loss = step.way() == CoolingWay.ICE_BATH ? k.iceBathLoss : k.heatLoss;
    double escape = step.cover() || step.way() == CoolingWay.FRIDGE ? k.cover : 1;
    double wider = step.way() == CoolingWay.SHALLOW_BOWL ? SHALLOW : 1;
    if (known.minutes().isPresent()) {
      heat.pass(0, around, loss, escape, wider, known.minutes().getAsDouble(), Double.NaN);
    } else if (pot.celsius > step.toC()) {
      if (around > step.toC() - 0.3) {
        troubles.add(new Trouble.NeverCools(index, step.toC(), around));
      }
      heat.pass(0, around, loss, escape, wider, LONGEST_WAIT, Math.max(step.toC(), around + 0.3));
    }
  }

  // ---- parting and finishing ----

  private void strain(Strain step) {
    double liquid = pot.liquid();
    double pull = 0;
    boolean powder = false;
    for (Pot.PlantIn plant : pot.plants) {
      if (!plant.strained) {
        pull += hold(plant, step) * plant.grams;
        plant.strained = true;
        plant.strainedAt = pot.extractionMinutes;
        powder |= plant.material.kind().isPowder();
      }
    }
    if (pull > 0 && liquid > 0) {
      double held = liquid * (1 - Math.exp(-pull / liquid));
      share((liquid - held) / liquid);
      pot.held += held;
      if (pot.liquid() < 0.05 * liquid) {
        troubles.add(new Trouble.HerbHoldsAll(index, liquid, pot.liquid()));
      }
    }
    if (step.tool().soaksUp() && pot.liquid() > 0) {
      double kept = Math.min(k.clothKeeps, pot.liquid());
      share(1 - kept / pot.liquid());
      pot.cloth += kept;
    }
    pot.debris = (pot.debris || powder) && !step.tool().stopsPowder();
    pot.strainedMinute = pot.minute;
    pot.strainedC = pot.celsius;
  }

  /** Liquid and all that is dissolved in it, the gum too. */
  private void share(double kept) {
    pot.keepShare(kept);
    for (Pot.PlantIn plant : pot.plants) {
      plant.gumShare *= kept;
    }
  }

  private double hold(Pot.PlantIn plant, Strain step) {
    Material material = plant.material;
    double hold = material.value(Property.HOLD, 1);
    if (material.kind() == MaterialKind.GUM_SEED) {
      if (step.squeeze()) {
        return material.value(Property.HOLD_SQUEEZED, hold);
      }
      // Runs freely while hot, hardly when half cooled: between 60 and 80 °C one passes to the
      // other.
      double hot = Math.min(1, Math.max(0, (pot.celsius - 60) / 20));
      return hot * material.value(Property.HOLD_HOT, hold) + (1 - hot) * hold;
    }
    return step.squeeze() ? hold * k.squeeze : hold;
  }

  private void blend() {
    for (Pot.PlantIn plant : pot.plants) {
      if (!plant.strained && plant.material.kind().isFresh() && plant.released == 0) {
        plant.released = plant.grams * plant.material.value(Property.WATER_SHARE, 0.85);
        pot.juice += plant.released;
        pot.poured += plant.released;
        if (Double.isNaN(pot.firstWetMinute)) {
          pot.firstWetMinute = pot.minute;
        }
      }
    }
  }

  private void add(Add step) {
    if (pot.vessel == null) {
      pot.vessel = vesselFor(VesselKind.BOWL);
    }
    double parts = pot.liquid();
    double shares = 0;
    for (int i = index; i < formula.steps().size(); i++) {
      if (formula.steps().get(i) instanceof Add later) {
        for (String key : later.ingredients()) {
          Proportion proportion = formula.ingredient(key).orElseThrow().proportion();
          if (proportion instanceof Proportion.Parts p) {
            parts += p.grams() * scale;
          } else if (proportion instanceof Proportion.PercentOfFinished percent) {
            shares += percent.percent() / 100;
          }
        }
      }
    }
    double finished = parts / Math.max(0.01, 1 - shares);
    double before = pot.heatCapacity() * pot.celsius;
    double capacityBefore = pot.heatCapacity();
    double millilitres = pot.millilitres();
    for (String key : step.ingredients()) {
      Ingredient ingredient = formula.ingredient(key).orElseThrow();
      put(key, grams(ingredient, finished, millilitres));
    }
    double added = pot.heatCapacity() - capacityBefore;
    if (pot.heatCapacity() > 0) {
      pot.celsius = (before + added * k.climate.roomC()) / pot.heatCapacity();
    }
  }

  private double grams(Ingredient ingredient, double finishedGrams, double millilitres) {
    Proportion proportion = ingredient.proportion();
    if (proportion instanceof Proportion.Parts parts) {
      return parts.grams() * scale;
    } else if (proportion instanceof Proportion.PercentOfFinished percent) {
      return finishedGrams * percent.percent() / 100;
    } else if (proportion instanceof Proportion.DropsPer100Ml drops) {
      Material material = brew.materials().get(indexOf(ingredient.key()));
      double drop = material.value(Property.DROP, 0.05);
      return drops.drops() * millilitres / 100 * drop * material.density();
    }
    throw new AssertionError(proportion);
  }

  private void measured(double millilitres) {
    double before = pot.liquid();
    double predicted = pot.millilitres();
    if (predicted > 0) {
      // Thinner or thicker cannot be told from a jug: the parts keep their shares.
      pot.keepShare(millilitres / predicted);
      for (Pot.PlantIn plant : pot.plants) {
        plant.gumShare *= millilitres / predicted;
      }
      pot.unaccounted += before - pot.liquid();
    }
  }

  // ---- the result ----

  private void mark() {
    if (trace != null) {
      trace.add(pot.moment());
    }
  }

  private Prediction result() {
    double bottledMinute = pot.minute;
    double grams = pot.liquid();
    double solids = plantGrams();
    double millilitres = pot.millilitres() + solids / SOLID_DENSITY;
    // Only gum in water is reckoned; what a cream, an oil or a paste is like, their maker knows.
    boolean thick = share(pot.oil + pot.other, grams) > 0.05 || share(solids, grams) > 0.05;
    Finished finished =
        new Finished(
            millilitres,
            grams + solids,
            thick ? Double.NaN : pot.thickness(20),
            thick ? Double.NaN : pot.thickness(Double.isNaN(pot.strainedC) ? 20 : pot.strainedC),
            pot.gumPercent(),
            pot.alcoholPercent(),
            share(pot.oil, grams),
            share(pot.juice, grams),
            share(pot.water, grams),
            share(solids, grams + solids),
            acidity(millilitres),
            pot.debris);
    WaterAccount account =
        new WaterAccount(pot.poured, grams, pot.held, pot.cloth, pot.steam, pot.unaccounted);
    List<Strength> strengths = new ArrayList<>();
    for (Pot.PlantIn plant : pot.plants) {
      strengths.add(
          new Strength(
              formula.ingredients().get(plant.ingredient).key(),
              pot.extracted(plant),
              millilitres <= 0 ? 0 : 100 * plant.grams / millilitres));
    }
    HeatHistory history =
        new HeatHistory(
            Double.isNaN(pot.firstWetMinute) ? 0 : pot.firstWetMinute,
            pot.boiledMinutes,
            pot.pouredHot,
            Double.isNaN(pot.strainedMinute) ? bottledMinute : pot.strainedMinute,
            bottledMinute);
    return new Prediction(
        amounts,
        outcomes,
        trace == null ? List.of() : trace,
        trace == null ? List.of() : chill(),
        account,
        finished,
        strengths,
        history,
        troubles);
  }

  /** pH: of a ferment by its hours, of an acid liquid by its acid; neutral water otherwise. */
  private double acidity(double millilitres) {
    if (pot.sourHours > 0) {
      return Souring.ph(pot.sourHours, k.fermentHours);
    }
    return pot.acidGrams > 0 && millilitres > 0
        ? Acidity.ofAceticAcid(100 * pot.acidGrams / millilitres)
        : Double.NaN;
  }

  private static double share(double part, double whole) {
    return whole <= 0 ? 0 : part / whole;
  }

  /** The bottle on its way to the temperature of the fridge. */
  private List<TracePoint> chill() {
    List<TracePoint> moments = new ArrayList<>();
    if (pot.liquid() <= 0) {
      return moments;
    }
    moments.add(pot.moment());
    double one = Math.min(1, 250 / pot.millilitres());
    pot.keepShare(one);
    for (Pot.PlantIn plant : pot.plants) {
      plant.gumShare *= one;
    }
    pot.vessel = CHILLING_BOTTLE;
    double fridge = k.climate.fridgeC();
    new HeatBalance(k, pot, moments).pass(0, fridge, k.heatLoss, 0, 1, LONGEST_WAIT, fridge + 0.5);
    return moments;
  }
}
