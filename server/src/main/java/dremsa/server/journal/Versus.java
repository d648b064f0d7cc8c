package dremsa.server.journal;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.learn.Criterion;
import dremsa.core.learn.Mean;
import dremsa.core.learn.Shift;
import dremsa.core.learn.Weighed;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.Runs;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.journal.JournalJson.JudgedView;
import dremsa.server.journal.JournalJson.MeanView;
import dremsa.server.journal.JournalJson.SideView;
import dremsa.server.journal.JournalJson.VersusView;
import dremsa.server.journal.JournalJson.YieldLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lays two versions of a formula, or two formulas, side by side as they were brewed and judged. */
@Service
class Versus {
  private final Runs runs;
  private final Formulas formulas;
  private final Journal journal;
  private final Households households;

  Versus(Runs runs, Formulas formulas, Journal journal, Households households) {
    this.runs = runs;
    this.formulas = formulas;
    this.journal = journal;
    this.households = households;
  }

  /**
   * One of two.
   *
   * @param version the kept state; null for whatever of it was brewed
   */
  record Side(String formula, @Nullable Integer version) {
    String called(String name) {
      return version == null ? "with " + name : "with version " + version;
    }
  }

  /** Both, and what can be told of their judgements. */
  @Transactional(readOnly = true)
  public VersusView of(UUID id, Side left, Side right) {
    if (left.equals(right)) {
      throw Problem.invalid(
          FieldProblem.of("right", right.formula(), "Choose two that are not the same."));
    }
    Household household = households.of(id);
    List<Runs.Brewed> lefts = brewed(id, left);
    List<Runs.Brewed> rights = brewed(id, right);
    SideView one = side(household, left, lefts);
    SideView other = side(household, right, rights);
    Map<Criterion, List<Double>> before = scores(id, lefts);
    Map<Criterion, List<Double>> after = scores(id, rights);
    List<JudgedView> judged = new ArrayList<>();
    for (Criterion criterion : Criterion.values()) {
      List<Double> a = before.getOrDefault(criterion, List.of());
      List<Double> b = after.getOrDefault(criterion, List.of());
      if (!a.isEmpty() || !b.isEmpty()) {
        Shift shift = Shift.of(a, b, 1);
        judged.add(
            new JudgedView(
                criterion,
                MeanView.of(shift.before()),
                MeanView.of(shift.after()),
                shift.words(criterion, left.called(one.name()), right.called(other.name())),
                shift.settled()));
      }
    }
    return new VersusView(one, other, judged);
  }

  private Map<Criterion, List<Double>> scores(UUID household, List<Runs.Brewed> batches) {
    return journal.scores(household, batches.stream().map(Runs.Brewed::id).toList());
  }

  private List<Runs.Brewed> brewed(UUID household, Side side) {
    return runs.brewedFrom(household, side.formula()).stream()
        .filter(batch -> side.version() == null || Objects.equals(side.version(), batch.version()))
        .toList();
  }

  private SideView side(Household household, Side side, List<Runs.Brewed> batches) {
    Formula formula = formula(household.id(), side);
    List<YieldLine> yields = new ArrayList<>();
    List<Double> shares = new ArrayList<>();
    for (Runs.Brewed batch : batches) {
      runs.weighed(household.id(), batch.id())
          .filter(weighing -> weighing.weighed().tells())
          .ifPresent(
              weighing -> {
                Weighed weighed = weighing.weighed();
                double foretold = weighed.foretold();
                yields.add(
                    new YieldLine(
                        batch.id(),
                        batch.code(),
                        household.day(weighing.at()),
                        weighed.came(),
                        foretold));
                shares.add(weighed.came() / foretold);
              });
    }
    return new SideView(
        side.formula(),
        side.version(),
        formula.name(),
        formula.steps().stream().mapToDouble(Step::handsMinutes).sum(),
        batches.size(),
        yields,
        MeanView.of(Mean.of(shares)));
  }

  private Formula formula(UUID household, Side side) {
    Formula present = formulas.get(household, side.formula());
    if (side.version() == null) {
      return present;
    }
    return formulas.kept(household, side.formula(), UnaryOperator.identity()).stream()
        .filter(kept -> kept.number() == side.version())
        .findFirst()
        .map(Formulas.Kept::formula)
        .orElseThrow(() -> Problem.notFound("version"));
  }
}
