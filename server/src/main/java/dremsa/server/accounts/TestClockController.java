package dremsa.server.accounts;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Moves one household's clock, so that tests need not wait. Not there in ordinary use. */
@RestController
@Hidden
@ConditionalOnProperty(name = "dremsa.movable-clock", havingValue = "true")
class TestClockController {
  private final Households households;
  private final HouseholdRepository repository;
  private final ApplicationEventPublisher events;

  TestClockController(
      Households households, HouseholdRepository repository, ApplicationEventPublisher events) {
    this.households = households;
    this.repository = repository;
    this.events = events;
  }

  /** Seconds to add to what was added before. */
  record Move(long seconds) {}

  @PostMapping("/api/test/clock")
  @Transactional
  public void move(@AuthenticationPrincipal Member member, @RequestBody Move move) {
    Household household = households.of(member.household());
    household.moveClock(household.clockOffsetSeconds() + move.seconds());
    repository.saveAndFlush(household);
    events.publishEvent(new ClockMoved(member.household()));
  }
}
