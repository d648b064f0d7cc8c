package dremsa.server.bench;

import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.Thickness;
import dremsa.core.formula.Formula;
import dremsa.server.accounts.Household;
import dremsa.server.bench.RunJson.ComparedFigure;
import dremsa.server.bench.RunJson.ComparedStep;
import dremsa.server.bench.RunJson.Comparison;
import dremsa.server.wire.PredictionJson;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Holds a run as it goes against the plan that it was measured out by. */
@Component
class Comparisons {
  private final Runs runs;

  private final RunKeeping keeping;

  Comparisons(Runs runs, RunKeeping keeping) {
    this.keeping = keeping;
    this.runs = runs;
  }

  Comparison of(Household household, Batch batch, Runs.Run run, PredictionJson now) {
    Runs.Run planned = runs.planned(batch);
    Prediction plan = planned.prediction();
    Prediction real = run.prediction();
    List<ComparedFigure> figures = new ArrayList<>();
    double bottled = batch.bottledMl() == null ? real.finished().millilitres() : batch.bottledMl();
    figures.add(new ComparedFigure("To bottle", "mL", plan.finished().millilitres(), bottled));
    figures.add(new ComparedFigure("Steam", "g", plan.account().steam(), real.account().steam()));
    figures.add(
        new ComparedFigure(
            "Held by the plants", "g", plan.account().held(), real.account().held()));
    if (!plan.strengths().isEmpty() && !real.strengths().isEmpty()) {
      figures.add(
          new ComparedFigure(
              "Strength",
              "%",
              plan.strengths().get(0).extracted() * 100,
              real.strengths().get(0).extracted() * 100));
    }
    if (plan.finished().band().isPresent() && real.finished().band().isPresent()) {
      figures.add(
          new ComparedFigure(
              "Thickness, cold",
              "mPa·s",
              plan.finished().thickness(),
              real.finished().thickness()));
    }
    figures.add(
        new ComparedFigure(
            "Time",
            "min",
            plan.steps().get(plan.steps().size() - 1).endMinute(),
            real.steps().get(real.steps().size() - 1).endMinute()));
    return new Comparison(
        steps(planned, run),
        figures,
        lastDay(household, batch, planned),
        now.keeping().lastDay(),
        plan.finished().band().map(Thickness::words).orElse(""),
        real.finished().band().map(Thickness::words).orElse(""));
  }

  private LocalDate lastDay(Household household, Batch batch, Runs.Run planned) {
    Instant bottled = Moment.after(batch.startedAt(), planned.prediction().heat().bottledMinute());
    return keeping
        .of(household, batch, planned)
        .judge(planned.brew(), planned.prediction(), bottled)
        .lastDay();
  }

  /** Steps side by side; one that the run put in stands without a plan. */
  private static List<ComparedStep> steps(Runs.Run planned, Runs.Run run) {
    List<ComparedStep> steps = new ArrayList<>();
    Formula plan = planned.brew().formula();
    Formula went = run.brew().formula();
    int inserted = 0;
    for (StepOutcome outcome : run.prediction().steps()) {
      int at = outcome.index() - inserted;
      boolean known = at < plan.steps().size();
      // What was put in moves the rest back: it is there for as long as the lists are off by it.
      boolean more =
          went.steps().size() - plan.steps().size() > inserted
              && (!known || !plan.steps().get(at).equals(went.steps().get(outcome.index())));
      Double minutes = known && !more ? planned.prediction().steps().get(at).minutes() : null;
      steps.add(
          new ComparedStep(
              went.steps().get(outcome.index()).headline(), minutes, outcome.minutes()));
      inserted += more ? 1 : 0;
    }
    return steps;
  }
}
