package dremsa.server.kitchens;

import dremsa.core.kitchen.Kitchen;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.accounts.Member;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.wire.KitchenJson;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class KitchenController {
  private final Kitchens kitchens;

  KitchenController(Kitchens kitchens) {
    this.kitchens = kitchens;
  }

  /** A kitchen with the version it was read at. */
  record KitchenForm(
      @NotNull(message = "Say what the kitchen is.") @Valid KitchenJson kitchen,
      @NotNull(message = "Say which version you changed.") Long version) {}

  @GetMapping("/api/kitchen")
  KitchenForm get(@AuthenticationPrincipal Member member) {
    Kitchens.Versioned found = kitchens.versioned(member.household());
    return new KitchenForm(found.kitchen(), found.version());
  }

  @PutMapping("/api/kitchen")
  KitchenForm put(@AuthenticationPrincipal Member member, @Valid @RequestBody KitchenForm form) {
    check(form.kitchen());
    kitchens.save(member.household(), form.kitchen(), form.version());
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
