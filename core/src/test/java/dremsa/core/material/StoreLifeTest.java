package dremsa.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.Month;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Common practice. */
class StoreLifeTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

  @ParameterizedTest
  @CsvSource({
    "LEAF, 30, GOOD",
    "LEAF, 300, OLD",
    "LEAF, 366, OVER",
    "FRESH_LEAF, 1, GOOD",
    "FRESH_LEAF, 5, OVER",
    "ROOT, 500, GOOD",
    "SPIRIT, 5000, GOOD"
  })
  void herbsAreAtTheirBestForAYear(MaterialKind kind, int days, StoreLife.Age age) {
    assertThat(StoreLife.age(kind, TODAY.minusDays(days), TODAY)).isEqualTo(age);
  }

  @ParameterizedTest
  @EnumSource(MaterialKind.class)
  void freshNeverOutlivesDried(MaterialKind kind) {
    if (kind.isFresh()) {
      assertThat(StoreLife.days(kind).orElseThrow())
          .isLessThan(StoreLife.days(MaterialKind.LEAF).orElseThrow());
    }
  }

  @Test
  void theSouthHarvestsHalfAYearLater() {
    ZoneId dublin = ZoneId.of("Europe/Dublin");
    ZoneId hobart = ZoneId.of("Australia/Hobart");
    assertThat(Season.of(MaterialKind.FLOWER, dublin)).contains(Month.JULY);
    assertThat(Season.of(MaterialKind.FLOWER, hobart)).contains(Month.JANUARY);
    for (MaterialKind kind : MaterialKind.values()) {
      assertThat(Season.of(kind, hobart)).hasSameSizeAs(Season.of(kind, dublin));
    }
    assertThat(Season.of(MaterialKind.WATER, dublin)).isEmpty();
  }
}
