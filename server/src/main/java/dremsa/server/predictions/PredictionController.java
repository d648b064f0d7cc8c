package dremsa.server.predictions;

import dremsa.core.brew.Brew;
import dremsa.core.check.Wearer;
import dremsa.core.formula.Formula;
import dremsa.core.keep.Climates;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Kitchen;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.containers.Containers;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.wire.ChangeJson;
import dremsa.server.wire.FormulaJson;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.MakeJson;
import dremsa.server.wire.PlannedStep;
import dremsa.server.wire.PredictionJson;
import dremsa.server.wire.PriceJson;
import dremsa.server.wire.TargetJson;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.ExampleObject;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PredictionController {
  private static final String BOTTLES =
      """
      {"formulaId": "lemon-balm-spray",
       "target": {"kind": "BOTTLES", "count": 2, "size": {"value": 250, "unit": "ml"}}}
      """;

  private static final String THICK =
      """
      {"formulaId": "linseed-gel", "choices": {"gel-straining": "hot-sieved"},
       "target": {"kind": "VOLUME", "amount": {"value": 12, "unit": "us-floz"}},
       "make": {"kind": "THICKNESS", "value": 400}, "school": "PRACTICE", "cleanWorking": true}
      """;

  private final Predictions predictions;
  private final Planner planner;
  private final Kitchens kitchens;
  private final Households households;
  private final LotPrices lotPrices;
  private final Containers containers;

  PredictionController(
      Predictions predictions,
      Planner planner,
      Kitchens kitchens,
      Households households,
      LotPrices lotPrices,
      Containers containers) {
    this.predictions = predictions;
    this.planner = planner;
    this.kitchens = kitchens;
    this.households = households;
    this.lotPrices = lotPrices;
    this.containers = containers;
  }

  /**
   * What is asked.
   *
   * @param formulaId of a known formula; or give the formula itself
   * @param formula given inline
   * @param variant id of one of the variants offered for the formula
   * @param changes beyond the variant, made in their order
   * @param choices the choice taken in each school of the method, by their ids
   * @param kitchen instead of the household's
   * @param target what is wanted
   * @param make what it is to be like: a ratio, a strength or a thickness
   * @param steps what is planned otherwise than usual; indices count in the changed formula
   * @param pours the bottle of the shelf behind each brew used as an ingredient
   * @param school instead of the household's
   * @param cleanWorking confirmed: sterilised bottle, strained fine, fridge at 5 °C
   * @param wearer for whom it is; an adult scalp when left out
   * @param prices by ingredient key, for the cost; those of the lots on hand when left out
   * @param shopPrice of what it replaces
   * @param startAt when the first step begins; now when left out
   * @param readyBy when the last step is over, instead
   * @param ranges whether ranges and what makes them are wanted; they are when left out
   */
  record Question(
      @Nullable String formulaId,
      @Valid @Nullable FormulaJson formula,
      @Nullable String variant,
      @Size(max = 40, message = "At most 40 changes.") @Nullable List<@Valid ChangeJson> changes,
      @Size(max = 20, message = "At most 20 choices.") @Nullable Map<String, String> choices,
      @Valid @Nullable KitchenJson kitchen,
      @NotNull(message = "Say what is wanted.") @Valid TargetJson target,
      @Valid @Nullable MakeJson make,
      @Size(max = Formula.MOST_STEPS, message = "At most 60 steps.")
          @Nullable List<@Valid PlannedStep> steps,
      @Size(max = 20, message = "At most 20 bottles.") @Nullable Map<String, UUID> pours,
      @Nullable School school,
      @Nullable Boolean cleanWorking,
      @Nullable Wearer wearer,
      @Size(max = 40, message = "At most 40 prices.")
          @Nullable Map<String, @Valid PriceJson> prices,
      @Valid @Nullable PriceJson shopPrice,
      @Nullable Instant startAt,
      @Nullable Instant readyBy,
      @Nullable Boolean ranges)
      implements Plan {}

  @Operation(
      summary = "How a brew would go, for a target, in a kitchen; keeps nothing",
      description =
          "Takes a formula by id or inline, with a variant, changes or choices of school; the"
              + " household's kitchen or another; and a target. Answers amounts, the water account,"
              + " the trace, thickness, loads, cost, the discard date and its reasons, each with its"
              + " range and what moves it most. A divided formula answers each way too.",
      requestBody =
          @io.swagger.v3.oas.annotations.parameters.RequestBody(
              content =
                  @Content(
                      mediaType = "application/json",
                      examples = {
                        @ExampleObject(name = "two bottles of a known formula", value = BOTTLES),
                        @ExampleObject(name = "a gel of a wanted thickness", value = THICK)
                      })))
  @WithoutTurn
  @Transactional(readOnly = true)
  @PostMapping("/api/predictions")
  PredictionJson predict(
      @AuthenticationPrincipal Member member, @Valid @RequestBody Question question) {
    Household household = households.of(member.household());
    Kitchen kitchen =
        question.kitchen() == null ? kitchens.of(household.id()) : kitchen(question.kitchen());
    Instant now = households.now(household);
    Instant starts = starts(household, question, kitchen, now);
    Planner.Planned planned =
        question.kitchen() == null
            ? planner.solveFree(household.id(), question, kitchen, starts, now)
            : planner.solve(household.id(), question, kitchen, now);
    Brew brew = planned.reached().brew();
    PredictionJson answer = describe(household, question, planned, brew, starts, now);
    return answer.plannedFor(
        starts,
        planned.conflicts().stream()
            .map(
                held ->
                    new PredictionJson.ConflictJson(
                        held.name(), held.brew(), held.batch(), held.until()))
            .toList(),
        planned.conflicts().isEmpty()
            ? null
            : planner.freeFrom(household.id(), question, kitchen, starts, now).orElse(null));
  }

  /** A time in the past can be asked about, but nothing can be ready by one. */
  private Instant starts(Household household, Question question, Kitchen kitchen, Instant now) {
    if (question.readyBy() == null) {
      return question.startAt() == null ? now : question.startAt();
    }
    return new When(question.startAt(), question.readyBy())
        .starts(planner.solve(household.id(), question, kitchen, now).reached().prediction(), now);
  }

  private PredictionJson describe(
      Household household,
      Question question,
      Planner.Planned planned,
      Brew brew,
      Instant starts,
      Instant now) {
    return predictions.describe(
        new Predictions.Batched(
            brew,
            planned.reached().scale(),
            planned.reached().vessels(),
            planned.reached().prediction(),
            planned.facts()),
        new Predictions.Asked(
            starts,
            household.zone(),
            question.school() == null ? household.school() : question.school(),
            Boolean.TRUE.equals(question.cleanWorking()),
            question.kitchen() == null
                ? kitchens.climates(household.id())
                : Climates.always(brew.kitchen().climate()),
            planned.ages(),
            question.wearer() == null ? Wearer.ADULT : question.wearer(),
            household.measureSystem(),
            prices(household.id(), question.prices(), brew),
            shopPer100Ml(question.shopPrice()),
            new Predictions.Fill(
                question.target().toCore(brew), containers.of(household.id()), now),
            !Boolean.FALSE.equals(question.ranges())));
  }

  private static Kitchen kitchen(KitchenJson json) {
    try {
      return json.toCore();
    } catch (IllegalArgumentException e) {
      throw Problem.invalid(
          FieldProblem.of("kitchen", null, "Not possible: " + e.getMessage() + "."));
    }
  }

  /** Prices by ingredient key: those given, else those of the lots on hand. */
  private @Nullable Map<String, Double> prices(
      UUID household, @Nullable Map<String, PriceJson> prices, Brew brew) {
    Map<String, Double> perGram = new HashMap<>();
    if (prices == null) {
      Map<String, Double> ofLots = lotPrices.perGram(household);
      brew.formula()
          .ingredients()
          .forEach(
              i -> {
                if (ofLots.containsKey(i.material())) {
                  perGram.put(i.key(), ofLots.get(i.material()));
                }
              });
      return perGram.isEmpty() ? null : perGram;
    }
    prices.forEach(
        (key, price) -> {
          String at = "prices." + key;
          double density =
              brew.materialOf(key)
                  .orElseThrow(
                      () ->
                          Problem.invalid(
                              FieldProblem.of(at, key, "'" + key + "' is no ingredient here.")))
                  .density();
          perGram.put(
              key, price.money() / positive(price.amount().grams(at + ".amount", density), at));
        });
    return perGram;
  }

  private static @Nullable Double shopPer100Ml(@Nullable PriceJson price) {
    return price == null
        ? null
        : 100
            * price.money()
            / positive(price.amount().millilitres("shopPrice.amount", 1), "shopPrice");
  }

  private static double positive(double amount, String at) {
    if (!(amount > 0 && amount < 1e7)) {
      throw Problem.invalid(
          FieldProblem.of(
              at + ".amount.value", String.valueOf(amount), "More than nothing, please."));
    }
    return amount;
  }
}
