package dremsa.core.plan;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.VesselChoice;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.timetable.Job;
import dremsa.core.timetable.Ordering;
import dremsa.core.timetable.Task;
import dremsa.core.timetable.Timetable;
import dremsa.core.timetable.Workroom;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Several brews on one evening, over the same hobs, blender, strainers and hands: what is done
 * when. What stands for a night or longer is left standing; its later steps belong to another day.
 *
 * @param lines what hands do, in order
 * @param starts when each brew begins, minutes since the beginning
 * @param lanes what each brew goes through, for a picture
 * @param table the timetable behind it
 */
public record BrewDay(List<Line> lines, List<Double> starts, List<Lane> lanes, Timetable table) {
  /** What stands longer than this is not waited for, min. */
  private static final double LEFT_STANDING = 6 * 60;

  private static final String HOB = "hob";
  private static final String BLENDER = "blender";

  /**
   * A brew to be made.
   *
   * @param prediction with the times of its steps
   * @param notBefore minute at which it may begin
   * @param readyBy minute by which it should be in its bottles; empty where it does not matter
   */
  public record Run(
      String id,
      String name,
      Brew brew,
      VesselChoice vessels,
      Prediction prediction,
      double notBefore,
      OptionalDouble readyBy) {}

  /**
   * Something to do.
   *
   * @param minute since the beginning
   * @param minutes of work
   * @param run number of the brew
   * @param words {@code "Pour just-boiled water over"}
   */
  public record Line(double minute, double minutes, int run, String words) {}

  /**
   * A stretch of a brew.
   *
   * @param hands hands are at work
   * @param onHob it stands on a hob that is on
   */
  public record Span(double from, double to, boolean hands, boolean onHob, String words) {}

  /**
   * A brew along the evening.
   *
   * @param standsOn what it is left doing at the end of the evening; empty where it is in its
   *     bottles
   */
  public record Lane(String id, String name, List<Span> spans, String standsOn) {}

  public BrewDay {
    lines = List.copyOf(lines);
    starts = List.copyOf(starts);
    lanes = List.copyOf(lanes);
  }

  /** Work that hands do, minutes. */
  public double hands() {
    return lines.stream().mapToDouble(Line::minutes).sum();
  }

  /** Works an evening out. */
  public static BrewDay of(Kitchen kitchen, List<Run> runs, List<Workroom.Quiet> quiet) {
    return of(kitchen, runs, quiet, Ordering.USUAL);
  }

  /**
   * Works an evening out.
   *
   * @param quiet spans in which no hands are to be had, minutes since the beginning
   * @param moves how long it is looked for, as {@link Ordering#of(Workroom, long)} takes it
   */
  public static BrewDay of(
      Kitchen kitchen, List<Run> runs, List<Workroom.Quiet> quiet, long moves) {
    List<Job> jobs = runs.stream().map(BrewDay::job).toList();
    Map<String, Integer> there = new HashMap<>();
    there.put(HOB, Math.max(1, kitchen.hobs().size()));
    Timetable table = Ordering.of(new Workroom(jobs, there, 1, quiet), moves);
    List<Line> lines = new ArrayList<>();
    List<Double> starts = new ArrayList<>();
    List<Lane> lanes = new ArrayList<>();
    for (int run = 0; run < jobs.size(); run++) {
      Job job = jobs.get(run);
      List<Span> spans = new ArrayList<>();
      starts.add(0.0);
      for (Timetable.Item item : table.items()) {
        if (item.job() != run) {
          continue;
        }
        Task task = job.tasks().get(item.task());
        if (item.task() == 0) {
          starts.set(run, item.start());
        }
        boolean hob = task.uses().contains(HOB);
        if (item.handsEnd() > item.start()) {
          lines.add(new Line(item.start(), item.handsEnd() - item.start(), run, task.words()));
          spans.add(new Span(item.start(), item.handsEnd(), true, hob, task.words()));
        }
        double to = goesOn(table, run, item);
        if (to > item.handsEnd()) {
          spans.add(new Span(item.handsEnd(), to, false, hob, task.words()));
        }
      }
      lanes.add(new Lane(job.id(), job.name(), spans, standsOn(runs.get(run))));
    }
    lines.sort(java.util.Comparator.comparingDouble(Line::minute));
    return new BrewDay(lines, starts, lanes, table);
  }

