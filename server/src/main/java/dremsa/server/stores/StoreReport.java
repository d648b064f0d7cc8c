package dremsa.server.stores;

import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import dremsa.core.material.Season;
import dremsa.core.material.StoreLife;
import dremsa.core.material.Substitution;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.materials.HouseholdMaterials;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Says what is on hand, how old it is, what runs out and what is worth harvesting. */
@Component
class StoreReport {
  private final LotRepository lots;
  private final MinimumRepository minimums;
  private final HouseholdMaterials materials;
  private final Households households;

  StoreReport(
      LotRepository lots,
      MinimumRepository minimums,
      HouseholdMaterials materials,
      Households households) {
    this.lots = lots;
    this.minimums = minimums;
    this.materials = materials;
    this.households = households;
  }

  /**
   * The stores.
   *
   * @param month as a number, for what is in season
   */
  record StoresView(LocalDate today, int month, List<StoreLine> materials, List<Harvest> season) {}

  /**
   * What is on hand of a material.
   *
   * @param minimumGrams below it is running out; null without a minimum
   * @param driesTo ids of its dried forms; empty unless it is fresh
   */
  record StoreLine(
      String material,
      String name,
      String kind,
      double leftGrams,
      @Nullable Double minimumGrams,
      boolean runningOut,
      StoreLife.Age age,
      String ageWords,
      List<DriedForm> driesTo,
      List<LotLine> lots) {}

  /**
   * A dried form of a fresh plant.
   *
   * @param share of the fresh weight that is left when dry, from the water in both
   */
  record DriedForm(String material, String name, double share) {}

  /** A lot. */
  record LotLine(
      UUID id,
      long version,
      Lot.Origin origin,
      double grams,
      double leftGrams,
      LocalDate gotOn,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate bestUntil,
      StoreLife.Age age,
      String ageWords,
      @Nullable Double price,
      String place,
      String note,
      @Nullable UUID driedFrom) {}

  /** A plant that may be harvested this month and is low or old in the stores. */
  record Harvest(String material, String name, String why) {}

  StoresView of(UUID id) {
    Household household = households.of(id);
    LocalDate today = households.today(household);
    Materials all = materials.of(household.id());
    Map<String, List<Lot>> byMaterial = new TreeMap<>();
    for (Lot lot : lots.findByHouseholdIdAndEndedAtIsNullOrderByGotOn(household.id())) {
      byMaterial.computeIfAbsent(lot.materialId(), m -> new ArrayList<>()).add(lot);
    }
    Map<String, Double> least = minimums(household.id());
    least.keySet().forEach(material -> byMaterial.putIfAbsent(material, List.of()));
    List<StoreLine> lines = new ArrayList<>();
    byMaterial.forEach(
        (material, of) ->
            all.find(material)
                .ifPresent(m -> lines.add(line(m, of, least.get(material), today, all))));
    lines.sort(Comparator.comparing(StoreLine::name));
    return new StoresView(
        today, today.getMonthValue(), lines, season(lines, all, household, today));
  }

  private Map<String, Double> minimums(UUID household) {
    Map<String, Double> all = new HashMap<>();
    minimums.findByKeyHouseholdId(household).forEach(m -> all.put(m.materialId(), m.grams()));
    return all;
  }

  private static StoreLine line(
      Material material, List<Lot> of, @Nullable Double minimum, LocalDate today, Materials all) {
    MaterialKind kind = material.kind();
    double left = of.stream().mapToDouble(Lot::leftGrams).sum();
    StoreLife.Age worst =
        of.stream()
            .map(lot -> StoreLife.age(kind, lot.gotOn(), today))
            .max(Comparator.naturalOrder())
            .orElse(StoreLife.Age.GOOD);
    List<DriedForm> dries =
        kind.isFresh()
            ? all.otherForms(material.id()).stream()
                .filter(form -> !form.kind().isFresh() && form.kind().isPlant())
                .map(form -> new DriedForm(form.id(), form.name(), share(material, form)))
                .toList()
            : List.of();
    return new StoreLine(
        material.id(),
        material.name(),
        kind.words(),
        left,
        minimum,
        minimum != null && left < minimum,
        worst,
        worst.words(),
        dries,
        of.stream().map(lot -> lot(lot, kind, today)).toList());
  }

  private static double share(Material fresh, Material dried) {
    return Substitution.driedFor(
        1, fresh.value(Property.WATER_SHARE, 0.85), dried.value(Property.WATER_SHARE, 0.1));
  }

  private static LotLine lot(Lot lot, MaterialKind kind, LocalDate today) {
    StoreLife.Age age = StoreLife.age(kind, lot.gotOn(), today);
    return new LotLine(
        lot.id(),
        lot.version(),
        lot.origin(),
        lot.grams(),
        lot.leftGrams(),
        lot.gotOn(),
        lot.openedOn(),
        StoreLife.bestUntil(kind, lot.gotOn()).orElse(null),
        age,
        age.words(),
        lot.price(),
        lot.place(),
        lot.note(),
        lot.driedFrom());
  }

  /** Low or old in the stores, harvested before rather than bought, and in season. */
  private static List<Harvest> season(
      List<StoreLine> lines, Materials all, Household household, LocalDate today) {
    List<Harvest> worth = new ArrayList<>();
    for (StoreLine line : lines) {
      boolean grown = line.lots().stream().anyMatch(lot -> lot.origin() != Lot.Origin.BOUGHT);
      Material material = all.get(line.material());
      boolean now = Season.of(material.kind(), household.zone()).contains(today.getMonth());
      if (grown && now && (line.runningOut() || line.age() != StoreLife.Age.GOOD)) {
        worth.add(
            new Harvest(
                line.material(), line.name(), line.runningOut() ? "running out" : line.ageWords()));
      }
    }
    return worth;
  }
}
