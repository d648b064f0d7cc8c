package dremsa.server.kitchens;

import dremsa.core.keep.Climates;
import dremsa.core.kitchen.Climate;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The history of how warm a household's places were set. Nothing of it is ever changed. */
@Component
class PlaceClimates {
  /** So long back nobody remembers what a fridge was set to, days. */
  private static final long LONGEST_BACK_D = 60;

  private final ClimateRepository repository;
  private final Households households;
  private final ApplicationEventPublisher events;

  PlaceClimates(
      ClimateRepository repository, Households households, ApplicationEventPublisher events) {
    this.repository = repository;
    this.households = households;
    this.events = events;
  }

  /**
   * All settings.
   *
   * @param present what is set now; it always was, where nothing is on record
   */
  Climates of(UUID household, Climate present) {
    List<ClimateRow> rows = rows(household);
    return rows.isEmpty()
        ? Climates.always(present)
        : Climates.of(rows.stream().map(ClimateRow::since).toList());
  }

  List<ClimateRow> rows(UUID household) {
    return repository.findByHouseholdIdOrderByFromAt(household);
  }

  /**
   * Puts a change on record. Where nobody says since when it has been so, what is warmer counts
   * from the beginning of the day, and what is colder from now on.
   *
   * @param since the first day on which it was so
   */
  @Transactional(propagation = Propagation.MANDATORY)
  void changed(UUID householdId, Climate before, Climate after, @Nullable LocalDate since) {
    if (before.equals(after) && since == null) {
      return;
    }
    Household household = households.of(householdId);
    Instant now = households.now(householdId).truncatedTo(ChronoUnit.MILLIS);
    List<ClimateRow> rows = rows(householdId);
    if (rows.isEmpty()) {
      repository.save(new ClimateRow(householdId, ClimateRow.BEGINNING, before, now));
    }
    LocalDate today = household.day(now);
    if (since != null) {
      if (since.isAfter(today) || since.isBefore(today.minusDays(LONGEST_BACK_D))) {
        throw Problem.invalid(
            FieldProblem.of(
                "climateSince",
                since.toString(),
                Said.of("A day up to today, not more than %d days ago.", LONGEST_BACK_D)));
      }
      Instant from = since.atStartOfDay(household.zone()).toInstant();
      rows.stream()
          .filter(row -> !row.fromAt().isBefore(from) && row != rows.get(0))
          .forEach(repository::delete);
      repository.flush();
      repository.save(new ClimateRow(householdId, from, after, now));
    } else {
      Instant last = rows.isEmpty() ? ClimateRow.BEGINNING : rows.get(rows.size() - 1).fromAt();
      Climate warmer = warmer(before, after);
      Instant morning = today.atStartOfDay(household.zone()).toInstant();
      if (!warmer.equals(before)) {
        Instant from = morning.isAfter(last) ? morning : last.plusMillis(1);
        repository.save(new ClimateRow(householdId, from, warmer, now));
        last = from;
      }
      if (!warmer.equals(after)) {
        Instant from = now.isAfter(last) ? now : last.plusMillis(1);
        repository.save(new ClimateRow(householdId, from, after, now));
      }
    }
    repository.flush();
    events.publishEvent(new ClimateChanged(householdId, now, words(before, after)));
  }

  /**
   * Takes a setting off the record, as if it had never been; the first one stays.
   *
   * @return what is set now
   */
  @Transactional(propagation = Propagation.MANDATORY)
  Climate takenBack(UUID householdId, UUID id) {
    List<ClimateRow> rows = new ArrayList<>(rows(householdId));
    ClimateRow row =
        rows.stream()
            .skip(1)
            .filter(r -> r.id().equals(id))
            .findFirst()
            .orElseThrow(() -> Problem.notFound("setting"));
    Climate before = rows.get(rows.size() - 1).climate();
    repository.delete(row);
    repository.flush();
    rows.remove(row);
    Climate after = rows.get(rows.size() - 1).climate();
    events.publishEvent(
        new ClimateChanged(
            householdId, households.now(householdId), "taken back: " + words(before, after)));
    return after;
  }

  private static Climate warmer(Climate a, Climate b) {
    return new Climate(
        Math.max(a.roomC(), b.roomC()),
        Math.max(a.fridgeC(), b.fridgeC()),
        Math.max(a.freezerC(), b.freezerC()));
  }

  /** {@code "fridge at 12 °C (was 5)"}. */
  private static String words(Climate before, Climate after) {
    List<String> all = new ArrayList<>();
    word(all, "fridge", before.fridgeC(), after.fridgeC());
    word(all, "room", before.roomC(), after.roomC());
    word(all, "freezer", before.freezerC(), after.freezerC());
    return all.isEmpty() ? "the kitchen's settings" : String.join(", ", all);
  }

  private static void word(List<String> all, String place, double before, double after) {
    if (before != after) {
      all.add(Said.of("%s at %.1f °C (was %.1f)", place, after, before));
    }
  }
}
