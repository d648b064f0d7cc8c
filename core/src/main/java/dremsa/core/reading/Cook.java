package dremsa.core.reading;

import dremsa.core.formula.Step.Level;
import dremsa.core.formula.Step.Treatment;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.reading.Stretch.About;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Follows a note with a pot in mind: what is in it, whether it is hot, whether it was strained. So
 * it knows which step a verb asks for: to let stand is to steep what is hot, to soak what is cold,
 * and to macerate what stands in spirit.
 */
final class Cook {
  /** Cool, where no temperature is said, °C. */
  static final double COOL_C = 30;

  /** What must not be boiled goes in below this, °C. */
  static final double ADD_BELOW_C = 40;

  private final PotSoFar pot;
  final Readying readying;
  final PuttingIn puttingIn;
  final OnTheHob hob;
  final Standing standing;
  final Parting parting;
  final Ending ending;

  Cook(Larder larder, Margin margin, List<Clause> clauses, List<List<Line>> named) {
    pot = new PotSoFar(larder, margin, clauses, named);
    readying = new Readying(this, pot);
    puttingIn = new PuttingIn(this, pot);
    hob = new OnTheHob(this, pot);
    standing = new Standing(this, pot);
    parting = new Parting(this, pot);
    ending = new Ending(this, pot);
  }

  /**
   * How long the writer keeps it.
   *
   * @param to the token after its words
   * @param minutes null where no time is said
   */
  record Claim(Clause clause, int to, @Nullable Place place, @Nullable Double minutes) {}

  /** Whether the writer says that it is not strained. */
  boolean neverStrained() {
    return pot.neverStrained;
  }

  List<Claim> claims() {
    return pot.claims;
  }

  /** The steps that the note asks for, in its order. */
  List<Stage> cook() {
    readying.beforehand();
    for (int i = 0; i < pot.clauses.size(); i++) {
      Clause clause = pot.clauses.get(i);
      Act act = clause.act().orElse(null);
      if (clause.negated()) {
        negated(clause);
      } else if (act == null) {
        bare(i, clause);
      } else {
        act(i, clause, act);
      }
    }
    if (!pot.pending.isEmpty()) {
      pot.vessel = pot.vessel == null ? VesselKind.BOWL : pot.vessel;
      puttingIn.flush(pot.clauses.size() - 1);
    }
    return pot.stages;
  }

  private void negated(Clause clause) {
    pot.margin.read(clause.from(), clause.to(), About.WORDS, -1, "what is not to be done");
    Stage last = pot.last();
    if (clause.is(Act.COVER) && last != null) {
      last.lid = false;
    } else if (clause.is(Act.STRAIN)) {
      pot.neverStrained = true;
    }
  }

  /** A line of a list; or a time, a tool, a bottle without a verb. */
  private void bare(int i, Clause clause) {
    boolean things = !pot.named.get(i).isEmpty();
    if (things && !waits(clause)) {
      return;
    }
    if (clause.word("tool").isPresent()) {
      parting.strain(clause);
    } else if (clause.word("heat").isPresent() && clause.first(Item.Span.class).isPresent()) {
      hob.boil(i, clause, Level.SIMMER);
    } else if (waits(clause)) {
      standing.stand(i, clause, false);
    } else if (clause.word("heat").isPresent() && !pot.larder.lines().isEmpty() && !pot.strained) {
      hob.heat(i, clause);
    } else if (clause.word("until").isPresent()) {
      standing.cool(clause);
    } else if (clause.word("container").isPresent() && !pot.inPot.isEmpty()) {
      ending.bottle(clause);
    }
  }

  private boolean waits(Clause clause) {
    return clause.first(Item.Span.class).isPresent()
        && pot.larder.lines().stream().anyMatch(line -> line.from() < clause.from());
  }

  private void act(int i, Clause clause, Act act) {
    boolean moment = (act == Act.STRAIN || act == Act.SQUEEZE) && !pot.strained;
    if (clause.has("after") || moment) {
      // "20 min, strain": what takes no time itself waited so long.
      clause.first(Item.Span.class).ifPresent(span -> standing.waited(i, clause, span));
    }
    List<Line> lines = pot.named.get(i);
    switch (act) {
      case WASH -> readying.prepare(StepKind.WASH, clause, PotSoFar.things(lines), null);
      case CHOP -> readying.chop(clause, PotSoFar.things(lines));
      case CRUSH ->
          readying.prepare(StepKind.PREPARE, clause, PotSoFar.things(lines), Treatment.CRUSH);
      case GRIND -> readying.grind(i, clause, PotSoFar.things(lines));
      case PEEL ->
          readying.prepare(StepKind.PREPARE, clause, PotSoFar.things(lines), Treatment.PEEL);
      case PICK ->
          readying.prepare(StepKind.PREPARE, clause, PotSoFar.things(lines), Treatment.PICK);
      case DRY -> readying.dry(clause, lines);
      case STERILISE -> readying.prepare(StepKind.PREPARE, clause, List.of(), Treatment.STERILISE);
      case DRAIN -> readying.drain(clause, lines);
      case ADD -> puttingIn.put(i, clause, lines);
      case POUR -> puttingIn.pour(i, clause, lines);
      case MIX -> puttingIn.mix(i, clause, lines);
      case STIR -> puttingIn.stir(i, clause, lines);
      case BOIL -> hob.boil(i, clause, null);
      case SIMMER -> hob.boil(i, clause, Level.SIMMER);
      case BRING, HEAT -> hob.heat(i, clause);
      case WARM -> hob.warm(i, clause);
      case BATH -> hob.bath(i, clause);
      case OFF -> hob.off(i, clause);
      case STEEP -> standing.steep(i, clause);
      case WAIT -> standing.await(i, clause);
      case SOAK -> readying.soak(i, clause, lines);
      case COVER -> hob.cover(i, clause, true);
      case UNCOVER -> hob.cover(i, clause, false);
      case SHAKE -> standing.shake(clause);
      case FERMENT -> standing.ferment(i, clause);
      case MACERATE -> standing.macerate(i, clause);
      case COOL -> standing.cool(clause);
      case STRAIN -> parting.strain(clause);
      case SQUEEZE -> parting.squeeze(i, clause, lines);
      case BLEND -> parting.blend(i, clause, lines);
      case BOTTLE -> ending.fill(i, clause, lines);
      case CHILL -> ending.chill(i, clause);
      case FREEZE -> ending.freeze(clause);
      case KEEP -> ending.keep(i, clause);
      case DISCARD -> ending.discard(clause);
      case USE -> {
        // On the head; told when the clauses were parted.
      }
    }
  }
}
