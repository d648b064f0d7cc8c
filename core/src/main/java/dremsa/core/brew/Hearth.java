package dremsa.core.brew;

import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.CoolingWay;
import dremsa.core.formula.Step.Heat;
import dremsa.core.kitchen.Place;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.jspecify.annotations.Nullable;

/** What time and heat do to a pot: the steps that add and take nothing but steam. */
final class Hearth {
  /** Nothing is cooled or brought to the boil for longer than this. */
  static final double LONGEST_WAIT = 48 * 60;

  private static final double SHALLOW = 2.5;

  /** So near to the boil it bubbles, °C. */
  static final double NEAR_BOIL = 0.5;

  /** A pot that is tended is looked at so often, min; after an hour no longer so closely. */
  private static final double WATCHED = 1.0 / 6;

  private static final double WATCHED_LATER = 1;
  private static final double LATER = 60;

  /** A thermometer in the steam of a boiling pot reads this much too little, °C; our estimate. */
  private static final double READ_BELOW_BOIL = 3;

  private final Constants k;
  private final Pot pot;
  private final HeatBalance heat;
  private final Froth froth;
  private final @Nullable List<TracePoint> trace;
  private final List<Trouble> troubles;

  /** What goes into bubbles now, W. */
  private double bubbling;

  /** Share of the open surface's vapour that escapes now. */
  private double escapes = 1;

  /** Index of the step that runs, for troubles. */
  int at;

  /** What is known of the step that runs. */
  StepFacts known = StepFacts.NONE;

  /**
   * @param trace moments are written here; null when nobody asks for them
   */
  Hearth(Constants k, Pot pot, @Nullable List<TracePoint> trace, List<Trouble> troubles) {
    this.k = k;
    this.pot = pot;
    this.heat = new HeatBalance(k, pot, trace);
    this.froth = new Froth(k, pot);
    this.trace = trace;
    this.troubles = troubles;
  }

  /** Froth above and what has caught below. */
  Froth froth() {
    return froth;
  }

  /** Steam that leaves the pot as it stands now, g a minute. */
  double steam() {
    if (pot.vessel == null || pot.isDry()) {
      return 0;
    }
    double surface = escapes * HeatBalance.surfaceWatts(k, pot, 1, pot.celsius);
    return (surface + bubbling) / Water.latentHeat(pot.celsius) * 60;
  }

  /** A step begins: nothing is on the hob yet. */
  void begin() {
    bubbling = 0;
    escapes = 1;
    froth.rest();
  }

  void mark() {
    if (trace != null) {
      trace.add(pot.moment());
    }
  }

  /** Stands at room temperature; where its temperature is read, it goes on from there. */
  void stand(double minutes, double escape) {
    double left = minutes;
    for (StepFacts.Temperature read : readWithin(minutes)) {
      standAt(k.climate.roomC(), k.heatLoss, escape, left - (minutes - read.minute()));
      left = minutes - read.minute();
      takeReading(read.celsius());
    }
    standAt(k.climate.roomC(), k.heatLoss, escape, left);
  }

  /**
   * The temperatures that were read within so many minutes of the step; none where they are taken
   * together instead, as the way in which it cools.
   */
  private List<StepFacts.Temperature> readWithin(double minutes) {
    return known.cooling().isPresent()
        ? List.of()
        : known.temperatures().stream().filter(read -> read.minute() <= minutes).toList();
  }

  private void takeReading(double celsius) {
    if (pot.vessel != null) {
      pot.celsius = celsius;
      mark();
    }
  }

  /** What was read of a pot on the hob: near the boil it boils, for the steam cools the probe. */
  private void takeReadingOnHob(double celsius) {
    takeReading(celsius >= k.boilingC - READ_BELOW_BOIL ? k.boilingC : celsius);
  }

  /** It boils: the maker saw it. */
  private void seeItBoil() {
    if (known.seen() && pot.vessel != null) {
      pot.celsius = k.boilingC;
      mark();
    }
  }

