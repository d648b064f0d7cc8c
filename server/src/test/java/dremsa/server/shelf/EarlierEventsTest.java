package dremsa.server.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Place;
import dremsa.server.wire.KeepEventJson;
import dremsa.server.wire.Stored;
import jakarta.validation.Validation;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Rows of a backup that an earlier version wrote mean what they meant. */
class EarlierEventsTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Instant AT = Instant.parse("2026-11-24T10:00:00Z");

  private final Stored stored =
      new Stored(Validation.buildDefaultValidatorFactory().getValidator(), List.of());

  private KeepEvent lifted(ObjectNode row) {
    new EarlierEvents(stored).lift(row);
    assertThat(row.propertyNames()).containsExactlyInAnyOrder("kind", "said");
    return stored.read(row.get("said").stringValue(), KeepEventJson.class).toCore(AT);
  }

  private KeepEvent lifted(String row) {
    return lifted((ObjectNode) JSON.readTree(row.replace('\'', '"')));
  }

  @Test
  void theCauseMeantThreeThings() {
    assertThat(
            lifted(
                "{'kind':'WARMED','place':null,'hours':3,'celsius':21.5,'cause':'Left out',"
                    + "'own_ml':null,'other':null}"))
        .isEqualTo(new KeepEvent.Warmed(AT, 3, 21.5, "Left out"));
    assertThat(lifted("{'kind':'MOVED','place':'FREEZER','cause':'2026-12-03'}"))
        .isEqualTo(new KeepEvent.Moved(AT, Place.FREEZER, LocalDate.of(2026, 12, 3)));
    assertThat(lifted("{'kind':'MOVED','place':'ROOM','cause':''}"))
        .isEqualTo(new KeepEvent.Moved(AT, Place.ROOM));
    assertThat(lifted("{'kind':'SCHOOL','cause':'PRACTICE+'}"))
        .isEqualTo(new KeepEvent.KeptBy(AT, new KeepEvent.Rules(School.PRACTICE, true), null));
    assertThat(lifted("{'kind':'OPENED','cause':''}")).isEqualTo(new KeepEvent.Opened(AT));
  }

  @Test
  void whatWasPouredInIsStillThere() throws IOException {
    String poured;
    try (InputStream in = getClass().getResourceAsStream("/golden/v1/poured-in.json")) {
      poured = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    ObjectNode row = JSON.createObjectNode().put("kind", "JOINED").put("own_ml", 80);
    assertThat(lifted(row.put("other", poured)))
        .isInstanceOfSatisfying(
            KeepEvent.Joined.class,
            joined -> {
              assertThat(joined.ownMl()).isEqualTo(80);
              assertThat(joined.other().name()).isEqualTo("Mint rinse");
            });
  }

  @Test
  void aRowOfTodayStaysAsItIs() {
    ObjectNode row = JSON.createObjectNode().put("kind", "OPENED").put("said", "{}");
    new EarlierEvents(stored).lift(row);
    assertThat(row.get("said").stringValue()).isEqualTo("{}");
  }
}
