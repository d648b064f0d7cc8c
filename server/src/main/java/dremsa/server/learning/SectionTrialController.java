package dremsa.server.learning;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.learning.TrialJson.JarsView;
import dremsa.server.learning.TrialJson.ScoresForm;
import dremsa.server.learning.TrialJson.TrialEnd;
import dremsa.server.learning.TrialJson.TrialForm;
import dremsa.server.learning.TrialJson.TrialsView;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Products side by side on sections of a head. */
@RestController
class SectionTrialController {
  private final Trials trials;
  private final Households households;

  SectionTrialController(Trials trials, Households households) {
    this.trials = trials;
    this.households = households;
  }

  @Operation(summary = "Trials on sections of heads, and what they say together")
  @GetMapping("/api/trials")
  TrialsView trials(@AuthenticationPrincipal Member member) {
    return trials.all(member.household());
  }

  @Operation(summary = "Begin a trial: lots are drawn")
  @PostMapping("/api/trials")
  TrialsView begin(@AuthenticationPrincipal Member member, @Valid @RequestBody TrialForm form) {
    Household household = households.of(member.household());
    trials.begin(
        household.id(),
        form.person(),
        form.products(),
        form.sections(),
        form.blind(),
        form.lookHours() == null ? List.of() : form.lookHours(),
        households.now(household));
    return trials.all(household.id());
  }

  @Operation(summary = "What is in which jar, for whoever fills them")
  @GetMapping("/api/trials/{id}/jars")
  JarsView jars(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return new JarsView(trials.jars(member.household(), id));
  }

  @Operation(summary = "Score the jars")
  @PutMapping("/api/trials/{id}/scores")
  TrialsView score(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody ScoresForm form) {
    trials.score(member.household(), id, form.version(), form.scores());
    return trials.all(member.household());
  }

  @Operation(summary = "End a trial: what is in the jars is told")
  @PutMapping("/api/trials/{id}/end")
  TrialsView end(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody TrialEnd form) {
    Household household = households.of(member.household());
    trials.end(household.id(), id, form.version(), households.now(household));
    return trials.all(household.id());
  }

  @Operation(summary = "Take a trial away")
  @DeleteMapping("/api/trials/{id}")
  TrialsView remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    trials.remove(member.household(), id);
    return trials.all(member.household());
  }
}
