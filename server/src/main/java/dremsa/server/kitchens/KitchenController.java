package dremsa.server.kitchens;

import dremsa.core.kitchen.Kitchen;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.KitchenJson;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class KitchenController {
  private final Kitchens kitchens;

  private final PlaceClimates climates;

  KitchenController(Kitchens kitchens, PlaceClimates climates) {
    this.kitchens = kitchens;
    this.climates = climates;
  }

  /**
   * A kitchen with the version it was read at.
   *
   * @param climateSince the first day on which it was as warm as this; from today on when left out
   */
  record KitchenForm(
      @NotNull(message = "Say what the kitchen is.") @Valid KitchenJson kitchen,
      @NotNull(message = "Say which version you changed.") Long version,
      @Nullable LocalDate climateSince) {}

  /**
   * How warm the places were set, from a moment on.
   *
   * @param from null for the first, which holds for all time before
   */
  record ClimateLine(
      UUID id, @Nullable Instant from, double roomC, double fridgeC, double freezerC) {}

  @GetMapping("/api/kitchen")
  KitchenForm get(@AuthenticationPrincipal Member member) {
    Kitchens.Versioned found = kitchens.versioned(member.household());
    return new KitchenForm(found.kitchen(), found.version(), null);
  }

  @PutMapping("/api/kitchen")
  KitchenForm put(@AuthenticationPrincipal Member member, @Valid @RequestBody KitchenForm form) {
    check(form.kitchen());
    kitchens.save(member.household(), form.kitchen(), form.version(), form.climateSince());
    return get(member);
  }

  /** How warm the places were set, the oldest first; none while nothing ever changed. */
  @GetMapping("/api/kitchen/climates")
  List<ClimateLine> climates(@AuthenticationPrincipal Member member) {
    return climates.rows(member.household()).stream()
        .map(
            row ->
                new ClimateLine(
                    row.id(),
                    row.fromAt().equals(ClimateRow.BEGINNING) ? null : row.fromAt(),
                    row.climate().roomC(),
                    row.climate().fridgeC(),
                    row.climate().freezerC()))
        .toList();
  }

  /** Takes a setting off the record, as if it had never been. */
  @DeleteMapping("/api/kitchen/climates/{id}")
  KitchenForm takeBack(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    kitchens.climateTakenBack(member.household(), id);
    return get(member);
  }

  /** What a kitchen of a measure system usually has. */
  @GetMapping("/api/kitchens/usual/{system}")
  KitchenJson usual(@PathVariable MeasureSystem system) {
    return KitchenJson.of(Kitchen.usual(system));
  }

  private static void check(KitchenJson kitchen) {
    try {
      kitchen.toCore();
    } catch (IllegalArgumentException e) {
      throw Problem.invalid(
          FieldProblem.of("kitchen", null, "Not possible: " + e.getMessage() + "."));
    }
  }
}
