package dremsa.server.plan;

import dremsa.core.brew.Brew;
import dremsa.core.formula.Purpose;
import dremsa.core.keep.Climates;
import dremsa.core.keep.Keeping;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.material.Materials;
import dremsa.core.people.Ahead;
import dremsa.core.people.HeadUse;
import dremsa.core.people.Product;
import dremsa.core.people.Sheet;
import dremsa.core.people.Slot;
import dremsa.core.people.Standing;
import dremsa.core.plan.Agreed;
import dremsa.core.plan.Brewable;
import dremsa.core.plan.InKitchen;
import dremsa.core.plan.Need;
import dremsa.core.plan.Needs;
import dremsa.core.plan.PlanWeights;
import dremsa.core.plan.Situation;
import dremsa.core.plan.Supply;
import dremsa.server.accounts.Household;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.Problem;
import dremsa.server.kitchens.Kitchens;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.plan.PlanJson.PlanSettings;
import dremsa.server.predictions.LotPrices;
import dremsa.server.predictions.Planner;
import dremsa.server.shelf.HeadBottles;
import dremsa.server.washdays.WashDays;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Says to the model what a household's plan is made for. */
@Component
class Situations {
  /** More of one thing is never brewed at once. */
  private static final double MOST_ML = 2000;

  private static final LocalTime EVENING = LocalTime.of(19, 0);

  private final WashDays washDays;
  private final HeadBottles bottles;
  private final Kitchens kitchens;
  private final Formulas formulas;
  private final HouseholdMaterials materials;
  private final Planner planner;
  private final LotPrices prices;

  Situations(
      WashDays washDays,
      HeadBottles bottles,
      Kitchens kitchens,
      Formulas formulas,
      HouseholdMaterials materials,
      Planner planner,
      LotPrices prices) {
    this.washDays = washDays;
    this.bottles = bottles;
    this.kitchens = kitchens;
    this.formulas = formulas;
    this.materials = materials;
    this.planner = planner;
    this.prices = prices;
  }

  /**
   * A situation with the names of what stands in it.
   *
   * @param names of supplies, by their ids
   */
  record Told(Situation situation, Map<String, String> names) {
    /** Of which situation an answer is: the same one gives the same plan. */
    UUID basis() {
      return UUID.nameUUIDFromBytes(
          situation.toString().getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }
  }

  /** What a household's plan is made for. */
  Told of(
      Household household,
      Instant now,
      int days,
      PlanSettings settings,
      List<PlanDemandRow> demands,
      List<Agreed> agreed) {
    UUID id = household.id();
    LocalDate today = household.day(now);
    LocalDate to = today.plusDays(days - 1L);
    List<Ahead.Head> heads = washDays.heads(id, today);
    List<Standing> standing = bottles.standing(id, now);
    List<Sheet.Coming> coming = bottles.coming(id, now);
    List<Product> products =
        products(
            id,
            heads,
            Stream.concat(standing.stream(), coming.stream().map(Sheet.Coming::bottle)).toList(),
            demands,
            agreed);
    List<Need> needs = new ArrayList<>(Needs.of(heads, products, today, to));
    demands.forEach(demand -> needs.add(need(demand)));
    Map<String, String> names = new HashMap<>();
    List<Supply> supplies = new ArrayList<>();
    for (Standing bottle : standing) {
      names.put(bottle.id(), bottle.name());
      supplies.add(Supply.of(bottle, today));
    }
    Set<String> asked = new LinkedHashSet<>();
    needs.forEach(need -> need.accepted().forEach(each -> asked.add(each.formula())));
    agreed.forEach(each -> asked.add(each.formula()));
    coming.forEach(each -> asked.add(each.bottle().product().formula()));
    List<Brewable> brewables = brewables(household, now, asked, needs);
    for (Sheet.Coming each : coming) {
      names.put(each.bottle().id(), each.bottle().name());
      String formula = each.bottle().product().formula();
      supplies.add(
          Supply.coming(
              each.bottle(),
              each.ready().atZone(household.zone()),
              brewables.stream().filter(one -> one.formula().equals(formula)).findFirst()));
    }
    Situation situation =
        new Situation(
            today,
            days,
            brewables,
            needs,
            supplies,
            settings.toCore().evenings(now.atZone(household.zone()), days),
            agreed,
            settings.freezerMl(),
            settings.fridgeMl(),
            PlanWeights.USUAL);
    return new Told(situation, names);
  }

