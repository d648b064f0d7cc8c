package dremsa.server.bench;

import dremsa.core.brew.Cooling;
import dremsa.core.brew.Landmark;
import dremsa.core.formula.Step;
import dremsa.core.keep.Reason;
import dremsa.core.keep.Verdict;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.RunJson.CoolingLandmark;
import dremsa.server.bench.RunJson.CoolingLine;
import dremsa.server.bench.RunJson.CoolingView;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Shows what each way to cool does, before one is chosen. */
@Component
class CoolingWays {
  private final Runs runs;
  private final Log log;
  private final Households households;
  private final RunKeeping keeping;

  CoolingWays(Runs runs, Log log, Households households, RunKeeping keeping) {
    this.keeping = keeping;
    this.runs = runs;
    this.log = log;
    this.households = households;
  }

  CoolingView of(UUID householdId, UUID id) {
    Household household = households.of(householdId);
    Batch batch = log.get(householdId, id);
    Instant now = households.now(household);
    if (batch.status() != Batch.Status.RUNNING) {
      return CoolingView.NONE;
    }
    Runs.Run run = runs.of(batch, now);
    List<Step> steps = run.brew().formula().steps();
    OptionalInt next = Cooling.next(steps, batch.step());
    if (next.isEmpty()) {
      return CoolingView.NONE;
    }
    int index = next.getAsInt();
    double elapsed =
        index == batch.step() ? Happened.minutes(batch.steps().get(index).startedAt(), now) : 0;
    List<CoolingLine> ways = new ArrayList<>();
    String yardstick = "";
    double toC = 0;
    for (Cooling.Choice choice :
        Cooling.choices(run.brew(), run.scale(), run.vessels(), run.facts(), index, elapsed)) {
      Verdict verdict = judge(household, batch, run, choice);
      if (ways.isEmpty()) {
        yardstick = yardstick(verdict);
        toC = choice.toC();
      }
      ways.add(line(choice, verdict, ways.isEmpty()));
    }
    return new CoolingView(index, toC, ways, yardstick);
  }

  private Verdict judge(Household household, Batch batch, Runs.Run run, Cooling.Choice choice) {
    Instant bottled = Moment.after(batch.startedAt(), choice.prediction().heat().bottledMinute());
    return keeping
        .of(household, batch, run)
        .judge(run.brew().with(choice.formula()), choice.prediction(), bottled);
  }

  private static String yardstick(Verdict verdict) {
    return verdict.reasons().stream()
        .filter(Reason.SlowCooling.class::isInstance)
        .map(Reason::words)
        .findFirst()
        .orElse("");
  }

  private static CoolingLine line(Cooling.Choice choice, Verdict verdict, boolean planned) {
    List<CoolingLandmark> minutes = new ArrayList<>();
    for (Landmark landmark : Landmark.values()) {
      Double at = choice.minutes().get(landmark);
      if (at != null) {
        minutes.add(new CoolingLandmark(landmark.name(), landmark.words(), at));
      }
    }
    return new CoolingLine(
        choice.way(),
        choice.cover(),
        planned,
        choice.way().words() + (choice.cover() ? ", lid on" : ", lid off"),
        choice.toTarget().isPresent() ? choice.toTarget().getAsDouble() : null,
        minutes,
        verdict.lastDay(),
        Double.isInfinite(verdict.budgetHours()) ? 0 : verdict.spentHours(),
        choice.prediction().finished().millilitres());
  }
}
