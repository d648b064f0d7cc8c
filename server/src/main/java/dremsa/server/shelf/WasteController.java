package dremsa.server.shelf;

import dremsa.core.keep.DiscardReason;
import dremsa.core.keep.Waste;
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.YearMonth;
import java.util.Comparator;
import java.util.List;
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
  private final WasteBook book;

  WasteController(WasteBook book) {
    this.book = book;
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

  @GetMapping
  WasteView waste(
      @AuthenticationPrincipal Member member, @RequestParam(defaultValue = "6") int months) {
    if (months < 1 || months > 60) {
      throw Problem.invalid(FieldProblem.range("months", months, "1 to 60 months.", 1, 60));
    }
    WasteBook.Page page = book.months(member.household(), months);
    Waste all = page.all();
    return new WasteView(
        page.months().entrySet().stream()
            .map(entry -> line(entry.getKey(), entry.getValue()))
            .toList(),
        page.formulas().entrySet().stream()
            .map(entry -> line(entry.getKey(), entry.getValue()))
            .sorted(Comparator.comparingDouble(FormulaWaste::thrownMl).reversed())
            .toList(),
        all.brewedMl(),
        all.usedMl(),
        all.thrownInAllMl(),
        all.thrownShare());
  }

  private static MonthLine line(YearMonth month, Waste waste) {
    return new MonthLine(
        month.toString(),
        waste.brewedMl(),
        waste.usedMl(),
        waste.thrownInAllMl(),
        waste.thrownShare(),
        waste.cost(),
        reasons(waste));
  }

  private static FormulaWaste line(String id, WasteBook.OfFormula formula) {
    Waste waste = formula.waste();
    return new FormulaWaste(
        id,
        formula.name(),
        waste.batches(),
        waste.brewedMl(),
        waste.usedMl(),
        waste.thrownInAllMl(),
        waste.cost(),
        waste.thrownCost(),
        reasons(waste),
        waste.advice());
  }

  /** The greatest first. */
  private static List<ReasonMl> reasons(Waste waste) {
    return waste.thrownMl().entrySet().stream()
        .map(entry -> new ReasonMl(entry.getKey(), entry.getValue()))
        .sorted(
            Comparator.comparingDouble(ReasonMl::millilitres)
                .reversed()
                .thenComparing(ReasonMl::reason))
        .toList();
  }
}
