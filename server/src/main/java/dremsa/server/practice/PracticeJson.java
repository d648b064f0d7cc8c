package dremsa.server.practice;

import dremsa.core.kitchen.VesselKind;
import dremsa.core.practice.Act;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.KitchenJson;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Practices on the wire, and as they are kept. */
final class PracticeJson {
  /** Nobody follows a pot that goes faster. */
  static final int FASTEST = 120;

  /** Nobody lets it stand longer at once, min. */
  static final int LONGEST_PASS = 7 * 24 * 60;

  private PracticeJson() {}

  /**
   * A practice as it is kept.
   *
   * @param formula brewed without a task; null for an exercise
   * @param kitchen it is brewed in then
   */
  record KeptPractice(
      @Nullable FormulaJson formula, @Nullable KitchenJson kitchen, List<ActJson> acts) {
    KeptPractice with(Act act) {
      List<ActJson> more = new ArrayList<>(acts);
      more.add(new ActJson(act.second(), act.kind(), act.what(), act.value()));
      return new KeptPractice(formula, kitchen, more);
    }

    List<Act> toCore() {
      return acts.stream().map(ActJson::toCore).toList();
    }
  }

  /** An act as it is kept. */
  record ActJson(double second, Act.Kind kind, @Nullable String what, double value) {
    Act toCore() {
      return new Act(second, kind, what == null ? "" : what, value);
    }
  }

  /**
   * What is to be practised.
   *
   * @param exercise its id; null for a formula without a task
   * @param formula id of that formula
   * @param person whose practice it is; null for nobody's
   */
  record PracticeForm(
      @Size(max = 40, message = "At most 40 letters.") @Nullable String exercise,
      @Size(max = 80, message = "At most 80 letters.") @Nullable String formula,
      @Nullable UUID person) {}

  /** Something that a hand does now. */
  record ActForm(
      long version,
      @NotNull(message = "Say what is done.") Act.Kind kind,
      @Size(max = 80, message = "At most 80 letters.") @Nullable String what,
      @Nullable Double value) {}

  /**
   * How fast the pot's time goes.
   *
   * @param pace 0 to hold it, 1 as a clock, up to 120
   */
  record PaceForm(
      long version,
      @NotNull(message = "Say how fast.")
          @DecimalMin(value = "0", message = "From 0 to 120 times.")
          @DecimalMax(value = "120", message = "From 0 to 120 times.")
          Double pace) {}

  /** So much time is let pass at once. */
  record PassForm(
      long version,
      @NotNull(message = "Say how long.")
          @DecimalMin(value = "1", message = "At least a minute.")
          @DecimalMax(value = "10080", message = "At most a week.")
          Double minutes) {}

  /**
   * An exercise, and how it went so far.
   *
   * @param best how much of what is asked was reached at best, and by whom
   */
  record ExerciseView(
      String id, String title, String task, List<AimView> aims, List<BestView> best) {}

  /** What is asked for. */
  record AimView(String words, String wanted) {}

  /** How much somebody reached at best; nobody's practices are told together. */
  record BestView(@Nullable UUID person, String name, int reached, int asked, int times) {}

  /** All that can be practised, and what is or was. */
  record PracticesView(List<ExerciseView> exercises, List<PracticeLine> practices) {}

  /** A practice in a list. */
  record PracticeLine(
      UUID id,
      String exercise,
      String title,
      @Nullable UUID person,
      String name,
      Instant begunAt,
      @Nullable Instant endedAt,
      @Nullable Integer reached,
      int asked) {}

  /** A step of a practice. */
  record PracticeStep(int index, String headline, String how, String cue, String usually) {}

  /**
   * How the pot looks.
   *
   * @param fill share of the vessel, 0 to 1
   * @param froth 0 none, 1 at the rim
   * @param caught 0 nothing, 1 burnt
   * @param steam g a minute
   * @param thick how it runs off the spoon: 0 like water, 1 hardly at all
   */
  record PotLook(
      VesselKind kind,
      String vessel,
      double fill,
      double froth,
      double caught,
      double steam,
      double thick,
      boolean boils,
      String tint) {}

  /** One way to do a step. */
  record WayView(String key, String words, boolean chosen) {}

  /** What a step leaves to choose. */
  record WaysView(String asks, List<WayView> ways) {}

  /** What goes in at a step, as weighed or as the card says, g. */
  record PutView(String key, String name, double grams) {}

  /** What was read, and how many minutes ago. */
  record MeasuredView(double celsius, @Nullable Double ph, double minutesAgo) {}

  /** What calls away, and how many minutes until gone or back. */
  record CallingView(String words, boolean away, double minutes) {}

  /** Something asked for, and what it came to. */
  record ReachedView(String words, String wanted, String value, boolean ok) {}

  /**
   * What a step that went otherwise cost.
   *
   * @param words what was otherwise
   * @param cost in words; empty where it cost nothing but what was lost
   */
  record DifferenceView(int step, String words, String cost, boolean lost) {}

  /** A moment of a line. */
  record LinePoint(double minute, double celsius) {}

  /** A step on a line. */
  record LineStep(String headline, double start, double end) {}

  /** A brew as a line. */
  record LineView(List<LinePoint> points, List<LineStep> steps, double minutes) {}

  /** What came of it. */
  record DebriefView(
      String lesson,
      List<ReachedView> reached,
      List<DifferenceView> differences,
      LineView yours,
      LineView good) {}

  /**
   * A practice as it stands.
   *
   * @param person whose practice it is; null for nobody's
   * @param pace 0 while it is held
   * @param leftAlone nobody did anything for an hour: its time is held
   * @param minute since the first step began, of the pot's time
   * @param looks in words
   * @param pot null before anything was put together
   * @param debrief null before the end
   */
  record PracticeView(
      UUID id,
      long version,
      @Nullable UUID person,
      String exercise,
      String title,
      String task,
      List<AimView> aims,
      double pace,
      boolean leftAlone,
      double minute,
      double stepMinutes,
      int step,
      List<PracticeStep> steps,
      boolean onHob,
      boolean stands,
      double heat,
      boolean lid,
      List<String> looks,
      @Nullable PotLook pot,
      @Nullable WaysView ways,
      List<PutView> puts,
      @Nullable MeasuredView measured,
      @Nullable CallingView calling,
      boolean over,
      @Nullable DebriefView debrief) {}
}
