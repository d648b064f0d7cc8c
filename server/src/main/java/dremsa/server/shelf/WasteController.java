package dremsa.server.shelf;

import dremsa.core.keep.WasteAdvice;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What was brewed, used and thrown away, by month, reason and formula. */
@RestController
@RequestMapping("/api/waste")
@Transactional(readOnly = true)
class WasteController {
  private final JdbcTemplate jdbc;
  private final Households households;

  WasteController(JdbcTemplate jdbc, Households households) {
    this.jdbc = jdbc;
    this.households = households;
  }

  /** mL thrown away for a reason. */
  record ReasonMl(DiscardReason reason, double millilitres) {}

  /**
   * A month.
   *
   * @param thrownShare of all that went that month, 0 to 1
   * @param cost of the materials of what was brewed, in the household's currency, as far as their
   *     prices are known
   */
  record MonthLine(
      String month,
      double brewedMl,
      double usedMl,
      double thrownMl,
      double thrownShare,
      double cost,
      List<ReasonMl> reasons) {}

  /**
   * A formula.
   *
   * @param thrownCost the share of the materials' cost that was thrown away
   * @param advice what would throw less away; empty where nothing is to be said
   */
  record FormulaWaste(
      String formulaId,
      String name,
      int batches,
      double brewedMl,
      double usedMl,
      double thrownMl,
      double cost,
      double thrownCost,
      List<ReasonMl> reasons,
      String advice) {}

  /** The record, the months in their order, the formula with most waste first. */
  record WasteView(
      List<MonthLine> months,
      List<FormulaWaste> formulas,
      double brewedMl,
      double usedMl,
      double thrownMl,
      double thrownShare) {}

  private static final class Sum {
    private double brewed;
    private double used;
    private double thrown;
    private double cost;
    private int batches;
    private String name = "";
    private final Map<DiscardReason, Double> reasons = new EnumMap<>(DiscardReason.class);

    private List<ReasonMl> reasons() {
      return reasons.entrySet().stream()
          .sorted(Map.Entry.<DiscardReason, Double>comparingByValue().reversed())
          .map(e -> new ReasonMl(e.getKey(), e.getValue()))
          .toList();
    }
  }

  @GetMapping
  WasteView waste(
      @AuthenticationPrincipal Member member, @RequestParam(defaultValue = "6") int months) {
    if (months < 1 || months > 60) {
      throw Problem.invalid(FieldProblem.range("months", months, "1 to 60 months.", 1, 60));
    }
    Household household = households.of(member.household());
    ZoneId zone = household.zone();
    LocalDate today = households.now(household).atZone(zone).toLocalDate();
    YearMonth first = YearMonth.from(today).minusMonths(months - 1L);
    Instant from = first.atDay(1).atStartOfDay(zone).toInstant();
    Map<YearMonth, Sum> byMonth = new TreeMap<>();
    for (YearMonth m = first; !m.isAfter(YearMonth.from(today)); m = m.plusMonths(1)) {
      byMonth.put(m, new Sum());
    }
    Map<String, Sum> byFormula = new LinkedHashMap<>();
    gather(household.id(), from, zone, byMonth, byFormula);
    costs(household.id(), from, zone, byMonth, byFormula);
    return view(byMonth, byFormula);
  }

  private void gather(
      UUID household,
      Instant from,
      ZoneId zone,
      Map<YearMonth, Sum> byMonth,
      Map<String, Sum> byFormula) {
    jdbc.query(
        "select h.happened_at, h.kind, h.millilitres, h.detail, b.formula_id, b.formula_name"
            + " from happening_line h join batch_name b on b.id = h.batch_id"
            + " where h.household_id = ? and h.happened_at >= ? and h.undone = false"
            + " and h.kind in ('BOTTLED', 'TAKEN', 'FINISHED', 'DISCARDED')",
        row -> {
          double ml = row.getDouble(3);
          YearMonth month = YearMonth.from(row.getTimestamp(1).toInstant().atZone(zone));
          Sum formula = byFormula.computeIfAbsent(row.getString(5), id -> new Sum());
          formula.name = row.getString(6);
          for (Sum sum : List.of(byMonth.getOrDefault(month, new Sum()), formula)) {
            switch (row.getString(2)) {
              case "BOTTLED" -> {
                sum.brewed += ml;
                sum.batches++;
              }
              case "DISCARDED" -> {
                sum.thrown += ml;
                sum.reasons.merge(reason(row.getString(4)), ml, Double::sum);
              }
              default -> sum.used += ml;
            }
          }
        },
        household.toString(),
        Timestamp.from(from));
  }

  private static DiscardReason reason(String detail) {
    try {
      return DiscardReason.valueOf(detail.split(": ")[0]);
    } catch (IllegalArgumentException e) {
      return DiscardReason.OTHER;
    }
  }

  /** What went into the batches, at the price of the lots that it was taken from. */
  private void costs(
      UUID household,
      Instant from,
      ZoneId zone,
      Map<YearMonth, Sum> byMonth,
      Map<String, Sum> byFormula) {
    jdbc.query(
        COSTS,
        row -> {
          double cost = row.getDouble(2);
          YearMonth month = YearMonth.from(row.getTimestamp(1).toInstant().atZone(zone));
          byMonth.getOrDefault(month, new Sum()).cost += cost;
          Sum formula = byFormula.get(row.getString(3));
          if (formula != null) {
            formula.cost += cost;
          }
        },
        household.toString(),
        Timestamp.from(from));
  }

  private static final String COSTS =
      "select c.happened_at, c.cost, b.formula_id"
          + " from lot_cost c join batch_name b on b.id = c.batch_id"
          + " where c.household_id = ? and c.happened_at >= ?";

  private static WasteView view(Map<YearMonth, Sum> byMonth, Map<String, Sum> byFormula) {
    List<MonthLine> months = new ArrayList<>();
    double brewed = 0;
    double used = 0;
    double thrown = 0;
    for (Map.Entry<YearMonth, Sum> entry : byMonth.entrySet()) {
      Sum sum = entry.getValue();
      brewed += sum.brewed;
      used += sum.used;
      thrown += sum.thrown;
      months.add(
          new MonthLine(
              entry.getKey().toString(),
              sum.brewed,
              sum.used,
              sum.thrown,
              WasteAdvice.share(sum.used, sum.thrown),
              sum.cost,
              sum.reasons()));
    }
    List<FormulaWaste> formulas = new ArrayList<>();
    byFormula.forEach(
        (id, sum) -> {
          double share = sum.brewed > 0 ? Math.min(1, sum.thrown / sum.brewed) : 0;
          double dated = sum.reasons.getOrDefault(DiscardReason.DATE, 0.0);
          double spoiled =
              sum.reasons.getOrDefault(DiscardReason.MOULD, 0.0)
                  + sum.reasons.getOrDefault(DiscardReason.SMELL, 0.0)
                  + sum.reasons.getOrDefault(DiscardReason.SEPARATED, 0.0);
          double disliked = sum.reasons.getOrDefault(DiscardReason.DISLIKED, 0.0);
          formulas.add(
              new FormulaWaste(
                  id,
                  sum.name,
                  sum.batches,
                  sum.brewed,
                  sum.used,
                  sum.thrown,
                  sum.cost,
                  sum.cost * share,
                  sum.reasons(),
                  WasteAdvice.of(sum.brewed, sum.batches, dated, spoiled, disliked)));
        });
    formulas.sort((a, b) -> Double.compare(b.thrownMl(), a.thrownMl()));
    return new WasteView(months, formulas, brewed, used, thrown, WasteAdvice.share(used, thrown));
  }
}
