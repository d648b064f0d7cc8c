package dremsa.server.stores;

import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.StoreLife;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.Problem;
import dremsa.server.materials.HouseholdMaterials;
import dremsa.server.stores.StoreReport.StoreLine;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
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
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The shopping list. */
@RestController
@Transactional
class ShoppingController {
  /** So little more is nothing to go shopping for, g. */
  private static final double CRUMBS = 0.5;

  private final Stores stores;
  private final StoreReport report;
  private final ShoppingRepository shopping;
  private final PlannedMaterials planned;
  private final HouseholdMaterials materials;
  private final Households households;

  ShoppingController(
      Stores stores,
      StoreReport report,
      ShoppingRepository shopping,
      PlannedMaterials planned,
      HouseholdMaterials materials,
      Households households) {
    this.planned = planned;
    this.materials = materials;
    this.households = households;
    this.stores = stores;
    this.report = report;
    this.shopping = shopping;
  }

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

  @Operation(
      summary =
          "The shopping list: what somebody put on it, and what is running out or wanted by the plan")
  @GetMapping("/api/shopping")
  List<ShoppingLine> shoppingList(@AuthenticationPrincipal Member member) {
    List<ShoppingLine> list = new ArrayList<>();
    shopping
        .findByHouseholdIdOrderByBoughtAscWordsAsc(member.household())
        .forEach(i -> list.add(new ShoppingLine(i.id(), i.words(), i.bought(), "")));
    for (StoreLine line : report.of(member.household()).materials()) {
      if (line.runningOut()) {
        list.add(
            new ShoppingLine(
                null,
                line.name(),
                false,
                Said.of(
                    "%.0f g left, you want %.0f g",
                    line.leftGrams(), Objects.requireNonNull(line.minimumGrams()))));
      } else if (line.age() == StoreLife.Age.OVER) {
        list.add(new ShoppingLine(null, line.name(), false, "past its best"));
      }
    }
    list.addAll(forThePlan(member.household()));
    return list;
  }

  /** What the brews that are agreed on take beyond what is in the stores; water is there. */
  private List<ShoppingLine> forThePlan(UUID household) {
    Map<String, Double> left = stores.left(household);
    Materials known = materials.of(household);
    return planned.planned(household, households.now(households.of(household))).stream()
        .filter(
            wanted ->
                known
                    .find(wanted.material())
                    .filter(material -> material.kind() != MaterialKind.WATER)
                    .filter(material -> material.kind() != MaterialKind.BREW)
                    .isPresent())
        .filter(wanted -> wanted.grams() > left.getOrDefault(wanted.material(), 0.0) + CRUMBS)
        .map(
            wanted ->
                new ShoppingLine(
                    null,
                    wanted.name(),
                    false,
                    Said.of(
                        "the plan takes %.0f g by %s, %.0f g there",
                        Math.ceil(wanted.grams()),
                        Said.day(wanted.day()),
                        left.getOrDefault(wanted.material(), 0.0))))
        .toList();
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
    ShoppingItem item = item(member.household(), id);
    item.bought(bought.bought());
    shopping.saveAndFlush(item);
    return shoppingList(member);
  }

  @DeleteMapping("/api/shopping/{id}")
  List<ShoppingLine> strike(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    shopping.delete(item(member.household(), id));
    shopping.flush();
    return shoppingList(member);
  }

  private ShoppingItem item(UUID household, UUID id) {
    return shopping
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("line of the list"));
  }
}
