package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * Two weeks of a household's fridge: brews, uses, a forgotten bottle, a power cut, portions frozen
 * and thawed, a mixture, and what is over thrown away. Every morning shelf, page, calendar, label
 * and tables must say the same last day, and why.
 */
class FortnightTest {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.UK);

  private final Visitor owner = Visitor.withHousehold();

  /** Last days as they were seen the morning before. */
  private final Map<String, LocalDate> yesterday = new HashMap<>();

  private static Visitor.Answer ok(Visitor.Answer answer) {
    assertThat(answer.status()).as(answer.body().toString()).isLessThan(300);
    return answer;
  }

  private Visitor.Answer page(UUID id) {
    return owner.get("/api/bottles/" + id);
  }

  private Visitor.Answer tap(UUID id, String what, Map<String, Object> said) {
    Map<String, Object> form = new HashMap<>(said);
    form.put("version", page(id).at("/bottle/version").asLong());
    return ok(owner.post("/api/bottles/" + id + "/" + what, form));
  }

  private Map<UUID, JsonNode> standing() {
    Map<UUID, JsonNode> all = new LinkedHashMap<>();
    owner
        .get("/api/bottles")
        .at("/bottles")
        .forEach(b -> all.put(UUID.fromString(b.get("id").asString()), b));
    return all;
  }

  private UUID portions(UUID but) {
    return standing().entrySet().stream()
        .filter(e -> e.getValue().get("container").asString().equals("CUBES"))
        .map(Map.Entry::getKey)
        .filter(id -> !id.equals(but))
        .findFirst()
        .orElseThrow();
  }

  private static Map<String, LocalDate> calendar(Visitor.File file) throws Exception {
    assertThat(file.caching())
        .as("a day that moved must not be seen from before")
        .contains("no-store");
    Calendar calendar =
        new CalendarBuilder()
            .build(new StringReader(new String(file.bytes(), StandardCharsets.UTF_8)));
    assertThat(calendar.validate().hasErrors()).isFalse();
    return calendar.<VEvent>getComponents("VEVENT").stream()
        .filter(e -> e.getDateTimeStart().getDate() instanceof LocalDate)
        .collect(
            Collectors.toMap(
                e -> e.getUid().orElseThrow().getValue().substring(0, 36),
                e -> (LocalDate) e.getDateTimeStart().getDate(),
                (a, b) -> a));
  }

  /** What a label says; empty for what must be thrown away, which gets none. */
  private String label(UUID id, boolean over) throws Exception {
    Visitor.File file =
        owner.print("/api/labels", Map.of("bottles", List.of(id), "format", "A4_8"));
    assertThat(file.status()).isEqualTo(over ? 400 : 200);
    if (over) {
      return "";
    }
    try (PDDocument document = Loader.loadPDF(file.bytes())) {
      return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
    }
  }

  /** All that shows a last day shows the same, and can say why. */
  private void morning(String feed) throws Exception {
    Map<String, LocalDate> inFile = calendar(owner.file("/api/shelf.ics"));
    Map<String, LocalDate> inFeed = calendar(new Visitor().file(feed));
    String table =
        new String(owner.file("/api/tables/bottles.csv").bytes(), StandardCharsets.UTF_8);
    for (Map.Entry<UUID, JsonNode> entry : standing().entrySet()) {
      String id = entry.getKey().toString();
      JsonNode onShelf = entry.getValue();
      LocalDate last = LocalDate.parse(onShelf.get("lastDay").asString());
      Visitor.Answer page = page(entry.getKey());
      assertThat(page.text("/keeping/lastDay")).as("page of " + onShelf).isEqualTo(last.toString());
      assertThat(inFile).as("calendar of " + onShelf).containsEntry(id, last);
      assertThat(inFeed).as("feed of " + onShelf).containsEntry(id, last);
      boolean over = onShelf.get("freshness").asString().equals("OVER");
      assertThat(label(entry.getKey(), over)).contains(over ? "" : DAY.format(last));
      assertThat(table)
          .contains(onShelf.get("code").asString() + "," + onShelf.get("number").asInt() + ",")
          .contains(last.toString());
      assertThat(page.at("/keeping/reasons").size()).isGreaterThan(2);
      assertThat(page.at("/keeping/reasons").toString()).contains("school gives it");
      boolean frozen = onShelf.get("place").asString().equals("FREEZER");
      LocalDate before = yesterday.put(id, last);
      if (before != null && !frozen) {
        assertThat(last).as("nothing but the cold lengthens life").isBeforeOrEqualTo(before);
      }
    }
  }

  private void throwAwayWhatIsOver() {
    standing()
        .forEach(
            (id, bottle) -> {
              if (bottle.get("freshness").asString().equals("OVER")) {
                tap(id, "discard", Map.of("reason", "DATE"));
              }
            });
  }

  @Test
  void everyDateAgreesEveryMorning() throws Exception {
    String feed = ok(owner.post("/api/feed", Map.of())).text("/path");
    UUID balm = Kitchenwork.bottled(owner, "lemon-balm-spray", 250);
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 250);
    UUID rinse = null;
    UUID cubes = null;
    for (int day = 1; day <= 14; day++) {
      owner.moveClock(20 * 3600);
      switch (day) {
        case 1 -> tap(balm, "events", Map.of("what", "LEFT_OUT", "hours", 5));
        case 2 -> {
          tap(
              gel,
              "events",
              Map.of("what", "FREEZE_PORTIONS", "portionMl", 30, "millilitres", 120));
          cubes = portions(gel);
          tap(gel, "take", Map.of("amount", "a third"));
        }
        case 3 -> {
          rinse = Kitchenwork.bottled(owner, "birch-sage-decoction", 500);
          ok(owner.post("/api/fridge", Map.of("what", "POWER_CUT", "hours", 9)));
          assertThat(page(gel).at("/keeping/reasons").toString()).contains("Power cut");
          // In the freezer the power cut is not billed: it was told of the fridge.
          assertThat(page(cubes).at("/keeping/reasons").toString()).doesNotContain("Power cut");
        }
        case 4 -> {
          tap(rinse, "take", Map.of("millilitres", 200));
          tap(balm, "events", Map.of("what", "POUR", "into", rinse, "millilitres", 100));
          assertThat(page(rinse).at("/keeping/reasons").toString()).contains("went into it");
          assertThat(LocalDate.parse(page(rinse).text("/keeping/lastDay")))
              .isBeforeOrEqualTo(LocalDate.parse(page(balm).text("/keeping/lastDay")));
        }
        case 6 -> {
          tap(cubes, "events", Map.of("what", "MOVE", "place", "FRIDGE"));
          assertThat(page(cubes).at("/keeping/reasons").toString()).contains("haw");
          assertThat(
                  owner
                      .post(
                          "/api/bottles/" + cubes + "/events",
                          Map.of(
                              "version",
                              page(cubes).at("/bottle/version").asLong(),
                              "what",
                              "MOVE",
                              "place",
                              "FREEZER"))
                      .status())
              .as("what was thawed is never frozen again")
              .isEqualTo(400);
        }
        case 9 -> Kitchenwork.bottled(owner, "hop-water-bath", 250);
        default -> {
          // A quiet day.
        }
      }
      morning(feed);
      owner.moveClock(4 * 3600);
      throwAwayWhatIsOver();
    }
    assertThat(owner.get("/api/waste?months=1").at("/thrownMl").asDouble()).isGreaterThan(100);
    assertThat(owner.get("/api/messages").body().toString())
        .contains("Its last day is today", "Throw away what is left");
  }

  /**
   * A label binds until its bottle is frozen: then the cold gives it another day, said and not in
   * silence, and the old label binds again when it was not frozen after all.
   */
  @Test
  void aLabelledBottleThatIsFrozenIsLabelledAnew() throws Exception {
    UUID gel = Kitchenwork.bottled(owner, "linseed-gel", 250);
    label(gel, false);
    LocalDate printed = LocalDate.parse(page(gel).text("/bottle/printedDay"));
    Map<String, Object> freeze =
        Map.of(
            "what",
            "MOVE",
            "place",
            "FREEZER",
            "version",
            page(gel).at("/bottle/version").asLong());
    Visitor.Answer whatIf = ok(owner.post("/api/bottles/" + gel + "/what-if", freeze));
    assertThat(LocalDate.parse(whatIf.text("/after/lastDay"))).isAfter(printed.plusDays(30));
    tap(gel, "events", Map.of("what", "MOVE", "place", "FREEZER"));
    assertThat(page(gel).text("/keeping/lastDay")).isEqualTo(whatIf.text("/after/lastDay"));
    assertThat(page(gel).at("/happenings/0/detail").asString())
        .contains("label said " + printed, "label it anew");
    tap(gel, "undo", Map.of());
    assertThat(page(gel).text("/keeping/lastDay")).isEqualTo(printed.toString());
    assertThat(page(gel).text("/bottle/printedDay")).isEqualTo(printed.toString());
  }
}
