package dremsa.server.learning;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.learning.LengthJson.CutForm;
import dremsa.server.learning.LengthJson.LengthForm;
import dremsa.server.learning.LengthJson.LengthsView;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import java.time.Instant;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** How long hair is, and how fast it gets longer. */
@RestController
class LengthController {
  private final HairLengths lengths;
  private final Households households;

  LengthController(HairLengths lengths, Households households) {
    this.lengths = lengths;
    this.households = households;
  }

  @Operation(summary = "Lengths of somebody by section, with what they say")
  @GetMapping("/api/people/{id}/lengths")
  LengthsView lengths(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    Household household = households.of(member.household());
    return lengths.of(household, id, households.now(household));
  }

  @Operation(summary = "A length more")
  @PostMapping("/api/people/{id}/lengths")
  LengthsView read(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody LengthForm form) {
    Household household = households.of(member.household());
    Instant now = households.now(household);
    lengths.read(
        household, id, form.day(), form.section(), form.cm(), form.looseCm(), form.product(), now);
    return lengths.of(household, id, now);
  }

  @Operation(summary = "Hair was cut: a new line begins")
  @PostMapping("/api/people/{id}/cuts")
  LengthsView cut(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody CutForm form) {
    Household household = households.of(member.household());
    Instant now = households.now(household);
    lengths.cut(household, id, form.day(), now);
    return lengths.of(household, id, now);
  }

  @Operation(summary = "Take a length or a cut back")
  @DeleteMapping("/api/people/{id}/lengths/{length}")
  LengthsView takeBack(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @PathVariable UUID length) {
    Household household = households.of(member.household());
    lengths.takeBack(household.id(), id, length);
    return lengths.of(household, id, households.now(household));
  }
}