  void standAt(Place place, double minutes) {
    // Soaks, ferments and macerations stand lidded: next to nothing leaves in days or weeks.
    standAt(place.celsius(k.climate), k.heatLoss, 0, minutes);
  }

  /** Stands where its temperature was read, else at its place's. */
  void standRead(Place place, double minutes) {
    double celsius = meanRead(known.temperatures(), minutes).orElse(place.celsius(k.climate));
    standAt(celsius, k.heatLoss, 0, minutes);
  }

  private void standAt(double celsius, double loss, double escape, double minutes) {
    if (pot.vessel == null) {
      pot.minute += minutes;
    } else {
      lose(celsius, loss, escape, 1, minutes, Double.NaN);
      sayWhenDry(heat.driedAfter());
    }
  }

  void heat(Heat step) {
    if (k.hobWatts <= 0) {
      troubles.add(new Trouble.NoHob(at));
      return;
    }
    if (pot.vessel == null) {
      return;
    }
    if (isTended()) {
      tend(known.tended().orElseThrow(), known.minutes().getAsDouble());
      return;
    }
    boolean told = known.minutes().isPresent();
    double minutes = known.minutes().orElse(LONGEST_WAIT);
    double began = pot.minute;
    for (StepFacts.Temperature read : readWithin(told ? minutes : Double.POSITIVE_INFINITY)) {
      heatFor(step.lid(), read.minute() - (pot.minute - began), true);
      takeReadingOnHob(read.celsius());
    }
    heatFor(step.lid(), minutes - (pot.minute - began), told);
    seeItBoil();
    if (!told && !boils()) {
      troubles.add(new Trouble.NeverBoils(at, pot.celsius));
    }
  }

  /** Full heat for so long; what boils before that boils on at full heat, unless nobody said so. */
  private void heatFor(boolean lid, double minutes, boolean on) {
    if (minutes <= 0) {
      return;
    }
    double passed = boils() ? 0 : toTheBoil(lid, minutes);
    if (on && boils()) {
      boilOn(k.hobWatts, lid, minutes - passed);
    }
  }

  /** Heats at full heat; minutes that it took, at most so many. */
  private double toTheBoil(boolean lid, double minutes) {
    double passed =
        heat.pass(
            k.hobWatts, k.climate.roomC(), k.heatLoss, lid ? k.cover : 1, 1, minutes, k.boilingC);
    sayWhenDry(heat.driedAfter());
    return passed;
  }

  private boolean boils() {
    return pot.celsius > k.boilingC - NEAR_BOIL;
  }

  private void sayWhenDry(double minutes) {
    if (!Double.isNaN(minutes)) {
      troubles.add(new Trouble.BoilsDry(at, minutes));
    }
  }

  /** It counts as boiling from when it boils: what is not there yet is brought there first. */
  void boil(Boil step, double minutes) {
    if (k.hobWatts <= 0) {
      troubles.add(new Trouble.NoHob(at));
      return;
    }
    if (pot.vessel == null) {
      return;
    }
    if (isTended()) {
      tend(known.tended().orElseThrow(), minutes);
      return;
    }
    boolean told = known.minutes().isPresent();
    double began = pot.minute;
    double boiled = pot.boiledMinutes;
    for (StepFacts.Temperature read : readWithin(told ? minutes : Double.POSITIVE_INFINITY)) {
      boilFor(step, read.minute() - (pot.minute - began), true);
      takeReadingOnHob(read.celsius());
    }
    double left = told ? minutes - (pot.minute - began) : minutes - (pot.boiledMinutes - boiled);
    boilFor(step, left, told);
    seeItBoil();
  }

