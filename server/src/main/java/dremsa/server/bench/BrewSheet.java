package dremsa.server.bench;

import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.bench.RunJson.RunView;
import dremsa.server.bench.RunJson.SpanLine;
import dremsa.server.bench.RunJson.SpanState;
import dremsa.server.papers.Paper;
import dremsa.server.papers.Paper.Weight;
import dremsa.server.wire.PredictionJson.GoesInJson;
import dremsa.server.wire.PredictionJson.PortionJson;
import dremsa.server.wire.PredictionJson.StepPlanJson;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Lays a run out on one page: what goes in, what to do when, what to look for. */
final class BrewSheet {
  private static final float MARGIN = 14 * Paper.MM;
  private static final float LARGEST = 10.5f;
  private static final float SMALLEST = 5.5f;

  private final Household household;
  private final RunView run;

  BrewSheet(Household household, RunView run) {
    this.household = household;
    this.run = run;
  }

  /** The page, in the largest type in which all of it stands on one side. */
  byte[] pdf() {
    for (float points = LARGEST; ; points -= 0.5f) {
      try (Paper paper = new Paper(Paper.A4, run.code() + " " + run.name())) {
        paper.page();
        float end = lay(paper, points);
        if (end <= paper.size().height() - MARGIN || points <= SMALLEST) {
          return paper.bytes();
        }
      }
    }
  }

  private float lay(Paper paper, float points) {
    float width = paper.size().width() - 2 * MARGIN;
    float y = MARGIN + points * 2;
    paper.text(MARGIN, y, points * 2, Weight.HEAVY, paper.fitted(points * 2, width, run.name()));
    y += points * 1.6f;
    paper.text(
        MARGIN,
        y,
        points,
        Weight.REGULAR,
        Said.of(
            "%s · begins %s · about %.0f mL to bottle · keeps till %s",
            run.code(),
            moment(run.startedAt()),
            run.prediction().bottledMl().value(),
            day(run.prediction().keeping().lastDay())));
    y += points * 1.2f;
    paper.line(MARGIN, y, MARGIN + width, y, 1.2f);
    y += points * 1.6f;
    paper.text(MARGIN, y, points * 1.2f, Weight.HEAVY, "Weigh out");
    for (PortionJson portion : run.prediction().amounts()) {
      y += points * 1.45f;
      paper.frame(MARGIN, y - points * 0.8f, points * 0.85f, points * 0.85f, 0.8f);
      paper.text(MARGIN + points * 1.5f, y, points, Weight.HEAVY, amount(portion));
      paper.text(
          MARGIN + points * 8.5f,
          y,
          points,
          Weight.REGULAR,
          paper.fitted(
              points,
              width - points * 9,
              portion.name() + (portion.scoops().isEmpty() ? "" : ", " + portion.scoops())));
    }
    y += points * 2.2f;
    paper.text(MARGIN, y, points * 1.2f, Weight.HEAVY, "Do");
    List<SpanLine> lane = run.line().lane();
    for (StepPlanJson step : run.prediction().steps()) {
      y = step(paper, points, y + points * 1.7f, width, step, lane.get(step.index()));
    }
    y += points * 1.2f;
    paper.line(MARGIN, y, MARGIN + width, y, 0.8f);
    y += points * 1.5f;
    paper.text(
        MARGIN,
        y,
        points,
        Weight.REGULAR,
        "Really weighed, timed, read:  ____________________________________________________");
    return y + points;
  }

  private float step(
      Paper paper, float points, float top, float width, StepPlanJson step, SpanLine span) {
    float y = top;
    float text = MARGIN + points * 6.2f;
    float wide = width - points * 6.2f;
    paper.text(MARGIN, y, points, Weight.REGULAR, clock(span.from()));
    String mark =
        span.state() == SpanState.DONE
            ? "done · "
            : span.state() == SpanState.SKIPPED ? "left out · " : "";
    for (String line : paper.wrapped(points, wide, mark + step.headline() + time(step))) {
      paper.text(text, y, points, Weight.HEAVY, line);
      y += points * 1.25f;
    }
    List<String> more = new ArrayList<>();
    for (GoesInJson goes : step.goesIn()) {
      more.add(
          amount(goes.portion())
              + " "
              + goes.portion().name()
              + (goes.portion().scoops().isEmpty() ? "" : ", " + goes.portion().scoops())
              + (goes.why().isEmpty() ? "" : " (" + goes.why() + ")"));
    }
    if (!step.guide().how().isBlank()) {
      more.add(step.guide().how());
    }
    if (!step.guide().cue().isBlank()) {
      more.add("Look for: " + step.guide().cue());
    }
    if (step.hot() != null) {
      more.add("Mind: " + step.hot());
    }
    more.addAll(step.cautions().stream().map(c -> "Mind: " + c).toList());
    float small = points * 0.88f;
    for (String words : more) {
      for (String line : paper.wrapped(small, wide, words)) {
        paper.text(text, y, small, Weight.REGULAR, line);
        y += small * 1.25f;
      }
    }
    return y - points * 0.6f;
  }

  private static String amount(PortionJson portion) {
    return portion.drops() != null
        ? portion.drops() + " drops"
        : Said.of(portion.grams() < 20 ? "%.1f g" : "%.0f g", portion.grams());
  }

  private static String time(StepPlanJson step) {
    return step.window() == null
        ? ""
        : Said.of(
            " (%s – %s – %s)",
            minutes(step.window().shortest()),
            minutes(step.window().usual()),
            minutes(step.window().longest()));
  }

  private static String minutes(double minutes) {
    return minutes < 120
        ? Said.of("%.0f min", minutes)
        : minutes < 48 * 60
            ? Said.of("%.0f h", minutes / 60)
            : Said.of("%.0f days", minutes / 60 / 24);
  }

  private String clock(Instant at) {
    return DateTimeFormatter.ofPattern("EEE HH:mm", Locale.UK).format(at.atZone(household.zone()));
  }

  private String moment(Instant at) {
    return DateTimeFormatter.ofPattern("EEE d MMM yyyy HH:mm", Locale.UK)
        .format(at.atZone(household.zone()));
  }

  private static String day(LocalDate day) {
    return DateTimeFormatter.ofPattern("EEE d MMM", Locale.UK).format(day);
  }
}
