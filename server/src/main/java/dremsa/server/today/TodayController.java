package dremsa.server.today;

import dremsa.core.today.Task;
import dremsa.core.today.Today;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.bench.WaitingPots;
import dremsa.server.leftovers.Leftovers;
import dremsa.server.plan.BrewPlans;
import dremsa.server.shelf.Shelf;
import dremsa.server.washdays.WashDays;
import io.swagger.v3.oas.annotations.Operation;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class TodayController {
  private final WaitingPots pots;
  private final Shelf shelf;
  private final Leftovers leftovers;
  private final WashDays washDays;
  private final BrewPlans plans;
  private final Households households;

  TodayController(
      WaitingPots pots,
      Shelf shelf,
      Leftovers leftovers,
      WashDays washDays,
      BrewPlans plans,
      Households households) {
    this.washDays = washDays;
    this.plans = plans;
    this.pots = pots;
    this.leftovers = leftovers;
    this.shelf = shelf;
    this.households = households;
  }

  /**
   * One thing to do.
   *
   * @param id of the batch, the bottle or the leftover; of heads and brews the day
   * @param thing which of them it is about
   * @param at when, if it is for later
   */
  record TaskJson(
      Task.Kind kind,
      String id,
      Task.Thing thing,
      String name,
      String words,
      @Nullable Instant at) {
    static TaskJson of(Task task) {
      return new TaskJson(
          task.kind(),
          task.id(),
          task.kind().thing(),
          task.name(),
          task.words(),
          task.at().orElse(null));
    }
  }

  @Operation(summary = "What is to be done now, the most pressing first")
  @GetMapping("/api/today")
  @Transactional(readOnly = true)
  List<TaskJson> today(@AuthenticationPrincipal Member member) {
    Household household = households.of(member.household());
    Instant now = households.now(household);
    return Today.of(
            pots.of(household.id(), now),
            shelf.dated(household.id()),
            leftovers.open(household.id()),
            washDays.today(household, now),
            plans.tonight(household, now),
            now,
            households.today(household))
        .stream()
        .map(TaskJson::of)
        .toList();
  }
}