  private void boilFor(Boil step, double minutes, boolean told) {
    if (minutes <= 0) {
      return;
    }
    double passed = boils() ? 0 : toTheBoil(step.lid(), told ? minutes : LONGEST_WAIT);
    if (!boils()) {
      if (!told) {
        troubles.add(new Trouble.NeverBoils(at, pot.celsius));
      }
      return;
    }
    double level =
        switch (step.level()) {
          case ROLLING -> k.rolling;
          case GENTLE -> k.gentle;
          case SIMMER -> k.simmer;
        };
    boilOn(level, step.lid(), told ? minutes - passed : minutes);
  }

  private boolean isTended() {
    return known.tended().isPresent() && known.minutes().isPresent();
  }

  /** The hob gives what it was turned to, whatever the step wants. */
  private void tend(Tending tending, double minutes) {
    double spilt = froth.spilt();
    boolean burnt = froth.caught() >= 1;
    double passed = 0;
    while (passed < minutes - 1e-9 && !pot.isDry()) {
      if (tending.stirredAt(passed)) {
        froth.stir();
      }
      Tending.Turn turn = tending.at(passed);
      double until = Math.min(Math.min(passed + watched(passed), minutes), tending.next(passed));
      double watts = turn.heat() * k.hobWatts;
      double began = pot.minute;
      double spare = boils() ? spare(watts, turn.lid()) : -1;
      bubbling = Math.max(0, spare);
      escapes = turn.lid() ? k.cover : 1;
      if (spare < 0) {
        double piece = until - passed;
        double heated =
            heat.pass(watts, k.climate.roomC(), k.heatLoss, escapes, 1, piece, stopAt(watts));
        if (heated < piece && !boils()) {
          heat.pass(watts, k.climate.roomC(), k.heatLoss, escapes, 1, piece - heated, Double.NaN);
        }
      } else {
        bubbling *= turn.lid() ? k.lid : 1;
        steamOff(bubbling, turn.lid(), until - passed);
      }
      double took = Math.max(pot.minute - began, 1e-6);
      // Under a lid the bubbles rise as well, though their steam falls back.
      froth.pass(Math.max(0, spare), watts, turn.lid(), took);
      passed += took;
      mark();
    }
    if (pot.isDry()) {
      troubles.add(new Trouble.BoilsDry(at, passed));
      pot.minute += minutes - passed;
    }
    if (froth.spilt() > spilt + 1) {
      troubles.add(new Trouble.BoiledOver(at, froth.spilt() - spilt));
    }
    if (!burnt && froth.caught() >= 1) {
      troubles.add(new Trouble.Burnt(at));
    }
  }

  private static double watched(double passed) {
    return passed < LATER ? WATCHED : WATCHED_LATER;
  }

  private double stopAt(double watts) {
    return watts > 0 && !boils() ? k.boilingC : Double.NaN;
  }

  /**
   * What a hob gives beyond what walls and surface lose at the boil, W; less than 0: too little.
   */
  private double spare(double watts, boolean lid) {
    double walls =
        k.heatLoss * pot.in().wettedArea(pot.millilitres()) * (pot.celsius - k.climate.roomC());
    return watts - walls - surface(lid);
  }

  private double surface(boolean lid) {
    return (lid ? k.cover : 1) * HeatBalance.surfaceWatts(k, pot, 1, pot.celsius);
  }

  /** Steams at the boil for so long; g that it wanted to lose and could not. */
  private double steamOff(double bubbleWatts, boolean lid, double minutes) {
    double wanted = (surface(lid) + bubbleWatts) / Water.latentHeat(k.boilingC) * minutes * 60;
    double gone = pot.evaporate(wanted);
    pot.minute += minutes;
    pot.boiledMinutes += minutes;
    pot.extractionMinutes += k.arrhenius(k.boilingC) * pot.solvent() * minutes;
    return wanted - gone;
  }

