package dremsa.server.wire;

import dremsa.core.brew.Brew;
import dremsa.core.measure.Said;
import dremsa.core.scale.InvalidTargetException;
import dremsa.core.scale.Target;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.jspecify.annotations.Nullable;

/**
 * What is wanted. Which fields count depends on the kind.
 *
 * @param kind which of the ways to say it
 * @param amount VOLUME: to bottle; AT_HAND: of the ingredient
 * @param count BOTTLES: how many
 * @param size BOTTLES: what one holds
 * @param people PEOPLE_USES
 * @param uses PEOPLE_USES: of each person
 * @param perUse PEOPLE_USES: volume of one use
 * @param ingredient AT_HAND: its key in the formula
 */
public record TargetJson(
    @NotNull(message = "Say what kind of target it is.") Kind kind,
    @Valid @Nullable AmountJson amount,
    @Nullable Integer count,
    @Valid @Nullable AmountJson size,
    @Nullable Integer people,
    @Nullable Integer uses,
    @Valid @Nullable AmountJson perUse,
    @Nullable String ingredient) {

  /** The ways to say what is wanted. */
  public enum Kind {
    BOTTLES("bottles"),
    VOLUME("volume"),
    PEOPLE_USES("people and uses"),
    AT_HAND("herb at hand"),
    FULL_POT("full pot");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** As in a list of what can be measured by: {@code "full pot"}. */
    public String words() {
      return words;
    }
  }

  public static TargetJson volume(double millilitres) {
    return new TargetJson(
        Kind.VOLUME, new AmountJson(millilitres, "ml"), null, null, null, null, null, null);
  }

  public static TargetJson bottles(int count, double sizeMl) {
    return new TargetJson(
        Kind.BOTTLES, null, count, new AmountJson(sizeMl, "ml"), null, null, null, null);
  }

  /** The core's target; a field out of range becomes a problem at its place. */
  public Target toCore(Brew brew) {
    try {
      return switch (kind) {
        case VOLUME -> new Target.Volume(need("amount", amount).millilitres("target.amount", 1));
        case BOTTLES ->
            new Target.Bottles(
                need("count", count), need("size", size).millilitres("target.size", 1));
        case PEOPLE_USES ->
            new Target.PeopleUses(
                need("people", people),
                need("uses", uses),
                need("perUse", perUse).millilitres("target.perUse", 1));
        case AT_HAND -> atHand(brew);
        case FULL_POT -> new Target.FullPot();
      };
    } catch (InvalidTargetException e) {
      throw Problem.invalid(
          FieldProblem.range(
              "target." + fieldOf(e.field()), finite(e.value()), words(e), e.low(), e.high()));
    }
  }

  private Target atHand(Brew brew) {
    String key = need("ingredient", ingredient);
    if (brew.partsOf(key) <= 0) {
      throw Problem.invalid(
          FieldProblem.of(
              "target.ingredient", key, "'" + key + "' is not an ingredient to start from here."));
    }
    double density = brew.materialOf(key).orElseThrow().density();
    return new Target.AtHand(key, need("amount", amount).grams("target.amount", density));
  }

  /** Where the number behind a core field was typed. */
  public String amountField() {
    return switch (kind) {
      case BOTTLES -> "target.count";
      case PEOPLE_USES -> "target.uses";
      default -> "target.amount.value";
    };
  }

  /** The number behind {@link #amountField}; null where there is none. */
  public @Nullable Object typed() {
    return switch (kind) {
      case BOTTLES -> count;
      case PEOPLE_USES -> uses;
      case FULL_POT -> null;
      default -> amount == null ? null : amount.value();
    };
  }

  private String fieldOf(String coreField) {
    return switch (coreField) {
      case "sizeMl" -> "size.value";
      case "mlPerUse" -> "perUse.value";
      case "count", "people", "uses" -> coreField;
      default -> amountField().substring("target.".length());
    };
  }

  private static String words(InvalidTargetException e) {
    String unit =
        switch (e.field()) {
          case "grams" -> " g";
          case "millilitres", "sizeMl", "mlPerUse" -> " mL";
          default -> "";
        };
    return Said.of(
        "%s to %s%s can be asked for here, not %s%s.",
        round(e.low()), round(e.high()), unit, round(e.value()), unit);
  }

  private static String round(double value) {
    if (!Double.isFinite(value)) {
      return "that";
    }
    return Said.figures(value, 4);
  }

  private static Object finite(double value) {
    return Double.isFinite(value) ? (Object) value : String.valueOf(value);
  }

  private static <T> T need(String field, @Nullable T value) {
    if (value == null) {
      throw Problem.invalid(FieldProblem.of("target." + field, null, "This is missing."));
    }
    return value;
  }
}
