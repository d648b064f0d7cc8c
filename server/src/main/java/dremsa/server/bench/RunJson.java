package dremsa.server.bench;

import dremsa.core.brew.Prompt;
import dremsa.core.brew.Reading;
import dremsa.core.brew.Ripening;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.keep.Leftover;
import dremsa.server.history.Happening;
import dremsa.server.wire.PredictionJson;
import dremsa.server.wire.TargetJson;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Runs as screens need them. */
final class RunJson {
  private RunJson() {}

  /**
   * A run in a lane of the bench or on the worktop.
   *
   * @param parent the batch it is a part of
   * @param cue what to look for at the present step
   * @param usualAt when the present step is usually over, by the window or by the model
   * @param readyAt when the last step is over
   * @param hands when hands are wanted next; at {@code now} or before it is now
   * @param last whether the present step is the last, which asks for bottles
   */
  record RunLine(
      UUID id,
      long version,
      @Nullable UUID parent,
      String code,
      String name,
      String tint,
      Batch.Status status,
      int step,
      int steps,
      String headline,
      String cue,
      boolean needsHands,
      boolean last,
      @Nullable WindowMoments window,
      @Nullable Instant usualAt,
      @Nullable Instant readyAt,
      @Nullable HandsLine hands,
      List<MomentLine> moments,
      List<SpanLine> lane,
      List<String> cautions,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable Double bottledMl) {}

  /** When hands are wanted, and for what. */
  record HandsLine(Instant at, String words) {}

  /** When the present step begins to be right, is usually done, and begins to be late. */
  record WindowMoments(Instant startedAt, Instant rightFrom, Instant usualAt, Instant lateFrom) {}

  /** A call for hands or eyes. */
  record MomentLine(Instant at, Prompt.Kind kind, String words) {}

  /** How far a step of a lane has come. */
  enum SpanState {
    DONE,
    SKIPPED,
    NOW,
    COMING
  }

  /** One step on the time axis. */
  record SpanLine(
      int index,
      String kind,
      String headline,
      Instant from,
      Instant to,
      boolean needsHands,
      SpanState state) {}

  /**
   * What happened at a step.
   *
   * @param readings taken at its end, by their kind
   * @param measuredMl earlier name of the reading VOLUME; as are the next three of theirs
   */
  record StepRecord(
      Instant startedAt,
      @Nullable Instant endedAt,
      Window.@Nullable Timing timing,
      boolean cueSeen,
      Map<Reading, Double> readings,
      @Nullable Double measuredMl,
      @Nullable Double measuredC,
      @Nullable Double measuredG,
      @Nullable Double measuredPh,
      boolean skipped,
      double extendedMin,
      double waterMl,
      String note) {}

  /** Something that happened. */
  record HappeningLine(
      Instant at,
      Happening.Kind kind,
      @Nullable Double millilitres,
      String detail,
      boolean undone,
      @Nullable String doneBy) {}

  /** A line of the run's log. */
  record EntryLine(
      long id,
      int step,
      Instant at,
      BatchEntry.Kind kind,
      @Nullable Double amount,
      @Nullable String subject,
      String words,
      String source) {}

  /** A photo; its picture is at {@code /api/batches/{id}/photos/{photo}}. */
  record PhotoLine(UUID id, int step, Instant at, String caption) {}

  /**
   * How the present cooling was found to go.
   *
   * @param factor on the heat lost as predicted, with its 95 % interval
   * @param errorC what is left between readings and fit, °C
   */
  record FitLine(double factor, double low, double high, int readings, double errorC) {}

  /**
   * When it is cool enough for something.
   *
   * @param at null when it is not reached
   * @param low by the fast end of the fit's interval; null without a fit
   * @param high by the slow end; null without a fit, or when it is never reached then
   */
  record LandmarkLine(
      String id,
      String words,
      double celsius,
      @Nullable Instant at,
      @Nullable Instant low,
      @Nullable Instant high) {}

  /**
   * What the pot must be cool enough for at the present step.
   *
   * @param what {@code "wringing by hand"}
   * @param instead what to do while it is hotter
   * @param coolAt when it is cool enough, if it waits where it stands; null when it never is
   */
  record HandlingLine(String what, double belowC, String instead, @Nullable Instant coolAt) {}

