package dremsa.server.plan;

import dremsa.core.brew.Holding;
import dremsa.core.formula.Ingredient;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.measure.Said;
import dremsa.core.plan.Agreed;
import dremsa.core.plan.BrewDay;
import dremsa.core.plan.FreeTime;
import dremsa.core.plan.PlanWeights;
import dremsa.core.timetable.Timetable;
import dremsa.core.timetable.Workroom;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.Bench;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.predictions.Plan;
import dremsa.server.predictions.Planner;
import dremsa.server.predictions.When;
import dremsa.server.stores.PlannedMaterials;
import dremsa.server.wire.TargetJson;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The evening itself: what is done when, what is to be fetched, and the runs that come of it. */
@Service
class BrewDays implements PlannedMaterials {
  /** From here on hands are to be had again in the morning; our estimate. */
  private static final LocalTime AWAKE = LocalTime.of(7, 0);

  private static final int MOST_RUNS = 8;

  private final BrewPlans plans;
  private final Planner planner;
  private final Kitchens kitchens;
  private final Bench bench;
  private final Households households;

  BrewDays(
      BrewPlans plans, Planner planner, Kitchens kitchens, Bench bench, Households households) {
    this.households = households;
    this.plans = plans;
    this.planner = planner;
    this.kitchens = kitchens;
    this.bench = bench;
  }

  /** A formula as it stands, for an amount. */
  private record Meant(String formulaId, TargetJson target) implements Plan {}

  /** Something that hands do. */
  record EveningLine(Instant at, double minutes, int brew, String words) {}

  /** A stretch of a brew. */
  record DaySpan(Instant from, Instant to, boolean hands, boolean onHob, String words) {}

  /**
   * A brew of the evening.
   *
   * @param standsOn what it is left doing overnight; empty where it comes to its bottles
   */
  record DayBrew(
      String formula,
      String name,
      double millilitres,
      Instant start,
      String standsOn,
      List<DaySpan> spans) {}

  /** Something to fetch. */
  record Pick(String material, String name, double grams, List<String> brews) {}

  /** A stretch on one's feet. */
  record OnFeet(Instant from, Instant to) {}

  /**
   * An evening.
   *
   * @param hands minutes of work at the pots
   * @param tidying minutes for laying out and washing up besides
   * @param troubles what does not fit, with its numbers; empty where all does
   */
  record BrewDayView(
      LocalDate day,
      Instant from,
      Instant to,
      List<DayBrew> brews,
      List<EveningLine> lines,
      List<OnFeet> onFeet,
      double hands,
      double tidying,
      Instant end,
      List<Pick> picking,
      List<String> troubles) {}

  private record Made(BrewDayView view, List<PlannedBrewRow> rows) {}

  /** How an evening goes. */
  @Transactional(readOnly = true)
  public BrewDayView of(Household household, LocalDate day, Instant now) {
    return made(household, day, now).view();
  }

  private Made made(Household household, LocalDate day, Instant now) {
    UUID id = household.id();
    List<PlannedBrewRow> rows = plans.on(id, day);
    if (rows.isEmpty()) {
      throw Problem.notFound("brew on this day");
    }
    if (rows.size() > MOST_RUNS) {
      throw Problem.invalid(
          FieldProblem.of("day", day, "More than " + MOST_RUNS + " brews on one day."));
    }
    FreeTime.Span span =
        plans
            .settings(id)
            .toCore()
            .on(day)
            .orElse(new FreeTime.Span(LocalTime.of(18, 0), LocalTime.of(22, 0)));
    Instant usual = day.atTime(span.from()).atZone(household.zone()).toInstant();
    Instant from = usual.isBefore(now) ? now : usual;
    Instant to = day.atTime(span.to()).atZone(household.zone()).toInstant();
    Kitchen kitchen = kitchens.of(id);
    List<BrewDay.Run> runs = new ArrayList<>();
    Set<String> taken = new HashSet<>();
    Map<String, Pick> picks = new LinkedHashMap<>();
    for (PlannedBrewRow row : rows) {
      Planner.Planned planned = solved(id, row, kitchen, taken, now);
      Holding.of(
              planned.reached().brew(), planned.reached().prediction(), planned.reached().vessels())
          .stream()
          .filter(held -> held.kind() == Holding.Kind.VESSEL)
          .forEach(held -> taken.add(held.id()));
      runs.add(
          new BrewDay.Run(
              row.formula(),
              row.name(),
              planned.reached().brew(),
              planned.reached().vessels(),
              planned.reached().prediction(),
              0,
              OptionalDouble.empty()));
      pick(picks, row.name(), planned);
    }
    double bed = minutes(from, to);
    Instant morning = day.plusDays(1).atTime(AWAKE).atZone(household.zone()).toInstant();
    BrewDay worked =
        BrewDay.of(
            kitchen,
            runs,
            bed > 0 ? List.of(new Workroom.Quiet(bed, minutes(from, morning))) : List.of());
    return new Made(view(day, from, to, rows, runs, worked, picks), rows);
  }