  /**
   * Held at the boil: the surface steams as it does just below, and what more heat there is goes
   * into bubbles. A hob that cannot even hold that lets it fall below the boil.
   *
   * @param bubbleWatts that go into bubbles, as far as the hob gives them
   */
  private void boilOn(double bubbleWatts, boolean lid, double minutes) {
    double left = minutes;
    while (left > 1e-9) {
      double piece = Math.min(left, Math.max(0.5, minutes / 24));
      double spare = spare(k.hobWatts, lid);
      if (spare < 0) {
        // Wide and open over a weak flame: it no longer boils, and what follows is just hot.
        heat.pass(
            k.hobWatts, k.climate.roomC(), k.heatLoss, lid ? k.cover : 1, 1, left, Double.NaN);
        sayWhenDry(heat.driedAfter());
        troubles.add(new Trouble.NeverBoils(at, pot.celsius));
        return;
      }
      double missing = steamOff((lid ? k.lid : 1) * Math.min(bubbleWatts, spare), lid, piece);
      left -= piece;
      mark();
      if (missing > 1e-9 || pot.isDry()) {
        troubles.add(new Trouble.BoilsDry(at, minutes - left));
        pot.minute += left;
        return;
      }
    }
  }

  void waterBath(double minutes) {
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
      double passed = (i + 1) * piece;
      known.temperatures().stream()
          .filter(read -> read.minute() > passed - piece && read.minute() <= passed)
          .forEach(read -> takeReading(read.celsius()));
    }
  }

  void cool(Cool step) {
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
      lose(around, loss, escape, wider, known.minutes().getAsDouble(), Double.NaN);
    } else if (pot.celsius > step.toC() || known.cooling().isPresent()) {
      if (around > step.toC() - 0.3) {
        troubles.add(new Trouble.NeverCools(at, step.toC(), around));
      }
      lose(around, loss, escape, wider, LONGEST_WAIT, Math.max(step.toC(), around + 0.3));
    }
    if (known.seen() && pot.celsius > step.toC()) {
      pot.celsius = step.toC();
      mark();
    }
  }

  /**
   * Lets it lose heat. Where its temperatures were read it goes on from there, and as fast as it
   * was found to cool: what it loses to the air and as vapour grow alike, as both grow with moving
   * air and bare surface.
   */
  private void lose(
      double aroundC, double loss, double escape, double wider, double minutes, double stopC) {
    Optional<Cooling.Fit> read = known.cooling();
    if (read.isEmpty() || read.get().fromMinute() > minutes) {
      heat.pass(0, aroundC, loss, escape, wider, minutes, stopC);
      return;
    }
    Cooling.Fit fit = read.get();
    heat.pass(0, aroundC, loss, escape, wider, fit.fromMinute(), Double.NaN);
    pot.celsius = fit.fromC();
    mark();
    if (Double.isNaN(stopC) || pot.celsius > stopC) {
      heat.pass(
          0,
          aroundC,
          loss * fit.factor(),
          escape * fit.factor(),
          wider,
          minutes - fit.fromMinute(),
          stopC);
    }
  }

  /** The mean temperature that was read while it stood; empty where none was. */
  static OptionalDouble meanRead(List<StepFacts.Temperature> read, double minutes) {
    if (read.isEmpty()) {
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(mean(read, minutes, celsius -> celsius));
  }

  /**
   * The mean of a function of the temperature, over so many minutes: each reading counts until half
   * way to the next, the first from the beginning and the last to the end.
   */
  static double mean(
      List<StepFacts.Temperature> read, double minutes, DoubleUnaryOperator function) {
    if (minutes <= 0) {
      return function.applyAsDouble(read.get(read.size() - 1).celsius());
    }
    double sum = 0;
    for (int i = 0; i < read.size(); i++) {
      double from = i == 0 ? 0 : (read.get(i - 1).minute() + read.get(i).minute()) / 2;
      double to =
          i == read.size() - 1 ? minutes : (read.get(i).minute() + read.get(i + 1).minute()) / 2;
      double span = Math.max(0, Math.min(to, minutes) - Math.min(from, minutes));
      sum += span * function.applyAsDouble(read.get(i).celsius());
    }
    return sum / minutes;
  }
}