  /** A day of a long step, as its log shows it. */
  record DayLine(
      int day,
      LocalDate date,
      boolean shakeDue,
      boolean shaken,
      @Nullable Double celsius,
      @Nullable Double ph,
      List<String> words) {}

  /**
   * A step that takes days.
   *
   * @param day the present one, from 1
   * @param of days, as usual
   * @param stage of a ferment
   * @param spentHours of life at 5 °C that the brew has spent by now; 0 where it has no budget
   * @param throwAway signs at which it goes away at any age
   */
  record StandingLine(
      int day,
      int of,
      Ripening.@Nullable Stage stage,
      @Nullable String stageWords,
      @Nullable Double ph,
      @Nullable Instant mildAt,
      @Nullable Instant fullAt,
      @Nullable Instant strongAt,
      double extractedPercent,
      double spentHours,
      @Nullable Double budgetHours,
      boolean fermentNotSour,
      List<DayLine> days,
      List<String> throwAway) {}

  /** A step as it was planned and as it went; minutes are null where it was not planned or done. */
  record ComparedStep(
      String headline, @Nullable Double plannedMinutes, @Nullable Double realMinutes) {}

  /** A result as it was planned and as it is reckoned from what really happened. */
  record ComparedFigure(String name, String unit, double planned, double real) {}

  /** Predicted against real. */
  record Comparison(
      List<ComparedStep> steps,
      List<ComparedFigure> figures,
      LocalDate plannedLastDay,
      LocalDate lastDay,
      String plannedBand,
      String band) {}

  /**
   * What stays in the strainer.
   *
   * @param words what it is good for
   * @param materials what it was
   * @param grams wet
   */
  record SpentLine(
      Leftover.Use use, String words, String why, List<String> materials, double grams) {}

  /** Another batch of the same family: a part, or the whole. */
  record Kin(UUID id, String code, String name, Batch.Status status) {}

  /**
   * A run, whole.
   *
   * @param now the server's time when this was written; the page counts from it
   * @param lastTap what the last tap was, which can be taken back; empty when nothing can
   * @param skippable whether the present step may be left out
   * @param handling what the pot must be cool enough for at the present step
   * @param marks that early and late ends of its steps left on it
   * @param leftover null where nothing is strained out
   * @param again the step before, if it can be done once more; empty when not
   */
  record RunView(
      RunLine line,
      UUID id,
      long version,
      String code,
      String formulaId,
      String name,
      Batch.Status status,
      Instant now,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable Double bottledMl,
      int step,
      String lastTap,
      boolean skippable,
      String again,
      @Nullable WindowMoments window,
      List<StepRecord> done,
      List<EntryLine> log,
      List<PhotoLine> photos,
      @Nullable FitLine fit,
      List<LandmarkLine> landmarks,
      List<HandlingLine> handling,
      List<String> marks,
      @Nullable StandingLine standing,
      Follows.@Nullable Following following,
      @Nullable SpentLine leftover,
      String tint,
      TargetJson target,
      PredictionJson prediction,
      @Nullable Comparison comparison,
      @Nullable Deliberate override,
      List<Kin> kin,
      List<HappeningLine> happenings) {}

  /**
   * A way to cool.
   *
   * @param toStep minutes until the step's own temperature; null when it is never reached
   * @param minutes until each landmark, by its id
   * @param lastDay the last day it then has
   * @param spentHours of life at 5 °C at bottling
   */
  record CoolingLine(
      Step.CoolingWay way,
      boolean cover,
      boolean planned,
      String words,
      @Nullable Double toStep,
      List<CoolingLandmark> minutes,
      LocalDate lastDay,
      double spentHours,
      double bottledMl) {}

  /** Minutes until a landmark. */
  record CoolingLandmark(String id, String words, double minutes) {}

  /**
   * The ways to cool, and what the yardstick says.
   *
   * @param step index of the step that cools; -1 where no cooling is to come
   * @param ways none where no cooling is to come
   */
  record CoolingView(int step, double toC, List<CoolingLine> ways, String yardstick) {
    static final CoolingView NONE = new CoolingView(-1, 0, List.of(), "");
  }
}
