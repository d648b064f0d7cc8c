package dremsa.server.stores;

import dremsa.core.material.Material;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The stores, lot by lot. */
@RestController
@Transactional
class StoresController {
  private static final double MOST_GRAMS = 100_000;

  private final Stores stores;
  private final StoreReport report;
  private final HouseholdMaterials materials;
  private final Households households;
  private final Idempotency idempotency;

  StoresController(
      Stores stores,
      StoreReport report,
      HouseholdMaterials materials,
      Households households,
      Idempotency idempotency) {
    this.stores = stores;
    this.report = report;
    this.materials = materials;
    this.households = households;
    this.idempotency = idempotency;
  }

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

  @Operation(summary = "What is on hand, how old it is, what runs out, what is worth harvesting")
  @GetMapping("/api/stores")
  StoreReport.StoresView stores(@AuthenticationPrincipal Member member) {
    return report.of(member.household());
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
  StoreReport.StoresView add(
      @AuthenticationPrincipal Member member,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody NewLot form) {
    UUID household = member.household();
    LocalDate today = households.today(household);
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
  StoreReport.StoresView tell(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody LotForm form) {
    LocalDate today = households.today(member.household());
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
  StoreReport.StoresView take(
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
  StoreReport.StoresView weigh(
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
  StoreReport.StoresView dry(
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
  StoreReport.StoresView end(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody LotEnd form) {
    stores.end(
        member.household(), id, form.version(), form.why(), households.now(member.household()));
    return stores(member);
  }

  @PostMapping("/api/lots/{id}/undo")
  StoreReport.StoresView undo(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody SeenLot form) {
    stores.undo(member.household(), id, form.version());
    return stores(member);
  }

  @Operation(summary = "Below how much a material is running out")
  @PutMapping("/api/stores/{material}/minimum")
  StoreReport.StoresView minimum(
      @AuthenticationPrincipal Member member,
      @PathVariable String material,
      @Valid @RequestBody MinimumForm form) {
    stores.minimum(member.household(), material, form.grams());
    return stores(member);
  }

  @Operation(summary = "What of the wanted amounts is on hand, and what is missing")
  @WithoutTurn
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

  private static void notLater(String field, LocalDate day, LocalDate today) {
    if (day.isAfter(today) || day.isBefore(today.minusYears(30))) {
      throw Problem.invalid(
          FieldProblem.of(field, day.toString(), "A day up to today, in the last 30 years."));
    }
  }

  private static String text(@Nullable String value) {
    return value == null ? "" : value.strip();
  }
}
