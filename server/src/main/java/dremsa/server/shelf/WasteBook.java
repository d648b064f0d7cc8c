package dremsa.server.shelf;

import dremsa.core.keep.DiscardReason;
import dremsa.core.keep.Waste;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Adds up what was brewed, used and thrown away, from the record and the prices of the lots. */
@Component
class WasteBook {
  private static final String HAPPENED =
      "select h.happened_at, h.kind, coalesce(h.millilitres, 0),"
          + " coalesce(json_value(h.told, '$.reason'), 'OTHER'), b.formula_id, b.formula_name"
          + " from happening_line h join batch_name b on b.id = h.batch_id"
          + " where h.household_id = ? and h.happened_at >= ? and h.undone = false"
          + " and h.kind in ('BOTTLED', 'TAKEN', 'FINISHED', 'DISCARDED')";

  private static final String COSTS =
      "select c.happened_at, c.cost, b.formula_id"
          + " from lot_cost c join batch_name b on b.id = c.batch_id"
          + " where c.household_id = ? and c.happened_at >= ?";

  private final JdbcTemplate jdbc;
  private final Households households;

  WasteBook(JdbcTemplate jdbc, Households households) {
    this.jdbc = jdbc;
    this.households = households;
  }

  /** What became of a formula's brews, under the name that it had last. */
  record OfFormula(String name, Waste waste) {
    private OfFormula plus(Waste more) {
      return new OfFormula(name, waste.plus(more));
    }
  }

  /**
   * A pass over the record.
   *
   * @param months each of them, the first first
   * @param formulas by id, in the order in which they were first brewed
   */
  record Page(SortedMap<YearMonth, Waste> months, Map<String, OfFormula> formulas) {
    /** All months together. */
    Waste all() {
      return months.values().stream().reduce(Waste.NONE, Waste::plus);
    }

    private void add(YearMonth month, Waste waste) {
      months.computeIfPresent(month, (m, sum) -> sum.plus(waste));
    }
  }

  /** The last so many months of a household, the present one among them. */
  Page months(UUID id, int count) {
    Household household = households.of(id);
    ZoneId zone = household.zone();
    LocalDate today = households.today(household);
    YearMonth first = YearMonth.from(today).minusMonths(count - 1L);
    Page page = new Page(new TreeMap<>(), new LinkedHashMap<>());
    for (int i = 0; i < count; i++) {
      page.months().put(first.plusMonths(i), Waste.NONE);
    }
    Instant from = first.atDay(1).atStartOfDay(zone).toInstant();
    gather(page, id, from, zone);
    costs(page, id, from, zone);
    return page;
  }

  private void gather(Page page, UUID household, Instant from, ZoneId zone) {
    jdbc.query(
        HAPPENED,
        row -> {
          double ml = row.getDouble(3);
          Waste waste =
              switch (row.getString(2)) {
                case "BOTTLED" -> Waste.brewed(ml);
                case "DISCARDED" -> Waste.thrown(DiscardReason.valueOf(row.getString(4)), ml);
                default -> Waste.used(ml);
              };
          page.add(YearMonth.from(row.getTimestamp(1).toInstant().atZone(zone)), waste);
          OfFormula one = new OfFormula(row.getString(6), waste);
          page.formulas().merge(row.getString(5), one, (sum, more) -> one.plus(sum.waste()));
        },
        household.toString(),
        Timestamp.from(from));
  }

  /** What went into the batches, at the price of the lots that it was taken from. */
  private void costs(Page page, UUID household, Instant from, ZoneId zone) {
    jdbc.query(
        COSTS,
        row -> {
          Waste cost = Waste.cost(row.getDouble(2));
          page.add(YearMonth.from(row.getTimestamp(1).toInstant().atZone(zone)), cost);
          page.formulas().computeIfPresent(row.getString(3), (id, sum) -> sum.plus(cost));
        },
        household.toString(),
        Timestamp.from(from));
  }
}
