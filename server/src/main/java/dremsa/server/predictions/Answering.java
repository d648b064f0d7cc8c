package dremsa.server.predictions;

import dremsa.core.brew.Brew;
import dremsa.core.check.Wearer;
import dremsa.core.keep.Climates;
import dremsa.core.kitchen.Kitchen;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.containers.Containers;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.PredictionJson;
import dremsa.server.wire.PriceJson;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Works out what is asked of a household's brew; reads, and keeps nothing. */
@Service
class Answering {
  private final Predictions predictions;
  private final Planner planner;
  private final Kitchens kitchens;
  private final Households households;
  private final LotPrices lotPrices;
  private final Containers containers;

  Answering(
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
   * The answer, as things are now. In no transaction: the model runs between the questions to the
   * database, and a connection must not be held so long that others wait for one.
   *
   * @throws Problem at the place of what is wrong with the question
   */
  PredictionJson to(UUID id, PredictionController.Question question) {
    Household household = households.of(id);
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
  private Instant starts(
      Household household, PredictionController.Question question, Kitchen kitchen, Instant now) {
    if (question.readyBy() == null) {
      return question.startAt() == null ? now : question.startAt();
    }
    return new When(question.startAt(), question.readyBy())
        .starts(planner.solve(household.id(), question, kitchen, now).reached().prediction(), now);
  }

  private PredictionJson describe(
      Household household,
      PredictionController.Question question,
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