  private static Need need(PlanDemandRow demand) {
    return new Need(
        "demand/" + demand.id(),
        demand.byDay(),
        "",
        demand.words(),
        List.of(new Need.Accepted(demand.formula(), 0)),
        demand.millilitres(),
        false);
  }

  /**
   * What may be used: what is named in a routine, what was used before or stands, the most used
   * first; and for a purpose that none of them serves, what else serves it.
   */
  private List<Product> products(
      UUID household,
      List<Ahead.Head> heads,
      List<Standing> standing,
      List<PlanDemandRow> demands,
      List<Agreed> agreed) {
    List<Slot> slots =
        heads.stream()
            .flatMap(head -> head.routine().occasions().stream())
            .flatMap(occasion -> occasion.slots().stream())
            .toList();
    Set<String> known = new LinkedHashSet<>();
    slots.stream()
        .flatMap(slot -> slot.choices().stream())
        .filter(choice -> choice instanceof Slot.Choice.Brewed)
        .forEach(choice -> known.add(((Slot.Choice.Brewed) choice).formula()));
    Map<String, Long> used =
        heads.stream()
            .flatMap(head -> head.uses().stream())
            .collect(Collectors.groupingBy(HeadUse::formula, Collectors.counting()));
    used.entrySet().stream()
        .sorted(
            Map.Entry.<String, Long>comparingByValue()
                .reversed()
                .thenComparing(Map.Entry.comparingByKey()))
        .forEach(entry -> known.add(entry.getKey()));
    standing.forEach(bottle -> known.add(bottle.product().formula()));
    demands.forEach(demand -> known.add(demand.formula()));
    agreed.forEach(each -> known.add(each.formula()));
    Map<String, Product> all = new LinkedHashMap<>();
    bottles.ofFormulas(household).forEach(product -> all.put(product.formula(), product));
    List<Product> found = new ArrayList<>();
    known.forEach(id -> Optional.ofNullable(all.get(id)).ifPresent(found::add));
    // A formula that is gone may still stand on the shelf.
    standing.stream()
        .map(Standing::product)
        .filter(product -> !all.containsKey(product.formula()))
        .forEach(found::add);
    Set<Purpose> served = new LinkedHashSet<>();
    found.forEach(product -> served.addAll(product.purposes()));
    for (Slot slot : slots) {
      for (Purpose purpose : purposes(slot)) {
        if (!served.contains(purpose)) {
          all.values().stream()
              .filter(product -> product.purposes().contains(purpose))
              .findFirst()
              .ifPresent(
                  product -> {
                    found.add(product);
                    served.addAll(product.purposes());
                  });
        }
      }
    }
    return found;
  }

  private static List<Purpose> purposes(Slot slot) {
    if (slot.choices().isEmpty()) {
      return slot.kind().purposes().stream().sorted().toList();
    }
    return slot.choices().stream()
        .filter(choice -> choice instanceof Slot.Choice.For)
        .map(choice -> ((Slot.Choice.For) choice).purpose())
        .toList();
  }

  private List<Brewable> brewables(
      Household household, Instant now, Set<String> asked, List<Need> needs) {
    UUID id = household.id();
    Kitchen kitchen = kitchens.of(id);
    Climates climates = kitchens.climates(id);
    Materials known = materials.of(id);
    Map<String, Double> perGram = prices.perGram(id);
    Instant begun = household.day(now).atTime(EVENING).atZone(household.zone()).toInstant();
    Keeping keeping = Keeping.inFridge(begun, household.zone(), household.school(), climates);
    List<Brewable> all = new ArrayList<>();
    for (String formula : asked) {
      formulas
          .find(id, formula)
          .flatMap(
              found -> {
                try {
                  Brew brew = planner.resolve(id, found, kitchen, known);
                  return InKitchen.of(
                      brew,
                      keeping,
                      begun,
                      household.zone(),
                      Needs.portion(formula, needs),
                      MOST_ML,
                      perGram);
                } catch (Problem e) {
                  // What is made with something that is gone cannot be brewed.
                  return Optional.empty();
                }
              })
          .ifPresent(all::add);
    }
    return all;
  }
}