  /** In pots that no other brew of the evening takes, where there are enough of them. */
  private Planner.Planned solved(
      UUID household, PlannedBrewRow row, Kitchen kitchen, Set<String> taken, Instant now) {
    Meant meant = new Meant(row.formula(), TargetJson.volume(row.millilitres()));
    try {
      return planner.solve(household, meant, Holding.free(kitchen, taken), now);
    } catch (Problem e) {
      return planner.solve(household, meant, kitchen, now);
    }
  }

  private static double minutes(Instant from, Instant to) {
    return java.time.Duration.between(from, to).toSeconds() / 60.0;
  }

  private static void pick(Map<String, Pick> picks, String brew, Planner.Planned planned) {
    for (int i = 0; i < planned.formula().ingredients().size(); i++) {
      Ingredient ingredient = planned.formula().ingredients().get(i);
      double grams = planned.reached().prediction().amounts().getOrDefault(ingredient.key(), 0.0);
      String name = planned.reached().brew().materials().get(i).name();
      Pick before = picks.get(ingredient.material());
      List<String> brews = new ArrayList<>(before == null ? List.of() : before.brews());
      if (!brews.contains(brew)) {
        brews.add(brew);
      }
      picks.put(
          ingredient.material(),
          new Pick(
              ingredient.material(), name, grams + (before == null ? 0 : before.grams()), brews));
    }
  }

  private static BrewDayView view(
      LocalDate day,
      Instant from,
      Instant to,
      List<PlannedBrewRow> rows,
      List<BrewDay.Run> runs,
      BrewDay worked,
      Map<String, Pick> picks) {
    List<DayBrew> brews = new ArrayList<>();
    for (int i = 0; i < runs.size(); i++) {
      BrewDay.Lane lane = worked.lanes().get(i);
      brews.add(
          new DayBrew(
              rows.get(i).formula(),
              rows.get(i).name(),
              rows.get(i).millilitres(),
              at(from, worked.starts().get(i)),
              lane.standsOn(),
              lane.spans().stream()
                  .map(
                      span ->
                          new DaySpan(
                              at(from, span.from()),
                              at(from, span.to()),
                              span.hands(),
                              span.onHob(),
                              span.words()))
                  .toList()));
    }
    Timetable table = worked.table();
    List<String> troubles = new ArrayList<>();
    if (table.clash() > 0) {
      troubles.add("Two brews want the same thing at the same time. Brew one of them another day.");
    }
    if (table.overrun() >= 1) {
      troubles.add(Said.of("Something stands %s too long.", Said.duration(table.overrun())));
    }
    double over = minutes(to, at(from, table.end()));
    if (over >= 1) {
      troubles.add(Said.of("It takes %s longer than there is time.", Said.duration(over)));
    }
    return new BrewDayView(
        day,
        from,
        to,
        brews,
        worked.lines().stream()
            .map(
                line ->
                    new EveningLine(
                        at(from, line.minute()), line.minutes(), line.run(), line.words()))
            .toList(),
        table.stretches().stream()
            .map(stretch -> new OnFeet(at(from, stretch.from()), at(from, stretch.to())))
            .toList(),
        worked.hands(),
        PlanWeights.USUAL.session(),
        at(from, table.end()),
        List.copyOf(picks.values()),
        troubles);
  }

  private static Instant at(Instant from, double minute) {
    return from.plusSeconds(Math.round(minute * 60));
  }

  /** Lays the runs of an evening on the bench, each for its time. */
  @Transactional
  public List<UUID> take(Household household, LocalDate day, Instant now) {
    if (!day.equals(household.day(now))) {
      throw Problem.invalid(FieldProblem.of("day", day, "Runs are laid out on their day: today."));
    }
    Made made = made(household, day, now);
    List<UUID> batches = new ArrayList<>();
    for (int i = 0; i < made.rows().size(); i++) {
      PlannedBrewRow row = made.rows().get(i);
      UUID batch =
          bench.start(
              household.id(),
              new Meant(row.formula(), TargetJson.volume(row.millilitres())),
              new When(made.view().brews().get(i).start(), null),
              now);
      plans.begun(row, batch);
      batches.add(batch);
    }
    return batches;
  }

  @Override
  @Transactional(readOnly = true)
  public List<Wanted> planned(UUID household, Instant now) {
    Kitchen kitchen = kitchens.of(household);
    Map<String, Wanted> all = new LinkedHashMap<>();
    for (Agreed brew : plans.agreed(household, households.of(household).day(now))) {
      Map<String, Pick> picks = new LinkedHashMap<>();
      try {
        Planner.Planned planned =
            planner.solve(
                household,
                new Meant(brew.formula(), TargetJson.volume(brew.millilitres())),
                kitchen,
                now);
        pick(picks, planned.formula().name(), planned);
      } catch (Problem e) {
        // It cannot be brewed any more: the plan says so itself.
        continue;
      }
      picks
          .values()
          .forEach(
              pick ->
                  all.merge(
                      pick.material(),
                      new Wanted(
                          pick.material(),
                          pick.name(),
                          pick.grams(),
                          brew.day(),
                          pick.brews().get(0)),
                      (a, b) ->
                          new Wanted(
                              a.material(), a.name(), a.grams() + b.grams(), a.day(), a.brew())));
    }
    return List.copyOf(all.values());
  }
}
