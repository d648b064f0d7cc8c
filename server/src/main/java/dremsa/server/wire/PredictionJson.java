package dremsa.server.wire;

import dremsa.core.brew.Brew;
import dremsa.core.brew.Landmark;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Ranges.Range;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.Thickness;
import dremsa.core.brew.TracePoint;
import dremsa.core.brew.VesselChoice;
import dremsa.core.brew.WaterAccount;
import dremsa.core.check.Caution;
import dremsa.core.check.Cautions;
import dremsa.core.check.Finding;
import dremsa.core.check.SelfCheck;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepWords;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.scale.Portion;
import dremsa.core.scale.Scaling;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A prediction as screens need it: every figure of a brew that is shown comes from here. */
public record PredictionJson(
    double scale,
    RangeJson bottledMl,
    RangeJson strengthPercent,
    List<PortionJson> amounts,
    WaterJson water,
    List<VesselUseJson> vessels,
    List<StepPlanJson> steps,
    List<MomentJson> trace,
    List<LandmarkJson> landmarks,
    @Nullable ThicknessJson thickness,
    List<StrengthJson> strengths,
    double totalMinutes,
    Instant bottledAt,
    VerdictJson keeping,
    List<FindingJson> findings) {

  /** A value with its believable range; low and high are null where no range was reckoned. */
  public record RangeJson(@Nullable Double low, double value, @Nullable Double high) {}

  /**
   * What is measured out.
   *
   * @param scoops in the household's measures, e.g. "2 × 1 tbsp"; empty when none is owned
   * @param scoopErrorPercent how far the scoops are off
   * @param drops for what is counted in drops
   */
  public record PortionJson(
      String ingredient,
      String name,
      String inci,
      String kind,
      boolean plant,
      double grams,
      double millilitres,
      String scoops,
      double scoopErrorPercent,
      @Nullable Integer drops) {}

  /** The water account, g. */
  public record WaterJson(
      double in, double bottled, double held, double cloth, double steam, double unaccounted) {}

  /** A vessel used. */
  public record VesselUseJson(VesselKind kind, String name, double capacityMl, double diameterCm) {}

  /** One step with its plan. */
  public record StepPlanJson(
      int index,
      String kind,
      String headline,
      boolean needsHands,
      StepJson.@Nullable WindowJson window,
      StepJson.GuideJson guide,
      double startMinute,
      double endMinute,
      double startC,
      double endC,
      double millilitres,
      String vessel,
      List<String> ingredients,
      List<String> cautions) {}

  /** A moment of the brew. */
  public record MomentJson(double minute, double celsius, double strength, double thickness) {}

  /** When it is cool enough for something; minute is null when it never was warmer. */
  public record LandmarkJson(String id, String words, double celsius, @Nullable Double minute) {}

  /** mPa·s, cold at 20 °C and at straining. */
  public record ThicknessJson(double cold, double hot, Thickness band, String words) {}

  /** Strength in one plant. */
  public record StrengthJson(String ingredient, double extractedPercent, double gramsPer100Ml) {}

  /** What the self-check says: what, why, where and the cure. */
  public record FindingJson(
      Finding.Code code,
      Finding.Severity severity,
      String place,
      String what,
      String why,
      String cure) {
    static FindingJson of(Finding finding) {
      return new FindingJson(
          finding.code(),
          finding.severity(),
          finding.place(),
          finding.what(),
          finding.why(),
          finding.cure());
    }
  }

  /** The names of the ranged results. */
  public static final String BOTTLED = "bottled";

  public static final String STRENGTH = "strength";

  public static PredictionJson of(
      Brew brew,
      double scale,
      VesselChoice vessels,
      Prediction prediction,
      Map<String, Range> ranges,
      Instant bottledAt,
      Verdict verdict) {
    List<StepOutcome> outcomes = prediction.steps();
    double strongest =
        prediction.strengths().isEmpty() ? 0 : prediction.strengths().get(0).extracted() * 100;
    return new PredictionJson(
        scale,
        range(ranges.get(BOTTLED), prediction.finished().millilitres()),
        range(ranges.get(STRENGTH), strongest),
        Scaling.portions(brew, prediction).stream().map(PredictionJson::portion).toList(),
        water(prediction.account()),
        vessels.vessels().values().stream()
            .map(v -> new VesselUseJson(v.kind(), v.name(), v.capacityMl(), v.diameterCm()))
            .toList(),
        outcomes.stream().map(outcome -> step(brew, outcome)).toList(),
        thinned(prediction.trace()),
        Arrays.stream(Landmark.values()).map(l -> landmark(l, prediction)).toList(),
        prediction
            .finished()
            .band()
            .map(
                band ->
                    new ThicknessJson(
                        prediction.finished().thickness(),
                        prediction.finished().thicknessHot(),
                        band,
                        band.words()))
            .orElse(null),
        prediction.strengths().stream()
            .map(s -> new StrengthJson(s.ingredient(), s.extracted() * 100, s.gramsPer100Ml()))
            .toList(),
        outcomes.get(outcomes.size() - 1).endMinute(),
        bottledAt,
        VerdictJson.of(verdict),
        SelfCheck.of(brew, prediction).stream().map(FindingJson::of).toList());
  }

  private static RangeJson range(Range range, double value) {
    return range == null
        ? new RangeJson(null, value, null)
        : new RangeJson(range.low(), range.value(), range.high());
  }

  private static PortionJson portion(Portion portion) {
    return new PortionJson(
        portion.ingredient(),
        portion.material().name(),
        portion.material().inci(),
        portion.material().kind().words(),
        portion.material().kind().isPlant(),
        portion.grams(),
        portion.millilitres(),
        portion.scooped().words(),
        portion.scooped().error() * 100,
        portion.drops().orElse(null));
  }

  private static WaterJson water(WaterAccount account) {
    return new WaterJson(
        account.in(),
        account.bottled(),
        account.held(),
        account.cloth(),
        account.steam(),
        account.unaccounted());
  }

  private static StepPlanJson step(Brew brew, StepOutcome outcome) {
    Step step = brew.formula().steps().get(outcome.index());
    return new StepPlanJson(
        outcome.index(),
        StepWords.kind(step),
        StepWords.headline(step),
        step.needsHands(),
        step.window().map(StepJson.WindowJson::of).orElse(null),
        StepJson.GuideJson.of(step.guide()),
        outcome.startMinute(),
        outcome.endMinute(),
        outcome.startC(),
        outcome.endC(),
        outcome.millilitres(),
        outcome.vessel(),
        step.ingredients(),
        Cautions.at(brew, outcome.index()).stream().map(Caution::words).toList());
  }

  private static LandmarkJson landmark(Landmark landmark, Prediction prediction) {
    var minute = landmark.reachedIn(prediction);
    return new LandmarkJson(
        landmark.name(),
        landmark.words(),
        landmark.celsius(),
        minute.isPresent() ? minute.getAsDouble() : null);
  }

  /** A picture needs no more than some hundred moments; the first and the last are kept. */
  private static List<MomentJson> thinned(List<TracePoint> trace) {
    int every = Math.max(1, trace.size() / 150);
    List<MomentJson> moments = new ArrayList<>();
    for (int i = 0; i < trace.size(); i++) {
      TracePoint p = trace.get(i);
      if (i % every == 0 || i == trace.size() - 1) {
        moments.add(new MomentJson(p.minute(), p.celsius(), p.strength(), p.thickness()));
      }
    }
    return moments;
  }
}
