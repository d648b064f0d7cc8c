package dremsa.server.shelf;

import dremsa.core.keep.DiscardReason;
import dremsa.core.keep.School;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.BatchRecord;
import dremsa.server.bench.Runs;
import dremsa.server.tables.HouseholdTable;
import dremsa.server.tables.Row;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Bottles of batches that are known. How long one keeps is reckoned anew; a last day that the file
 * tells and that is earlier binds, as if it had been printed.
 */
@Component
class BottleTable implements HouseholdTable {
  private static final String QUERY =
      """
      select t.code, t.number, t.name, t.container, t.size_ml, t.filled_ml, t.left_ml, t.place,
        t.first_place, t.filled_at as filled, t.last_day, t.marked, t.school, t.clean_working,
        t.printed_day, t.sterilised_at as sterilised, p.number as parted_from, t.status,
        t.end_reason as reason, t.ended_at as ended
      from bottle t left join bottle p on p.id = t.parent_id
      where t.household_id = ? order by t.filled_at, t.code, t.number
      """;

  static final int CODE = 14;
  private static final double MOST_ML = 20_000;

  private final BottleRepository repository;
  private final Shelf shelf;
  private final Judging judging;
  private final Runs runs;
  private final Households households;

  BottleTable(
      BottleRepository repository, Shelf shelf, Judging judging, Runs runs, Households households) {
    this.repository = repository;
    this.shelf = shelf;
    this.judging = judging;
    this.runs = runs;
    this.households = households;
  }

  @Override
  public String name() {
    return "bottles";
  }

  @Override
  public List<String> columns() {
    return List.of(
        "code",
        "number",
        "name",
        "container",
        "size_ml",
        "filled_ml",
        "left_ml",
        "place",
        "first_place",
        "filled",
        "last_day",
        "marked",
        "school",
        "clean_working",
        "printed_day",
        "sterilised",
        "parted_from",
        "status",
        "reason",
        "ended");
  }

  @Override
  public String query() {
    return QUERY;
  }

  @Override
  public Taking begin(UUID household, Instant now) {
    Household keeper = households.of(household);
    Map<String, Optional<BatchRecord>> batches = new HashMap<>();
    return row -> take(keeper, batches, row, now);
  }

  private Taken take(
      Household household, Map<String, Optional<BatchRecord>> batches, Row row, Instant now) {
    String code = row.needed("code", CODE);
    int number = (int) row.neededNumber("number", 1, 1000);
    if (repository.findByHouseholdIdAndCodeAndNumber(household.id(), code, number).isPresent()) {
      return Taken.THERE;
    }
    Optional<BatchRecord> batch =
        batches.computeIfAbsent(code, c -> runs.bottled(household.id(), c));
    if (batch.isEmpty()) {
      return Taken.leftOut("There is no bottled batch " + code + " here.");
    }
    Bottle bottle = filled(household, batch.get(), code, number, row, now);
    if (bottle.status() == Bottle.Status.STANDING) {
      bottle.toldOnce(row.day("last_day"));
    }
    repository.saveAndFlush(bottle);
    judging.saved(bottle, now);
    return Taken.NEW;
  }

  private Bottle filled(
      Household household, BatchRecord batch, String code, int number, Row row, Instant now) {
    Container container = row.choice("container", Container.class, null);
    double size = row.neededNumber("size_ml", 1, MOST_ML);
    double filledMl = row.neededNumber("filled_ml", 0, size);
    Instant filledAt = row.past("filled", now);
    if (filledAt.isBefore(batch.startedAt())) {
      throw new Row.WrongException("filled", "Its brew had not begun then.");
    }
    Bottle.Status status = row.choice("status", Bottle.Status.class, Bottle.Status.STANDING);
    Double left = row.number("left_ml", 0, filledMl);
    String name = row.text("name", 120);
    Verdict verdict = shelf.judge(household.id(), batch, now);
    Bottle bottle =
        new Bottle(
            UUID.randomUUID(),
            household.id(),
            batch.id(),
            batch.formulaId(),
            code,
            number,
            name.isEmpty() ? batch.formulaName() : name,
            batch.brew().tint(),
            container,
            size,
            filledMl,
            filledAt,
            verdict);
    Place place = row.choice("place", Place.class, Place.FRIDGE);
    bottle.tell(
        new Bottle.Told(
            left == null ? (status == Bottle.Status.FINISHED ? 0 : filledMl) : left,
            place,
            row.choice("first_place", Place.class, place),
            row.choice("school", School.class, household.school()),
            row.yes("clean_working"),
            row.day("printed_day"),
            row.moment("sterilised"),
            parent(household, code, row)));
    if (status != Bottle.Status.STANDING) {
      end(bottle, status, row, now);
    }
    return bottle;
  }

  private @Nullable UUID parent(Household household, String code, Row row) {
    Double number = row.number("parted_from", 1, 1000);
    return number == null
        ? null
        : repository
            .findByHouseholdIdAndCodeAndNumber(household.id(), code, number.intValue())
            .map(Bottle::id)
            .orElseThrow(
                () ->
                    new Row.WrongException(
                        "parted_from", Said.of("Bottle %.0f stands in no line before.", number)));
  }

  private static void end(Bottle bottle, Bottle.Status status, Row row, Instant now) {
    Instant ended = row.past("ended", now);
    if (ended.isBefore(bottle.filledAt())) {
      throw new Row.WrongException("ended", "It was not filled yet then.");
    }
    DiscardReason reason =
        status == Bottle.Status.DISCARDED
            ? row.choice("reason", DiscardReason.class, DiscardReason.OTHER)
            : null;
    bottle.end(status, reason, ended);
    LocalDate lastDay = row.day("last_day");
    if (lastDay != null) {
      bottle.hadLastDay(lastDay, row.yes("marked"));
    }
  }
}
