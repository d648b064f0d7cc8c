package dremsa.core.brew;

import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.CoolingWay;
import dremsa.core.formula.Step.Heat;
import dremsa.core.kitchen.Place;
import java.util.List;

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

  private void standAt(double celsius, double loss, double escape, double minutes) {
    if (pot.vessel == null) {
      pot.minute += minutes;
    } else {
      heat.pass(0, celsius, loss, escape, 1, minutes, Double.NaN);
    }
  }

  void heat(Heat step, StepFacts known) {
    if (k.hobWatts <= 0) {
      troubles.add(new Trouble.NoHob(at));
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

  void cool(Cool step, StepFacts known) {
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
        troubles.add(new Trouble.NeverCools(at, step.toC(), around));
      }
      heat.pass(0, around, loss, escape, wider, LONGEST_WAIT, Math.max(step.toC(), around + 0.3));
    }
  }
}
