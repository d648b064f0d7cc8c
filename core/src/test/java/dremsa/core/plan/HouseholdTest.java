package dremsa.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A few of the seeds of the benchmark, so that a worse plan is noticed at once. */
class HouseholdTest {
  @ParameterizedTest
  @ValueSource(longs = {3, 7, 19})
  void twelveWeeksByThePlan(long seed) {
    LivedHousehold.Record planned = live(new LivedHousehold.Planned(), seed, 3000);
    LivedHousehold.Record pint = live(new LivedHousehold.Pint(), seed, 3000);
    LivedHousehold.Record careful = live(new LivedHousehold.Careful(), seed, 3000);

    assertThat(planned.pastDate()).isZero();
    assertThat(planned.thrown()).isLessThan(0.04);
    assertThat(planned.served()).isGreaterThanOrEqualTo(0.99);
    assertThat(planned.brews()).isLessThanOrEqualTo(45);
    for (LivedHousehold.Record rule : new LivedHousehold.Record[] {pint, careful}) {
      assertThat(planned.sessions()).isLessThan(rule.sessions());
      assertThat(planned.hands()).isLessThan(rule.hands());
      assertThat(planned.served()).isGreaterThanOrEqualTo(rule.served());
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {5})
  void withoutAFreezer(long seed) {
    LivedHousehold.Record planned = live(new LivedHousehold.Planned(), seed, 0);

    assertThat(planned.thrown()).isLessThan(0.05);
    assertThat(planned.pastDate()).isZero();
  }

  private static LivedHousehold.Record live(LivedHousehold.Way way, long seed, double freezer) {
    return LivedHousehold.live(way, seed, freezer);
  }
}
