package dremsa.core.outlook;

import dremsa.core.acid.Sourness;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Landmark;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Ranges;
import dremsa.core.brew.Ranges.Kind;
import dremsa.core.brew.Ranges.Moved;
import dremsa.core.brew.Ranges.Range;
import dremsa.core.brew.Ranges.Result;
import dremsa.core.brew.VesselChoice;
import dremsa.core.keep.Assumption;
import dremsa.core.keep.Hours;
import dremsa.core.keep.Keeping;
import dremsa.core.keep.KeepingClass;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A batch with all its ranges.
 *
 * @param ranges of every estimated figure, by its name
 * @param influences what moves each figure, the most first
 * @param otherClasses what it may count as within what is not known, other than it does
 */
public record Outlook(
    Map<String, Range> ranges, List<Ranges.Influence> influences, Set<KeepingClass> otherClasses) {
  public static final String BOTTLED = "bottled";
  public static final String HELD = "held";
  public static final String STEAM = "steam";
  public static final String CLOTH = "cloth";
  public static final String TIME = "time";

  /** Of the first plant. */
  public static final String STRENGTH = "strength";

  public static final String ALCOHOL = "alcohol";
  public static final String PH = "ph";

  /** Cold, at 20 °C. */
  public static final String THICKNESS = "thickness";

  public static final String THICKNESS_HOT = "thicknessHot";

  /** Hours from the first step until it runs out. */
  public static final String KEEPS = "keeps";

  /** Before the key of a plant: its own strength. */
  public static final String STRENGTH_OF = "strength:";

  /** Before the name of a landmark: the minute at which it is reached. */
  public static final String REACHED = "reached:";

  /**
   * The runs around a batch, each figure at its ends: they hang on no day, and are most of the
   * work.
   *
   * @param around the middle of them
   */
  public record Runs(Prediction around, List<Moved<Prediction>> moved) {
    public Runs {
      moved = List.copyOf(moved);
    }

    /** Makes them. */
    public static Runs of(Brew brew, double scale, VesselChoice vessels, Facts facts) {
      return new Runs(
          Ranges.coarse(brew, scale, vessels, facts),
          Ranges.moved(brew, scale, vessels, facts, run -> run));
    }
  }

  /** A run and how long its brew keeps. */
  private record Judged(Prediction prediction, Keeping.Lasting lasting) {}

  /** Nothing is known of how sure it is. */
  public static Outlook none() {
    return new Outlook(Map.of(), List.of(), Set.of());
  }

  /**
   * Works the ranges of a batch out.
   *
   * @param prediction of the batch, fine
   * @param keeping how it will stand
   */
  public static Outlook of(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Facts facts,
      Prediction prediction,
      Keeping keeping) {
    return of(brew, prediction, keeping, Runs.of(brew, scale, vessels, facts));
  }

  /**
   * Works the ranges of a batch out of runs that were made already.
   *
   * @param runs of the same brew, scale, vessels and facts
   */
  public static Outlook of(Brew brew, Prediction prediction, Keeping keeping, Runs runs) {
    Judged middle = judged(brew, prediction, keeping);
    Judged around = judged(brew, runs.around(), keeping);
    List<Moved<Judged>> moved = new ArrayList<>();
    for (Moved<Prediction> each : runs.moved()) {
      moved.add(
          new Moved<>(
              each.what(),
              each.figure(),
              judged(brew, each.low(), keeping),
              judged(brew, each.high(), keeping)));
    }
    for (Assumption.Moved each : Assumption.moved(brew, around.prediction(), keeping)) {
      moved.add(
          new Moved<>(
              each.what(),
              each.figure(),
              new Judged(around.prediction(), each.low()),
              new Judged(around.prediction(), each.high())));
    }
    Ranges.Study study = Ranges.study(middle, around, moved, results(prediction, keeping));
    Map<String, Range> ranges = new LinkedHashMap<>(study.ranges());
    Sourness.Ph ph = prediction.contents().ph();
    if (ph.exists()) {
      // Acids and bases carry their own ends, the unlucky way round.
      ranges.put(PH, new Range(ph.low(), ph.value(), ph.high()));
    }
    Set<KeepingClass> others = new LinkedHashSet<>();
    for (Moved<Judged> each : moved) {
      others.add(each.low().lasting().keepingClass());
      others.add(each.high().lasting().keepingClass());
    }
    others.remove(middle.lasting().keepingClass());
    return new Outlook(ranges, study.influences(), others);
  }

  private static Judged judged(Brew brew, Prediction prediction, Keeping keeping) {
    return new Judged(prediction, keeping.lasts(brew, prediction));
  }

  private static List<Result<Judged>> results(Prediction prediction, Keeping keeping) {
    List<Result<Judged>> all = new ArrayList<>();
    positive(all, BOTTLED, j -> j.finished().millilitres());
    positive(all, HELD, j -> j.account().held());
    positive(all, STEAM, j -> j.account().steam());
    positive(all, CLOTH, j -> j.account().cloth());
    positive(all, TIME, j -> j.steps().get(j.steps().size() - 1).endMinute());
    for (int i = 0; i < prediction.strengths().size(); i++) {
      int plant = i;
      String name = STRENGTH_OF + prediction.strengths().get(i).ingredient();
      all.add(percent(name, plant));
      if (i == 0) {
        all.add(percent(STRENGTH, plant));
      }
    }
    all.add(new Result<>(ALCOHOL, Kind.PERCENT, j -> j.prediction().finished().alcoholPercent()));
    if (prediction.contents().ph().exists()) {
      all.add(new Result<>(PH, Kind.PLAIN, j -> j.prediction().contents().phLikely()));
    }
    positive(all, THICKNESS, j -> j.finished().thickness());
    positive(all, THICKNESS_HOT, j -> j.finished().thicknessHot());
    for (Landmark landmark : Landmark.values()) {
      if (landmark.reachedIn(prediction).isPresent()) {
        positive(all, REACHED + landmark.name(), j -> landmark.reachedIn(j).orElse(Double.NaN));
      }
    }
    all.add(
        new Result<>(
            KEEPS, Kind.POSITIVE, j -> Hours.between(keeping.start(), j.lasting().runsOut())));
    return all;
  }

  private static Result<Judged> percent(String name, int plant) {
    return new Result<>(
        name, Kind.PERCENT, j -> j.prediction().strengths().get(plant).extracted() * 100);
  }

  private static void positive(
      List<Result<Judged>> all, String name, java.util.function.ToDoubleFunction<Prediction> of) {
    all.add(new Result<>(name, Kind.POSITIVE, j -> of.applyAsDouble(j.prediction())));
  }
}
