package dremsa.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** Gathers what the ledger tells into a plan. */
final class Teller implements Ledger.Told {
  private final Compiled at;
  private final Map<Integer, Integer> brewOfLot = new HashMap<>();
  private final List<BrewPlan.PlannedBrew> brews = new ArrayList<>();
  private final List<BrewPlan.Serving> servings = new ArrayList<>();
  private final List<BrewPlan.Without> without = new ArrayList<>();
  private final List<BrewPlan.Thrown> thrown = new ArrayList<>();
  private final Map<String, Double> frozen = new HashMap<>();

  Teller(Compiled at) {
    this.at = at;
  }

  @Override
  public void parted(int lot, double ml) {
    frozen.put(at.situation.supplies().get(lot).id(), ml);
  }

  @Override
  public void brewed(int day, int formula, double ml, double frozen, int lot) {
    Brewable brewable = at.situation.brewables().get(formula);
    java.time.LocalDate on = at.situation.today().plusDays(day);
    brewOfLot.put(lot, brews.size());
    brews.add(
        new BrewPlan.PlannedBrew(
            on,
            brewable.formula(),
            brewable.name(),
            ml,
            frozen,
            frozen > 0
                ? brewable.freezing().map(freezing -> on.plusDays(freezing.life()))
                : Optional.empty(),
            on.plusDays(brewable.lead()),
            on.plusDays(brewable.life()),
            brewable.hands(),
            at.pinned[at.slot(day, formula)]));
  }

  @Override
  public void served(int need, int lot, double ml, boolean thawed) {
    servings.add(new BrewPlan.Serving(at.needs.get(need), source(lot), ml, thawed));
  }

  @Override
  public void thrown(int day, int lot, double ml) {
    thrown.add(new BrewPlan.Thrown(at.situation.today().plusDays(day), source(lot), ml));
  }

  @Override
  public void without(int need, double there) {
    without.add(new BrewPlan.Without(at.needs.get(need), there));
  }

  private BrewPlan.Source source(int lot) {
    Integer brew = brewOfLot.get(lot);
    return brew == null
        ? new BrewPlan.Source(
            OptionalInt.empty(), Optional.of(at.situation.supplies().get(lot).id()))
        : new BrewPlan.Source(OptionalInt.of(brew), Optional.empty());
  }

  BrewPlan plan(PlanScore score, OptionalDouble gap) {
    return new BrewPlan(brews, servings, without, thrown, frozen, score, gap);
  }
}
