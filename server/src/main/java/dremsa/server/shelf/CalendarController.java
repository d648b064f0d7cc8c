package dremsa.server.shelf;

import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Hidden;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** The shelf's calendar: as a file, and at an address that a calendar program subscribes to. */
@RestController
@Tag(name = "shelf-calendar")
@Transactional
class CalendarController {
  private final ShelfCalendar calendar;
  private final CalendarFeed feed;
  private final Households households;

  CalendarController(ShelfCalendar calendar, CalendarFeed feed, Households households) {
    this.calendar = calendar;
    this.feed = feed;
    this.households = households;
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
    return answer(member.household());
  }

  @GetMapping("/api/feed")
  FeedState state(@AuthenticationPrincipal Member member) {
    return new FeedState(feed.made(member.household()));
  }

  /** Makes a private address; an earlier one no longer answers. */
  @PostMapping("/api/feed")
  FeedAddress make(@AuthenticationPrincipal Member member) {
    UUID household = member.household();
    return new FeedAddress("/feed/" + feed.make(household, households.now(household)) + ".ics");
  }

  @DeleteMapping("/api/feed")
  FeedState revoke(@AuthenticationPrincipal Member member) {
    feed.revoke(member.household());
    return new FeedState(false);
  }

  @GetMapping("/feed/{token}.ics")
  @Hidden
  ResponseEntity<byte[]> subscribed(@PathVariable String token) {
    return answer(feed.household(token).orElseThrow(() -> Problem.notFound("calendar")));
  }

  private ResponseEntity<byte[]> answer(UUID household) {
    return ResponseEntity.ok()
        .header("Content-Type", "text/calendar;charset=UTF-8")
        .header("Content-Disposition", "inline; filename=\"dremsa.ics\"")
        // A last day that moved must not be seen as it was before.
        .header("Cache-Control", "private, no-store")
        .body(calendar.of(household).getBytes(StandardCharsets.UTF_8));
  }
}
