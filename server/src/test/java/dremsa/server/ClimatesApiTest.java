package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** A change of the kitchen's temperatures judges every standing bottle anew. */
class ClimatesApiTest {
  private static final long DAY = 24 * 3600;

  private final Visitor owner = Visitor.withHousehold();

  private static Visitor.Answer ok(Visitor.Answer answer) {
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer;
  }

  private Visitor.Answer set(String what, double celsius, String since) {
    Visitor.Answer now = owner.get("/api/kitchen");
    ObjectNode form = (ObjectNode) now.body();
    ((ObjectNode) form.get("kitchen")).put(what, celsius);
    form.put("climateSince", since);
    return owner.put("/api/kitchen", form);
  }

  private LocalDate lastDay(UUID id) {
    String shelf = "";
    for (var bottle : owner.get("/api/bottles").at("/bottles")) {
      if (bottle.get("id").asString().equals(id.toString())) {
        shelf = bottle.get("lastDay").asString();
      }
    }
    // Shelf and page tell the same day.
    assertThat(owner.get("/api/bottles/" + id).text("/keeping/lastDay")).isEqualTo(shelf);
    return LocalDate.parse(shelf);
  }

  @Test
  void aWarmerFridgeBringsEveryBottleForwardAndSaysWhy() {
    UUID spray = Kitchenwork.bottled(owner, "lemon-balm-spray", 250);
    UUID tincture = Kitchenwork.bottled(owner, "rosemary-tincture", 100);
    owner.moveClock(DAY);
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 250);
    LocalDate gelBefore = lastDay(gel);
    LocalDate tinctureBefore = lastDay(tincture);
    assertThat(owner.get("/api/kitchen/climates").body()).isEmpty();
    ok(set("fridgeC", 12, null));
    assertThat(lastDay(gel)).isBefore(gelBefore);
    // Spirit does not mind.
    assertThat(lastDay(tincture)).isEqualTo(tinctureBefore);
    Visitor.Answer page = owner.get("/api/bottles/" + gel);
    assertThat(page.at("/happenings").toString()).contains("fridge at 12.0 °C (was 5.0)");
    owner.moveClock(DAY);
    assertThat(owner.get("/api/bottles/" + gel).at("/keeping/reasons").toString())
        .contains("Fridge at 12 °C");
    assertThat(owner.get("/api/kitchen/climates").body()).hasSize(2);
    assertThat(lastDay(spray)).isNotNull();
  }

  @Test
  void remindersFollowTheNewDay() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 250);
    ok(set("fridgeC", 14, null));
    LocalDate last = lastDay(gel);
    while (LocalDate.parse(owner.get("/api/bottles").text("/today")).isBefore(last)) {
      owner.moveClock(DAY);
    }
    assertThat(owner.get("/api/messages").body().toString()).contains("Its last day is today");
  }

  @Test
  void aChangeIsTakenBackAsIfItHadNeverBeen() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 250);
    LocalDate before = lastDay(gel);
    ok(set("fridgeC", 13, null));
    assertThat(lastDay(gel)).isBefore(before);
    String id = owner.get("/api/kitchen/climates").text("/1/id");
    Visitor.Answer back = ok(owner.delete("/api/kitchen/climates/" + id));
    assertThat(back.at("/kitchen/fridgeC").asDouble()).isEqualTo(5);
    assertThat(lastDay(gel)).isEqualTo(before);
    String first = owner.get("/api/kitchen/climates").text("/0/id");
    assertThat(owner.delete("/api/kitchen/climates/" + first).status()).isEqualTo(404);
  }

  @Test
  void itMayHaveBeenSoForDays() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 250);
    owner.moveClock(2 * DAY);
    String today = owner.get("/api/bottles").text("/today");
    ok(set("fridgeC", 12, null));
    LocalDate fromToday = lastDay(gel);
    ok(set("fridgeC", 12, LocalDate.parse(today).minusDays(2).toString()));
    assertThat(lastDay(gel)).isBefore(fromToday);
    Visitor.Answer future = set("fridgeC", 12, LocalDate.parse(today).plusDays(2).toString());
    assertThat(future.fields()).containsExactly("climateSince");
    assertThat(set("fridgeC", 12, LocalDate.parse(today).minusDays(99).toString()).fields())
        .containsExactly("climateSince");
  }

  @Test
  void aHotterRoomCountsForWhatStandsInIt() {
    UUID spray = Kitchenwork.bottled(owner, "lemon-balm-spray", 250);
    long version = owner.get("/api/bottles/" + spray).at("/bottle/version").asLong();
    Visitor.Answer moved =
        owner.post(
            "/api/bottles/" + spray + "/events",
            Map.of("what", "MOVE", "place", "BATHROOM", "version", version));
    ok(moved);
    owner.moveClock(3 * 3600);
    double before = owner.get("/api/bottles/" + spray).at("/keeping/spentHours").asDouble();
    ok(set("roomC", 33, null));
    assertThat(owner.get("/api/bottles/" + spray).at("/keeping/spentHours").asDouble())
        .isGreaterThan(before);
  }

  @Test
  void aBackupCarriesTheHistory() {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 250);
    ok(set("fridgeC", 12, null));
    LocalDate last = lastDay(gel);
    byte[] file = owner.file("/api/backup.zip").bytes();
    Visitor other = Visitor.withHousehold();
    Visitor.Answer taken = other.upload("/api/restore", "application/zip", file);
    assertThat(taken.status()).as(taken.body().toString()).isLessThan(300);
    assertThat(other.get("/api/kitchen/climates").body()).hasSize(2);
    assertThat(other.get("/api/bottles").text("/bottles/0/lastDay")).isEqualTo(last.toString());
  }
}
