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
import dremsa.core.formula.Step.Divide;
import dremsa.core.formula.Step.Ferment;
import dremsa.core.formula.Step.Freeze;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.Step.Macerate;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Soak;
import dremsa.core.formula.Step.Steep;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.Step.Wash;
import dremsa.core.formula.Step.WaterBath;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** One run of a formula through the model. Lives for one prediction. */
final class Simulation {
  /** All of it goes into the equipment at once. */
  private static final int ONCE = 1;

  private final Brew brew;
  private final Formula formula;
  private final Constants k;
  private final double scale;
  private final VesselChoice vessels;
  private final Facts facts;
  private final Pot pot;
  private final @Nullable List<TracePoint> trace;
  private final Hearth hearth;
  private final Map<String, Double> amounts = new HashMap<>();

  /** What goes in at the step that runs, g. */
  private final Map<String, Double> put = new HashMap<>();

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
    this.hearth = new Hearth(constants, pot, trace, troubles);
    this.outcomes = new ArrayList<>(formula.steps().size());
  }

  Prediction run() {
    walk(formula.steps().size());
    return result();
  }

  /** How the pot looks at the end of a step. */
  PotNow standing(int step) {
    walk(step + 1);
    return new PotNow(
        pot.minute,
        Optional.ofNullable(pot.vessel),
        pot.celsius,
        pot.millilitres(),
        pot.plantGrams(),
        pot.celsius > k.boilingC - Hearth.NEAR_BOIL,
        hearth.steam(),
        hearth.froth().share(),
        hearth.froth().caught(),
        hearth.froth().spilt(),
        pot.liquid() > 0 ? pot.thickness(pot.celsius) : 0,
        pot.liquid() > 0 ? pot.thickness(20) : 0,
        pot.plants.isEmpty() ? 0 : pot.extracted(pot.plants.get(0)),
        pot.liquid() > 0 ? pot.contents().ph().value() : Double.NaN);
  }

  private void walk(int steps) {
    for (index = 0; index < steps; index++) {
      Step step = formula.steps().get(index);
      double startMinute = pot.minute;
      double startC = pot.celsius;
      double beforeMl = pot.millilitres();
      put.clear();
      StepFacts known = facts.of(index);
      hearth.at = index;
      hearth.known = known;
      hearth.begin();
      int fillings = ONCE;
      hearth.mark();
      if (!known.skipped()) {
        fillings = step.accept(new Doing(known));
        pot.exchange(pot.minute - startMinute);
      }
      asItWas(step, known);
      hearth.mark();
      outcomes.add(
          new StepOutcome(
              index,
              startMinute,
              pot.minute,
              startC,
              pot.celsius,
              pot.millilitres(),
              pot.vessel == null ? "" : pot.vessel.name(),
              fillings,
              beforeMl,
              put));
    }
  }

  /** What each kind of step does to the pot. What is said is how often its equipment is filled. */
  private final class Doing implements StepCases<Integer> {
    private final StepFacts known;

    Doing(StepFacts known) {
      this.known = known;
    }

    @Override
    public Integer wash(Wash step) {
      return standCovered(Step.HANDS_SHORT);
    }

    @Override
    public Integer prepare(Prepare step) {
      return standCovered(step.time().usual());
    }

    @Override
    public Integer combine(Combine step) {
      putTogether(step);
      hearth.stand(known.minutes().orElse(Step.HANDS_SHORT), 1);
      return ONCE;
    }

    @Override
    public Integer heat(Heat step) {
      hearth.heat(step);
      return ONCE;
    }

    @Override
    public Integer boil(Boil step) {
      hearth.boil(step, minutes(step));
      return ONCE;
    }

    @Override
    public Integer waterBath(WaterBath step) {
      hearth.waterBath(minutes(step));
      return ONCE;
    }

    @Override
    public Integer steep(Steep step) {
      hearth.stand(minutes(step), step.cover() ? k.cover : 1);
      return ONCE;
    }

    @Override
    public Integer soak(Soak step) {
      hearth.standAt(step.place(), minutes(step));
      return ONCE;
    }

    @Override
    public Integer ferment(Ferment step) {
      hearth.standRead(Place.ROOM, minutes(step));
      pot.ferment(sourHours(known, minutes(step)));
      return ONCE;
    }

    @Override
    public Integer macerate(Macerate step) {
      hearth.standRead(Place.ROOM, minutes(step));
      return ONCE;
    }

    @Override
    public Integer cool(Cool step) {
      hearth.cool(step);
      return ONCE;
    }

    @Override
    public Integer strain(Strain step) {
      int fillings = fillings(step.tool().fillingMl());
      hearth.stand(known.minutes().orElse(Step.HANDS_LONG * fillings), 1);
      part(step);
      return fillings;
    }

    @Override
    public Integer blend(Blend step) {
      Vessel blender =
          pot.vessel != null && pot.vessel.kind() == VesselKind.BLENDER
              ? pot.vessel
              : vesselFor(VesselKind.BLENDER);
      int fillings = fillings(brew.safeMillilitres(blender));
      hearth.stand(known.minutes().orElse(step.time().usual() * fillings), k.cover);
      pot.plants.forEach(pot::blend);
      return fillings;
    }

    @Override
    public Integer add(Add step) {
      stirIn(step);
      hearth.stand(known.minutes().orElse(Step.HANDS_SHORT), 1);
      return ONCE;
    }

    @Override
    public Integer bottle(Bottle step) {
      hearth.stand(known.minutes().orElse(Step.HANDS_LONG), 1);
      return ONCE;
    }

    @Override
    public Integer freeze(Freeze step) {
      return standCovered(Step.HANDS_SHORT);
    }

    @Override
    public Integer divide(Divide step) {
      // Whoever takes his time over it divides what has cooled meanwhile.
      known.minutes().ifPresent(minutes -> hearth.stand(minutes, k.cover));
      pot.divide(step.share());
      return ONCE;
    }

    private Integer standCovered(double usual) {
      hearth.stand(known.minutes().orElse(usual), k.cover);
      return ONCE;
    }

    private double minutes(Step.Timed step) {
      return known.minutes().orElse(step.time().usual());
    }

    private int fillings(double atOnce) {
      double bulk = pot.millilitres() + pot.plantGrams();
      // A little over the mark is poured after.
      return (int) Math.max(1, Math.ceil(bulk / atOnce - 0.05));
    }
  }

  // ---- putting together ----

  private void putTogether(Combine combine) {
    Vessel vessel = vesselFor(combine.vessel());
    boolean hot = combine.pouredHot();
    double heatBefore = pot.heatCapacity() * pot.celsius;
    double capacityBefore = pot.heatCapacity();
    pot.vessel = vessel;
    // A dose that goes in this early is a dose of what is put together here.
    double parts = pot.liquid() + pot.plantGrams();
    for (String key : combine.ingredients()) {
      parts += brew.partsOf(key) * scale;
    }
    double together = parts / Math.max(0.01, 1 - shares(combine));
    for (String key : doses(combine.ingredients())) {
      double before = pot.heatCapacity();
      double grams = grams(formula.ingredient(key).orElseThrow(), together, pot.millilitres());
      Material material = put(key, weighed(key, grams));
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
    double contents = pot.millilitres() + pot.plantGrams();
    // A blender is filled several times.
    if (contents > safe * 1.03 && vessel.kind() != VesselKind.BLENDER) {
      troubles.add(new Trouble.TooFull(index, vessel.name(), contents, safe));
    }
  }

  /** The same keys, those last whose amount hangs on the others. */
  private List<String> doses(List<String> keys) {
    return keys.stream().sorted(Comparator.comparing(key -> brew.partsOf(key) == 0)).toList();
  }

  /** The share of a step's mass that goes in as percentages, 0 to 1. */
  private double shares(Step step) {
    double shares = 0;
    for (String key : step.ingredients()) {
      if (formula.ingredient(key).orElseThrow().proportion()
          instanceof Proportion.PercentOfFinished percent) {
        shares += percent.percent() / 100;
      }
    }
    return shares;
  }

  private Material put(String key, double grams) {
    int ingredient = indexOf(key);
    Material material = brew.materials().get(ingredient);
    Optional<Stock.Poured> poured = brew.poured(ingredient);
    if (poured.isPresent()) {
      pour(poured.get(), grams);
    } else {
      pot.add(ingredient, material, grams);
    }
    amounts.merge(key, grams, Double::sum);
    put.merge(key, grams, Double::sum);
    return material;
  }

  private void pour(Stock.Poured poured, double grams) {
    Contents contents = poured.contents().times(grams / poured.contents().grams());
    double wanted = contents.millilitres();
    if (wanted > poured.leftMl() * 1.001) {
      troubles.add(new Trouble.NotEnoughPoured(index, poured.name(), wanted, poured.leftMl()));
    }
    pot.pour(contents);
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

  // ---- parting and finishing ----

  private void part(Strain step) {
    double liquid = pot.liquid();
    double pull = 0;
    boolean powder = false;
    for (PlantIn plant : pot.plants) {
      if (!plant.strained) {
        // What took the place of a fresh plant's own water stays in it.
        pull += hold(plant, step) * plant.grams + plant.exchanged;
        plant.strained = true;
        plant.strainedAt = pot.extractionMinutes;
        powder |= plant.material.kind().isPowder();
      }
    }
    if (pull > 0 && liquid > 0) {
      double held = liquid * (1 - Math.exp(-pull / liquid));
      pot.keepShare((liquid - held) / liquid);
      pot.held += held;
      if (pot.liquid() < 0.05 * liquid) {
        troubles.add(new Trouble.HerbHoldsAll(index, liquid, pot.liquid()));
      }
    }
    if (step.tool().soaksUp() && pot.liquid() > 0) {
      double kept = Math.min(k.clothKeeps, pot.liquid());
      pot.keepShare(1 - kept / pot.liquid());
      pot.cloth += kept;
    }
    pot.debris = (pot.debris || powder) && !step.tool().stopsPowder();
    pot.strainedMinute = pot.minute;
    pot.strainedC = pot.celsius;
  }

  private double hold(PlantIn plant, Strain step) {
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

  private void stirIn(Add step) {
    if (pot.vessel == null) {
      pot.vessel = vesselFor(VesselKind.BOWL);
    }
    double parts = pot.liquid();
    double shares = 0;
    for (int i = index; i < formula.steps().size(); i++) {
      Step later = formula.steps().get(i);
      if (later.stirredBelow().isPresent()) {
        for (String key : later.ingredients()) {
          parts += brew.partsOf(key) * scale;
        }
        shares += shares(later);
      }
    }
    double finished = parts / Math.max(0.01, 1 - shares);
    double before = pot.heatCapacity() * pot.celsius;
    double capacityBefore = pot.heatCapacity();
    double millilitres = pot.millilitres();
    for (String key : step.ingredients()) {
      Ingredient ingredient = formula.ingredient(key).orElseThrow();
      put(key, weighed(key, grams(ingredient, finished, millilitres)));
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
      return drops.drops() * millilitres / 100 * material.dropMl() * material.density();
    }
    throw new AssertionError(proportion);
  }

  private void measured(double millilitres) {
    double before = pot.liquid();
    double predicted = pot.millilitres();
    if (predicted > 0) {
      // Thinner or thicker cannot be told from a jug: the parts keep their shares.
      pot.keepShare(millilitres / predicted);
      pot.unaccounted += before - pot.liquid();
    }
  }

  /** What was really put in, where it was weighed. */
  private double weighed(String key, double planned) {
    return facts.of(index).weighed().getOrDefault(key, planned);
  }

  private double sourHours(StepFacts known, double minutes) {
    double rate =
        known.temperatures().isEmpty()
            ? Souring.hoursAt22(pot.celsius)
            : Hearth.mean(known.temperatures(), minutes, Souring::hoursAt22);
    return rate * minutes / 60;
  }

  /** What was measured at the end of a step replaces what was predicted. */
  private void asItWas(Step step, StepFacts known) {
    if (known.waterMl() > 0) {
      pot.pourWater(known.waterMl(), known.waterC());
    }
    known.read(Reading.TEMPERATURE).ifPresent(c -> pot.celsius = c);
    known.read(Reading.VOLUME).ifPresent(this::measured);
    known.read(Reading.WEIGHT).ifPresent(grams -> weighed(step, grams));
    known.read(Reading.PH).ifPresent(pot::readPh);
  }

  private void weighed(Step step, double grams) {
    double liquid = pot.liquid();
    double wanted = Math.max(0, grams - pot.plantGrams());
    if (liquid <= 0) {
      return;
    }
    if (step.strainer().isPresent() || step.kind() == StepKind.BOTTLE) {
      pot.keepShare(wanted / liquid);
      pot.unaccounted += liquid - pot.liquid();
    } else {
      // In a pot nothing but vapour leaves: the weight tells how much water it was.
      double change = Math.max(wanted - liquid, -pot.water);
      pot.water += change;
      pot.steam -= change;
    }
  }

  /** What stands in the vessel after the last step. */
  Contents contents() {
    return pot.contents();
  }

  private Prediction result() {
    Bottling bottling = new Bottling(k, pot);
    Contents contents = pot.contents();
    Finished finished = bottling.finished(contents);
    return new Prediction(
        amounts,
        outcomes,
        trace == null ? List.of() : trace,
        bottling.account(),
        contents,
        finished,
        bottling.strengths(brew, finished.millilitres()),
        bottling.history(),
        bottling.chilling(),
        troubles);
  }
}
