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
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Idempotency;
import dremsa.server.http.Problem;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.wire.AmountJson;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Stores and shopping. */
@RestController
@Transactional
class StoresController {
  private static final double MOST_GRAMS = 100_000;

  private final Stores stores;
  private final LotRepository lots;
  private final MinimumRepository minimums;
  private final ShoppingRepository shopping;
  private final HouseholdMaterials materials;
  private final Households households;
  private final Idempotency idempotency;

  StoresController(
      Stores stores,
      LotRepository lots,
      MinimumRepository minimums,
      ShoppingRepository shopping,
      HouseholdMaterials materials,
      Households households,
      Idempotency idempotency) {
    this.stores = stores;
    this.lots = lots;
    this.minimums = minimums;
    this.shopping = shopping;
    this.materials = materials;
    this.households = households;
    this.idempotency = idempotency;
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

  /** What happened to a lot; grams taken out, negative for what was put in. */
  record LotHappeningLine(
      Instant at, LotHappening.Kind kind, double grams, String detail, boolean undone) {}

  /** A lot that comes in. */
  record NewLot(
      @NotNull(message = "Say what it is.") @Size(max = 80, message = "At most 80 characters.")
          String material,
      @NotNull(message = "Say how it was got.") Stores.Got origin,
      @NotNull(message = "Say how much.") @Valid AmountJson amount,
      @Nullable LocalDate gotOn,
      @Range(min = 0, max = 1_000_000, message = "A price is 0 to 1000000.") @Nullable Double price,
      @Size(max = 80, message = "At most 80 characters.") @Nullable String place,
      @Size(max = 300, message = "At most 300 characters.") @Nullable String note) {}

  /** What is put right about a lot. */
  record LotForm(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say when it was got.") LocalDate gotOn,
      @Nullable LocalDate openedOn,
      @Range(min = 0, max = 1_000_000, message = "A price is 0 to 1000000.") @Nullable Double price,
      @Size(max = 80, message = "At most 80 characters.") @Nullable String place,
      @Size(max = 300, message = "At most 300 characters.") @Nullable String note) {}

  /** An amount of a lot. */
  record LotAmount(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say how much.") @Valid AmountJson amount) {}

  /** A harvest that has dried. */
  record Dried(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say what it became.") String material,
      @NotNull(message = "Say how much fresh plant.") @Valid AmountJson fresh,
      @NotNull(message = "Say what it weighs dry.") @Valid AmountJson dried) {}

  /** Why a lot is at its end. */
  record LotEnd(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say why; it may be empty.")
          @Size(max = 300, message = "At most 300 characters.")
          String why) {}

  /** Which version was seen, for taking back. */
  record SeenLot(@NotNull(message = "Say which version you saw.") Long version) {}

  /** Below how much a material is running out; 0 takes the minimum away. */
  record MinimumForm(
      @NotNull(message = "Say how much.") @Range(min = 0, max = 100_000, message = "0 to 100000 g.")
          Double grams) {}

  /** Amounts wanted, g by material. */
  record Wanted(
      @NotNull(message = "Say what is wanted.") @Size(max = 200, message = "At most 200 materials.")
          Map<String, Double> grams) {}

  /** What is there of what is wanted. */
  record OnHand(String material, double wantedGrams, double leftGrams, double missingGrams) {}

  /**
   * A line of the shopping list.
   *
   * @param id of what somebody put on it; null for what was worked out
   * @param why it is on the list; empty for what somebody put on it
   */
  record ShoppingLine(@Nullable UUID id, String words, boolean bought, String why) {}

  /** Something to put on the list. */
  record NewItem(
      @NotNull(message = "Say what to get.")
          @Size(min = 1, max = 120, message = "1 to 120 characters.")
          String words) {}

  /** Whether it was got. */
  record Bought(@NotNull(message = "Say whether it was got.") Boolean bought) {}

  @Operation(summary = "What is on hand, how old it is, what runs out, what is worth harvesting")
  @GetMapping("/api/stores")
  StoresView stores(@AuthenticationPrincipal Member member) {
    Household household = households.of(member.household());
    LocalDate today = households.now(household).atZone(household.zone()).toLocalDate();
    Materials all = materials.of(household.id());
    Map<String, List<Lot>> byMaterial = new TreeMap<>();
    for (Lot lot : lots.findByHouseholdIdAndEndedAtIsNullOrderByGotOn(household.id())) {
      byMaterial.computeIfAbsent(lot.materialId(), m -> new ArrayList<>()).add(lot);
    }
    Map<String, Double> least = minimums(household.id());
    least.keySet().forEach(material -> byMaterial.putIfAbsent(material, List.of()));
    List<StoreLine> lines = new ArrayList<>();
    byMaterial.forEach(
        (id, of) -> all.find(id).ifPresent(m -> lines.add(line(m, of, least.get(id), today, all))));
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
      Material material, List<Lot> of, Double minimum, LocalDate today, Materials all) {
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

  @GetMapping("/api/lots/{id}/happenings")
  List<LotHappeningLine> happenings(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    stores.get(member.household(), id);
    return stores.happenings(id).stream()
        .map(h -> new LotHappeningLine(h.happenedAt(), h.kind(), h.grams(), h.detail(), h.undone()))
        .toList();
  }

  @Operation(summary = "Put a lot into the stores")
  @PostMapping("/api/lots")
  @ResponseStatus(HttpStatus.CREATED)
  StoresView add(
      @AuthenticationPrincipal Member member,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody NewLot form) {
    UUID household = member.household();
    LocalDate today = today(household);
    LocalDate got = form.gotOn() == null ? today : form.gotOn();
    notLater("gotOn", got, today);
    Material material = material(household, form.material());
    double grams = grams("amount", form.amount(), material, MOST_GRAMS);
    idempotency.once(
        household,
        key,
        form,
        UUID.class,
        () ->
            stores.add(
                household,
                new Stores.Incoming(
                    form.material(),
                    form.origin(),
                    grams,
                    got,
                    form.price(),
                    text(form.place()),
                    text(form.note())),
                households.now(household)));
    return stores(member);
  }

  @PutMapping("/api/lots/{id}")
  StoresView tell(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody LotForm form) {
    LocalDate today = today(member.household());
    notLater("gotOn", form.gotOn(), today);
    if (form.openedOn() != null) {
      notLater("openedOn", form.openedOn(), today);
    }
    stores.tell(
        member.household(),
        id,
        form.version(),
        new Lot.Told(
            form.gotOn(), form.openedOn(), form.price(), text(form.place()), text(form.note())));
    return stores(member);
  }

  @PostMapping("/api/lots/{id}/take")
  StoresView take(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody LotAmount form) {
    stores.take(
        member.household(),
        id,
        form.version(),
        grams("amount", form.amount(), ofLot(member.household(), id), MOST_GRAMS),
        households.now(member.household()));
    return stores(member);
  }

  @Operation(summary = "It was weighed: the record follows the scale")
  @PostMapping("/api/lots/{id}/weigh")
  StoresView weigh(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody LotAmount form) {
    double grams =
        form.amount().value() == 0
            ? 0
            : grams("amount", form.amount(), ofLot(member.household(), id), MOST_GRAMS);
    stores.weigh(member.household(), id, form.version(), grams, households.now(member.household()));
    return stores(member);
  }

  @Operation(summary = "A harvest has dried: weights in and out")
  @PostMapping("/api/lots/{id}/dry")
  StoresView dry(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody Dried form) {
    UUID household = member.household();
    Lot lot = stores.get(household, id);
    Material fresh = material(household, lot.materialId());
    Material dried = material(household, form.material());
    stores.dry(
        household,
        id,
        form.version(),
        grams("fresh", form.fresh(), fresh, MOST_GRAMS),
        form.material(),
        grams("dried", form.dried(), dried, MOST_GRAMS),
        households.now(household));
    return stores(member);
  }

  @PostMapping("/api/lots/{id}/end")
  StoresView end(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody LotEnd form) {
    stores.end(
        member.household(), id, form.version(), form.why(), households.now(member.household()));
    return stores(member);
  }

  @PostMapping("/api/lots/{id}/undo")
  StoresView undo(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody SeenLot form) {
    stores.undo(member.household(), id, form.version());
    return stores(member);
  }

  @Operation(summary = "Below how much a material is running out")
  @PutMapping("/api/stores/{material}/minimum")
  StoresView minimum(
      @AuthenticationPrincipal Member member,
      @PathVariable String material,
      @Valid @RequestBody MinimumForm form) {
    stores.minimum(member.household(), material, form.grams());
    return stores(member);
  }

  @Operation(summary = "What of the wanted amounts is on hand, and what is missing")
  @PostMapping("/api/stores/check")
  List<OnHand> check(@AuthenticationPrincipal Member member, @Valid @RequestBody Wanted wanted) {
    Map<String, Double> left = stores.left(member.household());
    Map<String, Double> sorted = new LinkedHashMap<>(wanted.grams());
    return sorted.entrySet().stream()
        .map(
            e -> {
              double there = left.getOrDefault(e.getKey(), 0.0);
              return new OnHand(e.getKey(), e.getValue(), there, Math.max(0, e.getValue() - there));
            })
        .toList();
  }

  @Operation(summary = "The shopping list: what somebody put on it, and what is running out")
  @GetMapping("/api/shopping")
  List<ShoppingLine> shoppingList(@AuthenticationPrincipal Member member) {
    List<ShoppingLine> list = new ArrayList<>();
    shopping
        .findByHouseholdIdOrderByBoughtAscWordsAsc(member.household())
        .forEach(i -> list.add(new ShoppingLine(i.id(), i.words(), i.bought(), "")));
    for (StoreLine line : stores(member).materials()) {
      if (line.runningOut()) {
        list.add(
            new ShoppingLine(
                null,
                line.name(),
                false,
                "%.0f g left, you want %.0f g".formatted(line.leftGrams(), line.minimumGrams())));
      } else if (line.age() == StoreLife.Age.OVER) {
        list.add(new ShoppingLine(null, line.name(), false, "past its best"));
      }
    }
    return list;
  }

  @PostMapping("/api/shopping")
  @ResponseStatus(HttpStatus.CREATED)
  List<ShoppingLine> put(@AuthenticationPrincipal Member member, @Valid @RequestBody NewItem item) {
    stores.wanted(member.household(), item.words());
    return shoppingList(member);
  }

  @PutMapping("/api/shopping/{id}")
  List<ShoppingLine> bought(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody Bought bought) {
    households.changed(member.household());
    ShoppingItem item = item(member.household(), id);
    item.bought(bought.bought());
    shopping.saveAndFlush(item);
    return shoppingList(member);
  }

  @DeleteMapping("/api/shopping/{id}")
  List<ShoppingLine> strike(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    households.changed(member.household());
    shopping.delete(item(member.household(), id));
    shopping.flush();
    return shoppingList(member);
  }

  private ShoppingItem item(UUID household, UUID id) {
    return shopping
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("line of the list"));
  }

  private Material ofLot(UUID household, UUID id) {
    return material(household, stores.get(household, id).materialId());
  }

  private Material material(UUID household, String id) {
    return materials
        .of(household)
        .find(id)
        .orElseThrow(
            () ->
                Problem.invalid(
                    FieldProblem.of("material", id, "There is no material '" + id + "'.")));
  }

  private static double grams(String field, AmountJson amount, Material material, double most) {
    double grams = amount.grams(field, material.density());
    if (!(grams > 0 && grams <= most)) {
      throw Problem.invalid(
          FieldProblem.range(
              field + ".value",
              String.valueOf(amount.value()),
              "A lot weighs more than nothing, at most 100 kg.",
              0,
              most));
    }
    return grams;
  }

  private LocalDate today(UUID household) {
    Household of = households.of(household);
    return households.now(of).atZone(of.zone()).toLocalDate();
  }

  private static void notLater(String field, LocalDate day, LocalDate today) {
    if (day.isAfter(today) || day.isBefore(today.minusYears(30))) {
      throw Problem.invalid(
          FieldProblem.of(field, day.toString(), "A day up to today, in the last 30 years."));
    }
  }

  private static String text(String value) {
    return value == null ? "" : value.strip();
  }
}
