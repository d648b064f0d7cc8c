package dremsa.server.shelf;

import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.Problem;
import dremsa.server.papers.CalendarFile;
import dremsa.server.reminders.Reminders;
import io.swagger.v3.oas.annotations.Hidden;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** The shelf as a calendar: a file, and a private address that a calendar program subscribes to. */
@RestController
@Transactional
class ShelfCalendar {
  /** So many steps to come are in a calendar at most. */
  private static final int MOST_CALLS = 300;

  private final BottleRepository repository;
  private final Households households;
  private final JdbcTemplate jdbc;
  private final Reminders reminders;
  private final SecureRandom random = new SecureRandom();

  ShelfCalendar(
      BottleRepository repository, Households households, Reminders reminders, JdbcTemplate jdbc) {
    this.reminders = reminders;
    this.repository = repository;
    this.households = households;
    this.jdbc = jdbc;
  }

  /**
   * The private address.
   *
   * @param path below this server; told once, when it is made
   */
  record FeedAddress(String path) {}

  /** Whether there is a private address. */
  record FeedState(boolean made) {}

  @GetMapping("/api/shelf.ics")
  @Hidden
  ResponseEntity<byte[]> file(@AuthenticationPrincipal Member member) {
    return answer(calendar(member.household()));
  }

  @GetMapping("/api/feed")
  FeedState state(@AuthenticationPrincipal Member member) {
    Integer count =
        jdbc.queryForObject(
            "select count(*) from feed where household_id = ?",
            Integer.class,
            member.household().toString());
    return new FeedState(count != null && count > 0);
  }

  /** Makes a private address; an earlier one no longer answers. */
  @PostMapping("/api/feed")
  FeedAddress make(@AuthenticationPrincipal Member member) {
    byte[] bytes = new byte[32];
    random.nextBytes(bytes);
    String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    jdbc.update(
        "replace into feed (household_id, token_hash, made_at) values (?, ?, ?)",
        member.household().toString(),
        DigestUtils.sha256Hex(token),
        Timestamp.from(households.now(member.household())));
    return new FeedAddress("/feed/" + token + ".ics");
  }

  @DeleteMapping("/api/feed")
  FeedState revoke(@AuthenticationPrincipal Member member) {
    jdbc.update("delete from feed where household_id = ?", member.household().toString());
    return new FeedState(false);
  }

  @GetMapping("/feed/{token}.ics")
  @Hidden
  ResponseEntity<byte[]> feed(@PathVariable String token) {
    List<UUID> found =
        jdbc.query(
            "select household_id from feed where token_hash = ?",
            (row, n) -> UUID.fromString(row.getString(1)),
            DigestUtils.sha256Hex(token));
    if (found.isEmpty()) {
      throw Problem.notFound("calendar");
    }
    return answer(calendar(found.get(0)));
  }

  /** A calendar rings as the tray does: in the morning, days before the last day and on it. */
  private static final Duration MORNING = Duration.ofHours(Judging.MORNING.getHour());

  private String calendar(UUID householdId) {
    Household household = households.of(householdId);
    Instant now = households.now(household);
    List<CalendarFile.Event> events = new ArrayList<>();
    for (Bottle bottle :
        repository.findByHouseholdIdAndStatus(householdId, Bottle.Status.STANDING)) {
      String name = bottle.name() + ", bottle " + bottle.number();
      events.add(
          new CalendarFile.Event(
              bottle.id() + "-last-day",
              bottle.lastDay(),
              null,
              (bottle.useNow() ? "Use now: " : "Last day: ") + name,
              Said.of(
                  "%.0f mL left%s. Throw it away from the next day on.",
                  bottle.leftMl(), bottle.marked() ? ", marked: beyond the published date" : ""),
              bottle.useNow()
                  ? List.of(MORNING)
                  : List.of(MORNING.minusDays(Judging.SOON_DAYS), MORNING),
              null));
    }
    for (Reminders.Coming coming : reminders.coming(householdId, "batch:", MOST_CALLS)) {
      events.add(
          new CalendarFile.Event(
              coming.occasion().replace(':', '-'),
              coming.at(),
              Duration.ofMinutes(10),
              coming.words() + " – " + coming.title(),
              "",
              List.of(Duration.ZERO),
              null));
    }
    return CalendarFile.of(events, now);
  }

  private static ResponseEntity<byte[]> answer(String text) {
    return ResponseEntity.ok()
        .header("Content-Type", "text/calendar;charset=UTF-8")
        .header("Content-Disposition", "inline; filename=\"dremsa.ics\"")
        // A last day that moved must not be seen as it was before.
        .header("Cache-Control", "private, no-store")
        .body(text.getBytes(StandardCharsets.UTF_8));
  }
}
