package dremsa.server.demo;

import dremsa.core.keep.School;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import java.time.Clock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Loads the demo household when told to: once, or afresh. All of it in one transaction, so that a
 * start that was cut short leaves nothing half.
 */
@Component
class DemoLoader implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);

  /** Whether and how the demo is loaded at the start. */
  enum Mode {
    NONE,
    LOAD,
    RESET
  }

  private final Mode mode;
  private final Households households;
  private final DemoHistory story;
  private final TransactionTemplate transaction;
  private final Clock clock;

  DemoLoader(
      @Value("${dremsa.demo}") Mode mode,
      Households households,
      DemoHistory story,
      TransactionTemplate transaction,
      Clock clock) {
    this.mode = mode;
    this.households = households;
    this.story = story;
    this.transaction = transaction;
    this.clock = clock;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    if (mode == Mode.NONE || (mode == Mode.LOAD && households.demo().isPresent())) {
      return;
    }
    transaction.executeWithoutResult(
        status -> {
          households.demo().ifPresent(member -> households.remove(member.household()));
          Member member =
              households.create(
                  "Sallow Lane plot",
                  MeasureSystem.METRIC,
                  false,
                  DemoHistory.ZONE,
                  School.CAREFUL,
                  true,
                  "Sorrel",
                  "sorrel",
                  "allotment-31");
          story.tell(member.household(), clock.instant());
        });
    LOG.info("The demo household is laid out.");
  }
}
