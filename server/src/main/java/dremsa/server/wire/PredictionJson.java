package dremsa.server.wire;

import dremsa.core.acid.Sourness;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Finished;
import dremsa.core.brew.Landmark;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Ranges.Influence;
import dremsa.core.brew.Ranges.Range;
import dremsa.core.brew.StepOutcome;
import dremsa.core.brew.Thickness;
import dremsa.core.brew.TracePoint;
import dremsa.core.brew.VesselChoice;
import dremsa.core.brew.WaterAccount;
import dremsa.core.check.Caution;
import dremsa.core.check.Cautions;
import dremsa.core.check.Handling;
import dremsa.core.check.SelfCheck;
import dremsa.core.check.Wearer;
import dremsa.core.fill.Filling;
import dremsa.core.formula.Step;
import dremsa.core.keep.Assumption;
import dremsa.core.keep.KeepingClass;
import dremsa.core.keep.Verdict;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.material.Property;
import dremsa.core.material.Weighed;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.outlook.Outlook;
import dremsa.core.scale.GoesIn;
import dremsa.core.scale.Load;
import dremsa.core.scale.Portion;
import dremsa.core.scale.Scaling;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A prediction as screens need it: every figure of a brew that is shown comes from here.
 *
 * @param ranges of every estimated figure, by its name ({@link Outlook}); empty where none was
 *     asked for
 * @param mayCountAs classes that it may belong to within what is not known, other than it does
 */
