package dremsa.server.practice;

import dremsa.core.brew.PotNow;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.TracePoint;
import dremsa.core.formula.Step;
import dremsa.core.material.Material;
import dremsa.core.measure.Said;
import dremsa.core.practice.Aim;
import dremsa.core.practice.Choice;
import dremsa.core.practice.Debrief;
import dremsa.core.practice.Exercise;
import dremsa.core.practice.Looks;
import dremsa.core.practice.PracticeRun;
import dremsa.server.practice.PracticeJson.AimView;
import dremsa.server.practice.PracticeJson.CallingView;
import dremsa.server.practice.PracticeJson.DebriefView;
import dremsa.server.practice.PracticeJson.DifferenceView;
import dremsa.server.practice.PracticeJson.LinePoint;
import dremsa.server.practice.PracticeJson.LineStep;
import dremsa.server.practice.PracticeJson.LineView;
import dremsa.server.practice.PracticeJson.MeasuredView;
import dremsa.server.practice.PracticeJson.PotLook;
import dremsa.server.practice.PracticeJson.PracticeStep;
import dremsa.server.practice.PracticeJson.PracticeView;
import dremsa.server.practice.PracticeJson.PutView;
import dremsa.server.practice.PracticeJson.ReachedView;
import dremsa.server.practice.PracticeJson.WayView;
import dremsa.server.practice.PracticeJson.WaysView;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Draws a practice up as it stands at a moment. */
final class PracticeViews {
  /** A line is drawn with about so many points. */
  private static final int POINTS = 160;

  /** From like water, 1 mPa·s, to hardly at all, 3000, on a scale of powers of ten. */
  private static final double THICKEST = Math.log10(3000);

  private PracticeViews() {}

  static PracticeView of(PracticeRow row, PracticeRun run, Instant now) {
    Exercise exercise = run.exercise();
    PotNow pot = run.pot();
    List<Step> steps = run.brew().formula().steps();
    Optional<Step> present = run.isOver() ? Optional.empty() : Optional.of(steps.get(run.step()));
    return new PracticeView(
        row.id(),
        row.version(),
        row.personId(),
        exercise.id(),
        exercise.title(),
        exercise.task(),
        exercise.aims().stream().map(PracticeViews::aim).toList(),
        row.leftAlone(now) ? 0 : row.pace(),
        row.leftAlone(now),
        row.second(now) / 60,
        run.stepMinutes(),
        run.step(),
        steps(steps),
        present.map(Step::onHob).orElse(false),
        present.map(step -> step.stands() || step.onlyCools()).orElse(false),
        run.heat(),
        run.lid(),
        run.isOver() ? List.of() : Looks.of(pot),
        look(run, pot),
        run.choiceNow().map(choice -> ways(choice, run)).orElse(null),
        puts(run),
        run.measured().map(PracticeViews::measured).orElse(null),
        run.calling()
            .map(each -> new CallingView(each.words(), each.away(), each.minutes()))
            .orElse(null),
        run.isOver(),
        run.isOver() ? debrief(run) : null);
  }

  static AimView aim(Aim aim) {
    return new AimView(aim.what().words(), aim.wanted());
  }

  private static List<PracticeStep> steps(List<Step> steps) {
    List<PracticeStep> all = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      Step step = steps.get(i);
      all.add(
          new PracticeStep(
              i,
              step.headline(),
              step.guide().how(),
              step.guide().cue(),
              step.window().map(window -> Said.duration(window.usual())).orElse("")));
    }
    return all;
  }

  private static @Nullable PotLook look(PracticeRun run, PotNow pot) {
    return pot.vessel()
        .map(
            vessel ->
                new PotLook(
                    vessel.kind(),
                    vessel.name(),
                    Math.min(1, (pot.millilitres() + pot.plantGrams()) / vessel.capacityMl()),
                    pot.froth(),
                    Math.min(1, pot.caught()),
                    pot.steam(),
                    Math.min(1, Math.log10(Math.max(1, pot.thickness())) / THICKEST),
                    pot.boils(),
                    run.brew().tint()))
        .orElse(null);
  }

  private static WaysView ways(Choice choice, PracticeRun run) {
    return new WaysView(
        choice.asks(),
        choice.options().stream()
            .sorted(Comparator.comparing(Choice.Option::key))
            .map(
                option ->
                    new WayView(
                        option.key(),
                        option.words(),
                        run.chosenNow().filter(option::equals).isPresent()))
            .toList());
  }

  private static List<PutView> puts(PracticeRun run) {
    return run.putsNow().entrySet().stream()
        .map(
            put ->
                new PutView(
                    put.getKey(),
                    run.brew().materialOf(put.getKey()).map(Material::name).orElse(put.getKey()),
                    put.getValue()))
        .toList();
  }

  private static MeasuredView measured(PracticeRun.Measured read) {
    return new MeasuredView(
        read.celsius(), Double.isNaN(read.ph()) ? null : read.ph(), read.minutesAgo());
  }

  private static DebriefView debrief(PracticeRun run) {
    Debrief debrief = Debrief.of(run);
    return new DebriefView(
        run.exercise().lesson(),
        debrief.reached().stream()
            .map(
                each ->
                    new ReachedView(
                        each.aim().what().words(),
                        each.aim().wanted(),
                        each.aim().told(each.value()),
                        each.ok()))
            .toList(),
        debrief.differences().stream()
            .map(
                each ->
                    new DifferenceView(
                        each.step(), each.words(), each.cost(), !each.lost().isEmpty()))
            .toList(),
        line(debrief.yours(), run),
        line(debrief.good(), run));
  }

  private static LineView line(Prediction prediction, PracticeRun run) {
    List<TracePoint> trace = prediction.trace();
    List<LinePoint> points = new ArrayList<>();
    int every = Math.max(1, trace.size() / POINTS);
    for (int i = 0; i < trace.size(); i++) {
      if (i % every == 0 || i == trace.size() - 1) {
        points.add(new LinePoint(trace.get(i).minute(), trace.get(i).celsius()));
      }
    }
    List<LineStep> steps = new ArrayList<>();
    for (StepOutcome outcome : prediction.steps()) {
      steps.add(
          new LineStep(
              run.brew().formula().steps().get(outcome.index()).headline(),
              outcome.startMinute(),
              outcome.endMinute()));
    }
    return new LineView(points, steps, prediction.heat().bottledMinute());
  }
}
