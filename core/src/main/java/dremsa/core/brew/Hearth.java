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

/** What time and heat do to a pot: the steps that add and take nothing but steam. */
final class Hearth {
  /** Nothing is cooled or brought to the boil for longer than this. */
  static final double LONGEST_WAIT = 48 * 60;

  private static final double SHALLOW = 2.5;

  private final Constants k;
  private final Pot pot;
  private final HeatBalance heat;
  private final List<TracePoint> trace;
  private final List<Trouble> troubles;

  /** Index of the step that runs, for troubles. */
  int at;

  /** What is known of the step that runs. */
  StepFacts known = StepFacts.NONE;

  /**
   * @param trace moments are written here; null when nobody asks for them
   */
  Hearth(Constants k, Pot pot, List<TracePoint> trace, List<Trouble> troubles) {
    this.k = k;
    this.pot = pot;
    this.heat = new HeatBalance(k, pot, trace);
    this.trace = trace;
    this.troubles = troubles;
  }

  void mark() {
    if (trace != null) {
      trace.add(pot.moment());
    }
  }

  void stand(double minutes, double escape) {
    standAt(k.climate.roomC(), k.heatLoss, escape, minutes);
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
    double escape = step.lid() ? k.cover : 1;
    double passed =
        heat.pass(
            k.hobWatts,
            k.climate.roomC(),
            k.heatLoss,
            escape,
            1,
            known.minutes().orElse(LONGEST_WAIT),
            Water.BOILING_C);
    if (known.minutes().isPresent() && pot.celsius > Water.BOILING_C - 0.5) {
      // It boiled before anybody said so: the rest of the time it boiled on, at full heat.
      boilOn(k.hobWatts, step.lid() ? k.lid : 1, known.minutes().getAsDouble() - passed);
    }
    if (pot.celsius < Water.BOILING_C - 0.5 && known.minutes().isEmpty()) {
      troubles.add(new Trouble.NeverBoils(at, pot.celsius));
    }
  }

  void boil(Boil step, double minutes) {
    if (k.hobWatts <= 0) {
      troubles.add(new Trouble.NoHob(at));
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
    boilOn(Math.min(level, k.hobWatts), step.lid() ? k.lid : 1, minutes);
  }

  private void boilOn(double watts, double escape, double minutes) {
    if (minutes <= 0) {
      return;
    }
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
        troubles.add(new Trouble.BoilsDry(at, (i + 1) * piece));
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