public record PredictionJson(
    double scale,
    RangeJson bottledMl,
    RangeJson strengthPercent,
    @Nullable RangeJson thicknessMpas,
    @Nullable RangeJson keepsHours,
    @Nullable PhJson ph,
    double alcoholPercent,
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
    List<FindingJson> findings,
    List<LoadJson> loads,
    @Nullable BatchCostJson cost,
    FillingJson filling,
    List<InfluenceJson> influences,
    Map<String, RangeJson> ranges,
    List<String> mayCountAs,
    List<WayJson> ways,
    List<ConflictJson> conflicts,
    @Nullable Instant startsAt,
    @Nullable Instant freeFrom) {

  /**
   * A thing that is needed while another brew holds it; nothing else of its kind is free.
   *
   * @param what as the household calls it
   * @param brew that holds it
   * @param until it is usually free again
   */
  public record ConflictJson(String what, String brew, UUID batch, Instant until) {}

  /**
   * The same for a time, with what other brews hold of what it needs.
   *
   * @param starts when its first step begins
   * @param free when all that it needs is free; null where nothing is in the way
   */
  public PredictionJson plannedFor(
      Instant starts, List<ConflictJson> found, @Nullable Instant free) {
    return new PredictionJson(
        scale,
        bottledMl,
        strengthPercent,
        thicknessMpas,
        keepsHours,
        ph,
        alcoholPercent,
        amounts,
        water,
        vessels,
        steps,
        trace,
        landmarks,
        thickness,
        strengths,
        totalMinutes,
        bottledAt,
        keeping,
        findings,
        loads,
        cost,
        filling,
        influences,
        ranges,
        mayCountAs,
        ways,
        found,
        starts,
        free);
  }

  /**
   * Containers proposed for the brew.
   *
   * @param advice what to do or to know first
   */
  public record FillingJson(List<FilledJson> containers, List<String> advice) {
    public static FillingJson of(Filling filling) {
      return new FillingJson(
          filling.filled().stream()
              .map(f -> new FilledJson(f.kind(), f.sizeMl(), f.millilitres(), f.owned()))
              .toList(),
          filling.advice());
    }
  }

  /** A container and what goes into it; owned: one of the household's own is free. */
  public record FilledJson(Container container, double sizeMl, double millilitres, boolean owned) {}

  /** A step that takes several fillings of blender or strainer. */
  public record LoadJson(int step, String equipment, int fillings) {}

  /**
   * What the batch costs in materials.
   *
   * @param total in the household's currency, without what has no price
   * @param ofShopPrice share of the shop's price; null without one
   * @param unpriced keys of ingredients for which no price is known
   */
  public record BatchCostJson(
      double total, double per100Ml, @Nullable Double ofShopPrice, List<String> unpriced) {}

  /**
   * What one uncertain figure does to a result.
   *
   * @param result bottled (mL), held, steam, cloth (g), time (min), strength (%), thickness (mPa·s)
   *     or keeps (h)
   * @param atLow the result with the figure at its low
   * @param atHigh the result with the figure at its high
   */
  public record InfluenceJson(
      String result, String what, FigureJson figure, double atLow, double atHigh) {}

  /** One way of a divided batch, from the first step to its bottle. */
  public record WayJson(String name, double share, PredictionJson prediction) {}

  /**
   * A pH with its believable range.
   *
   * @param read it was measured, not estimated
   */
  public record PhJson(double low, double value, double high, boolean read) {
    public static @Nullable PhJson of(Sourness.Ph ph) {
      return ph.exists() ? new PhJson(ph.low(), ph.value(), ph.high(), ph.read()) : null;
    }
  }

  /** A value with its believable range; low and high are null where no range was reckoned. */
  public record RangeJson(@Nullable Double low, double value, @Nullable Double high) {}

  /**
   * What is measured out.
   *
   * @param scoops in the household's measures, e.g. "2 × 1 tbsp"; empty when none is owned
   * @param scoopErrorPercent how far the scoops are off
   * @param drops for what is counted in drops
   * @param weighed as the kitchen's scale shows it, g; null where it is too coarse for that
   * @param beside the same amount in other measures
   * @param scoopGrams what the scoops weigh, with the range of what a spoon of it weighs
   * @param density behind that, with its source
   */
  public record PortionJson(
      String ingredient,
      String material,
      String name,
      String inci,
      String kind,
      boolean plant,
      double grams,
      double millilitres,
      String scoops,
      double scoopErrorPercent,
      @Nullable Integer drops,
      @Nullable Double weighed,
      List<String> beside,
      @Nullable RangeJson scoopGrams,
      @Nullable FigureJson density) {}

  /** The water account, g. */
  public record WaterJson(
      double in,
      double bottled,
      double held,
      double cloth,
      double steam,
      double apart,
      double unaccounted) {}

  /** A vessel used. */
  public record VesselUseJson(VesselKind kind, String name, double capacityMl, double diameterCm) {}

  /**
   * One step with its plan.
   *
   * @param goesIn what goes in here, for what is in the vessel then
   * @param tool what it is done in or through; empty where nothing is wanted
   * @param hot what the pot is too hot for when the step begins; null where it is cool enough
   */
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
      List<String> cautions,
      List<GoesInJson> goesIn,
      String tool,
      @Nullable String hot) {}

  /**
   * What goes in at a step.
   *
   * @param dose as the formula has it, where it is not by parts: {@code "1 % of it"}
   * @param plannedGrams where it was planned otherwise
   * @param why it is otherwise than planned; empty where it is not
   * @param weighed it went in and was weighed
   */
  public record GoesInJson(
      PortionJson portion,
      String dose,
      @Nullable Double plannedGrams,
      String why,
      boolean weighed) {}

  /** A moment of the brew. */
  public record MomentJson(double minute, double celsius, double strength, double thickness) {}

  /** When it is cool enough for something; minute is null when it never was warmer. */
  public record LandmarkJson(String id, String words, double celsius, @Nullable Double minute) {}

  /** mPa·s, cold at 20 °C and at straining. */
  public record ThicknessJson(double cold, double hot, Thickness band, String words) {}

  /** Strength in one plant. */
  public record StrengthJson(String ingredient, double extractedPercent, double gramsPer100Ml) {}

  /** So many influences are told for each result: the rest moves it little. */
  private static final int TOLD = 6;

  /** What is told of a prediction beside the prediction itself. */
  public record Beside(
      Instant bottledAt,
      Verdict verdict,
      Wearer wearer,
      MeasureSystem measures,
      Outlook outlook,
      Optional<Assumption> hangsOn,
      @Nullable BatchCostJson cost,
      FillingJson filling,
      List<WayJson> ways,
      Facts facts,
      Optional<Prediction> planned) {}

  public static PredictionJson of(
      Brew brew, double scale, VesselChoice vessels, Prediction prediction, Beside beside) {
    List<StepOutcome> outcomes = prediction.steps();
    Finished finished = prediction.finished();
    double strongest =
        prediction.strengths().isEmpty() ? 0 : prediction.strengths().get(0).extracted() * 100;
    Map<String, Range> ranges = beside.outlook().ranges();
    return new PredictionJson(
        scale,
        range(ranges.get(Outlook.BOTTLED), finished.millilitres()),
        range(ranges.get(Outlook.STRENGTH), strongest),
        finished.band().isEmpty()
            ? null
            : range(ranges.get(Outlook.THICKNESS), finished.thickness()),
        ranges.containsKey(Outlook.KEEPS) ? range(ranges.get(Outlook.KEEPS), 0) : null,
        PhJson.of(prediction.contents().ph()),
        finished.alcoholPercent(),
        Scaling.portions(brew, prediction).stream()
            .map(portion -> portion(portion, beside.measures()))
            .toList(),
        water(prediction.account()),
        vessels.vessels().values().stream()
            .map(v -> new VesselUseJson(v.kind(), v.name(), v.capacityMl(), v.diameterCm()))
            .toList(),
        outcomes.stream().map(outcome -> step(brew, prediction, outcome, beside)).toList(),
        thinned(prediction.trace()),
        Arrays.stream(Landmark.values()).map(l -> landmark(l, prediction)).toList(),
        finished
            .band()
            .map(
                band ->
                    new ThicknessJson(
                        finished.thickness(), finished.thicknessHot(), band, band.words()))
            .orElse(null),
        prediction.strengths().stream()
            .map(s -> new StrengthJson(s.ingredient(), s.extracted() * 100, s.gramsPer100Ml()))
            .toList(),
        outcomes.get(outcomes.size() - 1).endMinute(),
        beside.bottledAt(),
        VerdictJson.of(beside.verdict(), beside.hangsOn()),
        SelfCheck.of(brew, prediction, beside.wearer(), beside.verdict().school()).stream()
            .map(FindingJson::of)
            .toList(),
        Load.of(brew, prediction).stream()
            .map(load -> new LoadJson(load.step(), load.equipment(), load.fillings()))
            .toList(),
        beside.cost(),
        beside.filling(),
        influences(beside.outlook().influences()),
        ranges.entrySet().stream()
            .collect(
                Collectors.toMap(
                    Map.Entry::getKey,
                    e -> range(e.getValue(), e.getValue().value()),
                    (a, b) -> a,
                    LinkedHashMap::new)),
        beside.outlook().otherClasses().stream().map(KeepingClass::words).toList(),
        beside.ways(),
        List.of(),
        null,
        null);
  }

  private static List<InfluenceJson> influences(List<Influence> all) {
    Map<String, Integer> told = new HashMap<>();
    return all.stream()
        .filter(i -> told.merge(i.result(), 1, Integer::sum) <= TOLD)
        .map(
            i ->
                new InfluenceJson(
                    i.result(), i.what(), FigureJson.of(i.figure()), i.atLow(), i.atHigh()))
        .toList();
  }

  private static RangeJson range(@Nullable Range range, double value) {
    return range == null
        ? new RangeJson(null, value, null)
        : new RangeJson(range.low(), range.value(), range.high());
  }

  private static PortionJson portion(Portion portion, MeasureSystem measures) {
    return new PortionJson(
        portion.ingredient(),
        portion.material().id(),
        portion.material().name(),
        portion.material().inci(),
        portion.material().kind().words(),
        portion.material().kind().isPlant(),
        portion.grams(),
        portion.millilitres(),
        portion.scooped().words(),
        portion.scooped().error() * 100,
        portion.drops().orElse(null),
        portion.weighed().orElse(null),
        Weighed.beside(portion.grams(), portion.millilitres(), null, measures),
        portion.scoopGrams().map(r -> range(r, r.value())).orElse(null),
        portion.material().figure(Property.DENSITY).map(FigureJson::of).orElse(null));
  }

  private static WaterJson water(WaterAccount account) {
    return new WaterJson(
        account.in(),
        account.bottled(),
        account.held(),
        account.cloth(),
        account.steam(),
        account.apart(),
        account.unaccounted());
  }

  private static StepPlanJson step(
      Brew brew, Prediction prediction, StepOutcome outcome, Beside beside) {
    Step step = brew.formula().steps().get(outcome.index());
    return new StepPlanJson(
        outcome.index(),
        step.kind().key(),
        step.headline(),
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
        Cautions.at(brew, outcome).stream().map(Caution::words).toList(),
        GoesIn.at(brew, prediction, beside.facts(), outcome.index(), beside.planned()).stream()
            .map(goes -> goesIn(goes, beside.measures()))
            .toList(),
        tool(step, outcome),
        Handling.warning(brew, outcome).orElse(null));
  }

  private static GoesInJson goesIn(GoesIn goes, MeasureSystem measures) {
    return new GoesInJson(
        portion(goes.portion(), measures),
        goes.dose(),
        goes.plannedGrams().isPresent() ? goes.plannedGrams().getAsDouble() : null,
        goes.why(),
        goes.weighed());
  }

  private static String tool(Step step, StepOutcome outcome) {
    String vessel = outcome.vessel();
    return step.strainer()
        .map(strainer -> strainer.noun() + (vessel.isEmpty() ? "" : ", from the " + vessel))
        .orElse(vessel);
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
