package dremsa.server.shelf;

import dremsa.server.accounts.Member;
import dremsa.server.accounts.WithoutTurn;
import dremsa.server.http.Idempotency;
import dremsa.server.wire.VerdictJson;
import jakarta.validation.Valid;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What happens to a bottle, and what would happen if. */
@RestController
@RequestMapping("/api/bottles/{id}")
@Transactional
class BottleEventController {
  private final BottleTaps taps;
  private final BottleController bottles;
  private final Idempotency idempotency;

  BottleEventController(BottleTaps taps, BottleController bottles, Idempotency idempotency) {
    this.taps = taps;
    this.bottles = bottles;
    this.idempotency = idempotency;
  }

  /** Before and after, so that one can see before one does. */
  record WhatIf(VerdictJson before, VerdictJson after) {}

  @PostMapping("/events")
  BottleController.BottleView happened(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestHeader(name = "Idempotency-Key", required = false) String key,
      @Valid @RequestBody BottleEventForm form) {
    idempotency.once(
        member.household(),
        key,
        Map.of("bottle", id, "event", form),
        Boolean.class,
        () -> {
          taps.carryOut(member.household(), id, form);
          return true;
        });
    return bottles.get(member, id);
  }

  /** Shows what an event would do to the last day, without doing it. */
  @WithoutTurn
  @PostMapping("/what-if")
  WhatIf whatIf(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody BottleEventForm form) {
    BottleTaps.Looked looked = taps.look(member.household(), id, form);
    return new WhatIf(VerdictJson.of(looked.before()), VerdictJson.of(looked.after()));
  }
}
