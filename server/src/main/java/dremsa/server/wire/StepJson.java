package dremsa.server.wire;

import com.fasterxml.jackson.annotation.JsonInclude;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.measure.Said;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One step. Which fields count depends on the kind, as told beside each.
 *
 * @param kind wash, prepare, combine, heat, boil, waterBath, steep, soak, ferment, macerate, cool,
 *     strain, blend, add, bottle, freeze or divide
 * @param ingredients keys: wash, prepare, combine, add
 * @param window minutes {short, usual, long}: prepare, boil, waterBath, steep, soak, ferment,
 *     macerate, blend
 * @param vessel combine
 * @param liquid combine: how hot the liquid goes in
 * @param lid heat, boil; steep and cool: covered
 * @param stir heat, boil
 * @param level boil
 * @param place soak
 * @param shakeEveryDays macerate
 * @param celsius cool: to this; add: below this
 * @param way cool
 * @param tool strain
 * @param squeeze strain
 * @param container bottle
 * @param portionMl freeze
 * @param treatment prepare
 * @param part divide: what this share becomes
 * @param share divide: of the batch, above 0 and at most 1
 * @param guide what the maker is told
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record StepJson(
    @NotNull(message = "A step needs its kind.") String kind,
    @Nullable List<String> ingredients,
    @Nullable WindowJson window,
    @Nullable VesselKind vessel,
    Step.@Nullable LiquidHeat liquid,
    @Nullable Boolean lid,
    @Nullable Boolean stir,
    Step.@Nullable Level level,
    @Nullable Place place,
    @Nullable Integer shakeEveryDays,
    @Nullable Double celsius,
    Step.@Nullable CoolingWay way,
    @Nullable StrainTool tool,
    @Nullable Boolean squeeze,
    @Nullable Container container,
    @Nullable Double portionMl,
    Step.@Nullable Treatment treatment,
    @Nullable String part,
    @Nullable Double share,
    @Nullable GuideJson guide) {

  /** Minutes: early before the first, right to the last, late after; the middle is usual. */
  public record WindowJson(Double shortest, Double usual, Double longest) {
    static WindowJson of(Window window) {
      return new WindowJson(window.shortest(), window.usual(), window.longest());
    }
  }

  /** What the maker is told; every part may be empty. */
  public record GuideJson(String how, String cue, String early, String late) {
    static GuideJson of(Guide guide) {
      return new GuideJson(guide.how(), guide.cue(), guide.early(), guide.late());
    }

    Guide toCore() {
      return new Guide(text(how), text(cue), text(early), text(late));
    }

    private static String text(String value) {
      return value == null ? "" : value;
    }
  }

  public static StepJson of(Step step) {
    return step.accept(new Draft());
  }

  /** Fills what a kind of step has; spares it a constructor call of twenty arguments a kind. */
  private static final class Draft implements StepCases<StepJson> {
    private @Nullable VesselKind vessel;
    private Step.@Nullable LiquidHeat liquid;
    private @Nullable Boolean lid;
    private @Nullable Boolean stir;
    private Step.@Nullable Level level;
    private @Nullable Place place;
    private @Nullable Integer shakeEveryDays;
    private @Nullable Double celsius;
    private Step.@Nullable CoolingWay way;
    private @Nullable StrainTool tool;
    private @Nullable Boolean squeeze;
    private @Nullable Container container;
    private @Nullable Double portionMl;
    private Step.@Nullable Treatment treatment;
    private @Nullable String part;
    private @Nullable Double share;

    @Override
    public StepJson wash(Step.Wash step) {
      return done(step);
    }

    @Override
    public StepJson prepare(Step.Prepare step) {
      treatment = step.treatment();
      return done(step);
    }

    @Override
    public StepJson combine(Step.Combine step) {
      vessel = step.vessel();
      liquid = step.liquid();
      return done(step);
    }

    @Override
    public StepJson heat(Step.Heat step) {
      lid = step.lid();
      stir = step.stir();
      return done(step);
    }

    @Override
    public StepJson boil(Step.Boil step) {
      level = step.level();
      lid = step.lid();
      stir = step.stir();
      return done(step);
    }

    @Override
    public StepJson waterBath(Step.WaterBath step) {
      return done(step);
    }

    @Override
    public StepJson steep(Step.Steep step) {
      lid = step.cover();
      return done(step);
    }

    @Override
    public StepJson soak(Step.Soak step) {
      place = step.place();
      return done(step);
    }

    @Override
    public StepJson ferment(Step.Ferment step) {
      return done(step);
    }

    @Override
    public StepJson macerate(Step.Macerate step) {
      shakeEveryDays = step.shakeEveryDays();
      return done(step);
    }

    @Override
    public StepJson cool(Step.Cool step) {
      celsius = step.toC();
      way = step.way();
      lid = step.cover();
      return done(step);
    }

    @Override
    public StepJson strain(Step.Strain step) {
      tool = step.tool();
      squeeze = step.squeeze();
      return done(step);
    }

    @Override
    public StepJson blend(Step.Blend step) {
      return done(step);
    }

    @Override
    public StepJson add(Step.Add step) {
      celsius = step.belowC();
      return done(step);
    }

    @Override
    public StepJson bottle(Step.Bottle step) {
      container = step.container();
      return done(step);
    }

    @Override
    public StepJson freeze(Step.Freeze step) {
      portionMl = step.portionMl();
      return done(step);
    }

    @Override
    public StepJson divide(Step.Divide step) {
      part = step.into();
      share = step.share();
      return done(step);
    }

    private StepJson done(Step step) {
      return new StepJson(
          step.kind().key(),
          step.ingredients().isEmpty() ? null : step.ingredients(),
          step.window().map(WindowJson::of).orElse(null),
          vessel,
          liquid,
          lid,
          stir,
          level,
          place,
          shakeEveryDays,
          celsius,
          way,
          tool,
          squeeze,
          container,
          portionMl,
          treatment,
          part,
          share,
          GuideJson.of(step.guide()));
    }
  }

  /**
   * The core's steps.
   *
   * @param at path of the list, for problems
   */
  public static List<Step> toCore(List<StepJson> steps, String at) {
    List<Step> todo = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      todo.add(steps.get(i).toCore(at + "[" + i + "]"));
    }
    return todo;
  }

  /**
   * The core's step.
   *
   * @param at path of this step, for problems
   */
  public Step toCore(String at) {
    try {
      return step(at);
    } catch (IllegalArgumentException e) {
      String field = window == null ? at : at + ".window.longest";
      throw Problem.invalid(FieldProblem.of(field, null, sentence(Problem.why(e))));
    }
  }

  private static String sentence(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1) + ".";
  }

  private Step step(String at) {
    Guide told = guide == null ? Guide.NONE : guide.toCore();
    List<String> keys = ingredients == null ? List.of() : ingredients;
    return switch (kind) {
      case "wash" -> new Step.Wash(keys, told);
      case "prepare" -> new Step.Prepare(keys, need(at, "treatment", treatment), time(at), told);
      case "combine" ->
          new Step.Combine(need(at, "vessel", vessel), keys, need(at, "liquid", liquid), told);
      case "heat" -> new Step.Heat(yes(lid), yes(stir), told);
      case "boil" -> new Step.Boil(need(at, "level", level), yes(lid), yes(stir), time(at), told);
      case "waterBath" -> new Step.WaterBath(time(at), told);
      case "steep" -> new Step.Steep(yes(lid), time(at), told);
      case "soak" -> new Step.Soak(need(at, "place", place), time(at), told);
      case "ferment" -> new Step.Ferment(time(at), told);
      case "macerate" ->
          new Step.Macerate(
              (int) number(at, "shakeEveryDays", need(at, "shakeEveryDays", shakeEveryDays), 1, 60),
              time(at),
              told);
      case "cool" ->
          new Step.Cool(
              number(at, "celsius", need(at, "celsius", celsius), 0, 100),
              need(at, "way", way),
              yes(lid),
              told);
      case "strain" -> new Step.Strain(need(at, "tool", tool), yes(squeeze), told);
      case "blend" -> new Step.Blend(time(at), told);
      case "add" ->
          new Step.Add(keys, number(at, "celsius", need(at, "celsius", celsius), 0, 100), told);
      case "bottle" -> new Step.Bottle(need(at, "container", container), told);
      case "freeze" ->
          new Step.Freeze(number(at, "portionMl", need(at, "portionMl", portionMl), 1, 5000), told);
      case "divide" ->
          new Step.Divide(
              need(at, "part", part),
              number(at, "share", need(at, "share", share), 0.001, 1),
              told);
      default ->
          throw Problem.invalid(
              FieldProblem.of(at + ".kind", kind, "There is no step '" + kind + "'."));
    };
  }

  private Window time(String at) {
    WindowJson given = need(at, "window", window);
    double most = Window.MOST_MINUTES;
    double low =
        number(at, "window.shortest", need(at, "window.shortest", given.shortest), 0, most);
    double mid = number(at, "window.usual", need(at, "window.usual", given.usual), low, most);
    double high =
        number(at, "window.longest", need(at, "window.longest", given.longest), mid, most);
    return new Window(low, mid, high);
  }

  private static double number(String at, String field, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw Problem.invalid(
          FieldProblem.range(
              at + "." + field,
              Double.isFinite(value) ? (Object) value : String.valueOf(value),
              Said.of("It must be %s to %s.", low, high),
              low,
              high));
    }
    return value;
  }

  private static boolean yes(@Nullable Boolean value) {
    return Boolean.TRUE.equals(value);
  }

  private static <T> T need(String at, String field, @Nullable T value) {
    if (value == null) {
      throw Problem.invalid(FieldProblem.of(at + "." + field, null, "This is missing."));
    }
    return value;
  }
}
