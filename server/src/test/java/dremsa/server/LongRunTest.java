package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.server.accounts.Turns;
import dremsa.server.reminders.Reminders;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Runs that take days, what they call for, and the hours in which the clocks change. */
class LongRunTest extends RunWork {
  @Test
  void aFermentIsKeptByTheDay() {
    Visitor.Answer run = start("barley-ferment", 400);
    while (!run.text("/prediction/steps/" + run.text("/step") + "/kind").equals("ferment")) {
      run = finish(run);
    }
    assertThat(run.text("/standing/stage")).isEqualTo("YOUNG");
    owner.moveClock(26 * 3600);
    enter(run, Map.of("kind", "TEMPERATURE", "amount", 27));
    enter(run, Map.of("kind", "SMELL", "words", "sourish, a little like bread"));
    run = again(run);
    assertThat(run.at("/standing/day").asInt()).isEqualTo(2);
    assertThat(run.text("/standing/stage")).isIn("MILD", "FULL");
    assertThat(run.at("/standing/days").toString()).contains("like bread");
    assertThat(run.text("/standing/strongAt")).isNotEmpty();
    double estimate = run.at("/standing/ph").asDouble();
    assertThat(estimate).isBetween(4.0, 5.2);
    run = ok(enter(run, Map.of("kind", "PH", "amount", 3.9)));
    assertThat(run.at("/prediction/ph/value").asDouble()).isCloseTo(3.9, within(0.2));
    assertThat(run.at("/standing/throwAway").size()).isPositive();
  }

  @Test
  void aMacerationIsShakenAndMissedDaysAreSeen() {
    Visitor.Answer run = start("rosemary-tincture", 200);
    while (!run.text("/prediction/steps/" + run.text("/step") + "/kind").equals("macerate")) {
      run = finish(run);
    }
    owner.moveClock(24 * 3600 + 60);
    ok(enter(run, Map.of("kind", "SHAKEN")));
    owner.moveClock(2 * 24 * 3600);
    run = again(run);
    JsonNode days = run.at("/standing/days");
    assertThat(days.valueStream().filter(d -> d.get("shaken").asBoolean()).count()).isEqualTo(1);
    assertThat(
            days.valueStream()
                .filter(d -> d.get("shakeDue").asBoolean() && !d.get("shaken").asBoolean())
                .count())
        .isGreaterThanOrEqualTo(1);
    assertThat(owner.get("/api/messages").at("/messages").toString()).contains("Shake the jar");
  }

  @Test
  void whatIsDueIsToldOnceHoweverOftenAndFromHoweverManySides() {
    Visitor.Answer run = finish(start("lemon-balm-spray", 400));
    owner.moveClock(3 * 3600 + 60);
    Reminders reminders = TestServer.bean(Reminders.class);
    IntStream.range(0, 6)
        .mapToObj(i -> CompletableFuture.runAsync(reminders::writeDue))
        .toList()
        .forEach(CompletableFuture::join);
    JsonNode tray = owner.get("/api/messages").body();
    long told =
        tray.at("/messages")
            .valueStream()
            .filter(m -> m.get("words").asString().equals("Has it drawn?"))
            .count();
    assertThat(told).isEqualTo(1);
    assertThat(tray.at("/unread").asInt()).isPositive();
    assertThat(tray.at("/coming").toString()).contains("too long");
    owner.post("/api/messages/read", Map.of());
    assertThat(owner.get("/api/messages").at("/unread").asInt()).isZero();
    assertThat(Visitor.withHousehold().get("/api/messages").at("/messages").size()).isZero();
    // A step that is over calls for nothing any more.
    finish(run);
    assertThat(owner.get("/api/messages").at("/coming").toString()).doesNotContain("Steep");
  }

  @Test
  void theSameReminderFromTwoInstancesIsOneMessage() {
    // What two servers do at worst: both hold the same due reminder in their hands.
    JdbcTemplate jdbc = TestServer.bean(JdbcTemplate.class);
    finish(start("lemon-balm-spray", 400));
    String household =
        jdbc.queryForObject(
            "select household_id from account where sign_in = ?", String.class, owner.name());
    String insert =
        "insert ignore into message (household_id, occasion, due_at, written_at, kind, title,"
            + " words, link) select household_id, occasion, due_at, now(), kind, title, words, link"
            + " from reminder where household_id = ?";
    TestServer.bean(Turns.class)
        .take(
            UUID.fromString(household),
            () -> {
              assertThat(jdbc.update(insert, household)).isPositive();
              assertThat(jdbc.update(insert, household)).isZero();
            });
  }

  /**
   * The hours of a change of clocks: what lasts three hours by the sun lasts three on the timer.
   */
  @ParameterizedTest
  @CsvSource({"2026-03-29T00:30", "2026-10-25T00:30"})
  void aChangeOfClocksMovesNoTimer(String local) {
    ZoneId zone = ZoneId.of("Europe/Dublin");
    Instant wanted = LocalDateTime.parse(local).atZone(zone).toInstant();
    Instant now = Instant.parse(owner.get("/api/household").text("/now"));
    owner.moveClock(Duration.between(now, wanted).getSeconds());
    Visitor.Answer run = finish(start("lemon-balm-spray", 400));
    Instant began = Instant.parse(run.text("/window/startedAt"));
    assertThat(Instant.parse(run.text("/window/usualAt"))).isEqualTo(began.plusSeconds(3 * 3600));
    owner.moveClock(3 * 3600);
    Visitor.Answer later = again(run);
    assertThat(later.text("/window/usualAt")).isEqualTo(run.text("/window/usualAt"));
    assertThat(Instant.parse(later.text("/now")))
        .isBetween(began.plusSeconds(3 * 3600 - 5), began.plusSeconds(3 * 3600 + 60));
    assertThat(
            ok(tap(later, "/steps/{step}/finish", Map.of("cueSeen", true))).text("/done/1/timing"))
        .isEqualTo("RIGHT");
  }
}
