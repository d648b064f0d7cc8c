package dremsa.server.practice;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.practice.PracticeJson.ActForm;
import dremsa.server.practice.PracticeJson.PaceForm;
import dremsa.server.practice.PracticeJson.PassForm;
import dremsa.server.practice.PracticeJson.PracticeForm;
import dremsa.server.practice.PracticeJson.PracticeView;
import dremsa.server.practice.PracticeJson.PracticesView;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import java.time.Instant;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Practising at simulated pots. */
@RestController
class PracticeController {
  private final Practices practices;
  private final Households households;

  PracticeController(Practices practices, Households households) {
    this.practices = practices;
    this.households = households;
  }

  @Operation(summary = "What can be practised, and what is or was")
  @GetMapping("/api/practices")
  PracticesView practices(@AuthenticationPrincipal Member member) {
    return practices.all(member.household());
  }

  @Operation(summary = "Begin a practice")
  @PostMapping("/api/practices")
  PracticeView begin(
      @AuthenticationPrincipal Member member, @Valid @RequestBody PracticeForm form) {
    Instant now = now(member);
    UUID id =
        practices.begin(member.household(), form.exercise(), form.formula(), form.person(), now);
    return practices.look(member.household(), id, now);
  }

  @Operation(summary = "How a practice stands")
  @GetMapping("/api/practices/{id}")
  PracticeView look(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return practices.look(member.household(), id, now(member));
  }

  @Operation(summary = "Do something at the pot")
  @PostMapping("/api/practices/{id}/acts")
  PracticeView act(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody ActForm form) {
    Instant now = now(member);
    practices.act(
        member.household(), id, form.version(), form.kind(), form.what(), form.value(), now);
    return practices.look(member.household(), id, now);
  }

  @Operation(summary = "Let the pot's time go faster or slower, or hold it")
  @PutMapping("/api/practices/{id}/pace")
  PracticeView pace(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody PaceForm form) {
    Instant now = now(member);
    practices.pace(member.household(), id, form.version(), form.pace(), now);
    return practices.look(member.household(), id, now);
  }

  @Operation(summary = "Let some time pass at once")
  @PostMapping("/api/practices/{id}/pass")
  PracticeView pass(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody PassForm form) {
    Instant now = now(member);
    practices.pass(member.household(), id, form.version(), form.minutes(), now);
    return practices.look(member.household(), id, now);
  }

  @Operation(summary = "Take a practice away")
  @DeleteMapping("/api/practices/{id}")
  PracticesView remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    practices.remove(member.household(), id);
    return practices.all(member.household());
  }

  private Instant now(Member member) {
    Household household = households.of(member.household());
    return households.now(household);
  }
}