  /** A rest lasts until its brew is gone on with. */
  private static double goesOn(Timetable table, int run, Timetable.Item item) {
    return table.items().stream()
        .filter(other -> other.job() == run && other.task() == item.task() + 1)
        .mapToDouble(Timetable.Item::start)
        .findFirst()
        .orElse(item.end());
  }

  private static String standsOn(Run run) {
    int left = leftStanding(run.brew().formula(), run.prediction());
    return left < 0 ? "" : run.brew().formula().steps().get(left).headline();
  }

  /** Work that a brew makes until it is in its bottles, whenever that is, minutes. */
  static double hands(Formula formula, Prediction prediction) {
    return prediction.steps().stream()
        .mapToDouble(outcome -> hands(formula.steps().get(outcome.index()), outcome))
        .sum();
  }

  /** All of a step that hands do; of one that goes on alone, setting it on. */
  private static double hands(Step step, StepOutcome outcome) {
    return step.needsHands() ? outcome.minutes() : Math.min(step.handsMinutes(), outcome.minutes());
  }

  /** How long a brew keeps somebody at home, until it is in its bottles or left standing, min. */
  static double sitting(Formula formula, Prediction prediction) {
    int left = leftStanding(formula, prediction);
    return prediction.steps().stream()
        .filter(outcome -> left < 0 || outcome.index() < left)
        .mapToDouble(StepOutcome::minutes)
        .sum();
  }

  /** The first step that lasts a night or longer; −1 where none does. */
  private static int leftStanding(Formula formula, Prediction prediction) {
    List<Step> steps = formula.steps();
    for (StepOutcome outcome : prediction.steps()) {
      Step step = steps.get(outcome.index());
      if (!step.needsHands() && outcome.minutes() > LEFT_STANDING) {
        return outcome.index();
      }
    }
    return -1;
  }

  private static Job job(Run run) {
    List<Step> steps = run.brew().formula().steps();
    int left = leftStanding(run.brew().formula(), run.prediction());
    List<Task> tasks = new ArrayList<>();
    Set<String> vessels = new LinkedHashSet<>();
    for (StepOutcome outcome : run.prediction().steps()) {
      Step step = steps.get(outcome.index());
      if (left >= 0 && outcome.index() > left) {
        break;
      }
      if (!outcome.vessel().isEmpty()) {
        vessels.clear();
        vessels.add("vessel " + outcome.vessel());
      }
      tasks.add(task(step, outcome, vessels, outcome.index() == left));
    }
    return new Job(run.id(), run.name(), tasks, run.notBefore(), run.readyBy());
  }

  private static Task task(Step step, StepOutcome outcome, Set<String> vessels, boolean left) {
    Set<String> uses = new HashSet<>(vessels);
    if (step.onHob()) {
      uses.add(HOB);
    }
    if (step.kind() == StepKind.BLEND) {
      uses.add(BLENDER);
    }
    step.strainer().ifPresent(tool -> uses.add(tool.words()));
    double minutes = outcome.minutes();
    if (step.needsHands()) {
      return new Task(step.headline(), minutes, 0, Double.POSITIVE_INFINITY, uses, !step.onHob());
    }
    double hands = hands(step, outcome);
    if (left) {
      // Nobody waits for it: put by, it is done with for the evening.
      return new Task(step.headline(), hands, 0, Double.POSITIVE_INFINITY, vessels, false);
    }
    double rest = minutes - hands;
    double most = step.window().map(Window::longest).orElse(Double.POSITIVE_INFINITY) - hands;
    return new Task(step.headline(), hands, rest, Math.max(rest, most), uses, false);
  }
}
