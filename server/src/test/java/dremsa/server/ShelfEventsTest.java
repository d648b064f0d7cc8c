package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What happens to bottles and to the fridge that they stand in. */
class ShelfEventsTest {
  private final Visitor owner = Visitor.withHousehold();

  private Visitor.Answer bottle(UUID id) {
    return ok(owner.get("/api/bottles/" + id));
  }

  private static Visitor.Answer ok(Visitor.Answer answer) {
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer;
  }

  private Visitor.Answer event(UUID id, String what, Map<String, ?> more) {
    return owner.post("/api/bottles/" + id + "/events", form(id, what, more));
  }

  private Map<String, Object> form(UUID id, String what, Map<String, ?> more) {
    Map<String, Object> form = new HashMap<>(more);
    form.put("what", what);
    form.put("version", bottle(id).at("/bottle/version").asLong());
    return form;
  }

  private Visitor.Answer undo(UUID id) {
    return owner.post(
        "/api/bottles/" + id + "/undo",
        Map.of("version", bottle(id).at("/bottle/version").asLong()));
  }

  private static Instant runsOut(Visitor.Answer bottle) {
    return Instant.parse(bottle.text("/keeping/runsOut"));
  }

  private UUID spray() {
    UUID id = Kitchenwork.bottled(owner, "lemon-balm-spray", 250);
    owner.moveClock(12 * 3600);
    return id;
  }

  @Test
  void leftOutCostsWhatWasShownBeforeAndIsTakenBack() {
    UUID id = spray();
    Instant before = runsOut(bottle(id));
    Visitor.Answer look =
        ok(owner.post("/api/bottles/" + id + "/what-if", form(id, "LEFT_OUT", Map.of("hours", 6))));
    assertThat(bottle(id).at("/happenings").toString()).doesNotContain("LEFT_OUT");
    Visitor.Answer out = ok(event(id, "LEFT_OUT", Map.of("hours", 6)));
    assertThat(runsOut(out)).isBefore(before);
    double shown =
        Instant.parse(look.text("/after/runsOut")).getEpochSecond() - before.getEpochSecond();
    double real = runsOut(out).getEpochSecond() - before.getEpochSecond();
    assertThat(real).isCloseTo(shown, within(700.0));
    assertThat(out.at("/keeping/reasons").toString()).contains("Left out");
    assertThat(owner.get("/api/bottles").text("/bottles/0/lastDay"))
        .isEqualTo(out.text("/keeping/lastDay"));
    Visitor.Answer back = ok(undo(id));
    assertThat(runsOut(back)).isEqualTo(before);
  }

  @Test
  void aPlaceCountsFromWhenItIsThere() {
    UUID id = spray();
    Visitor.Answer out = ok(event(id, "MOVE", Map.of("place", "BATHROOM")));
    assertThat(out.text("/bottle/place")).isEqualTo("BATHROOM");
    assertThat(out.text("/keeping/clock")).isEqualTo("ROOM");
    assertThat(event(id, "MOVE", Map.of("place", "BATHROOM")).status()).isEqualTo(409);
    Visitor.Answer back = ok(event(id, "MOVE", Map.of("place", "FRIDGE")));
    assertThat(back.text("/bottle/place")).isEqualTo("FRIDGE");
    ok(undo(id));
    assertThat(bottle(id).text("/bottle/place")).isEqualTo("BATHROOM");
  }

  @Test
  void frozenItWaitsThawedItHasTwoDaysAndIsNeverFrozenAgain() {
    UUID id = spray();
    LocalDate last = LocalDate.parse(bottle(id).text("/keeping/lastDay"));
    Visitor.Answer frozen = ok(event(id, "MOVE", Map.of("place", "FREEZER")));
    assertThat(LocalDate.parse(frozen.text("/keeping/lastDay"))).isAfter(last.plusDays(60));
    owner.moveClock(20 * 24 * 3600);
    Visitor.Answer thawed = ok(event(id, "MOVE", Map.of("place", "FRIDGE")));
    assertThat(thawed.text("/keeping/clock")).isEqualTo("THAWED");
    LocalDate today = LocalDate.parse(thawed.text("/today"));
    assertThat(LocalDate.parse(thawed.text("/keeping/lastDay")))
        .isBetween(today, today.plusDays(2));
    Visitor.Answer again = event(id, "MOVE", Map.of("place", "FREEZER"));
    assertThat(again.fields()).containsExactly("place");
    assertThat(again.text("/detail")).contains("never frozen again");
    assertThat(thawed.at("/happenings").toString()).contains("FROZEN", "THAWED");
  }

  @Test
  void halfIsFrozenInPortionsAndTakenBack() {
    UUID id = spray();
    double before = bottle(id).at("/bottle/leftMl").asDouble();
    ok(event(id, "FREEZE_PORTIONS", Map.of("portionMl", 30, "millilitres", 120)));
    Visitor.Answer shelf = owner.get("/api/bottles");
    assertThat(shelf.at("/bottles").size()).isEqualTo(2);
    assertThat(bottle(standing("CUBES")).text("/bottle/place")).isEqualTo("FREEZER");
    assertThat(bottle(id).at("/bottle/leftMl").asDouble()).isCloseTo(before - 120, within(0.01));
    ok(undo(id));
    assertThat(owner.get("/api/bottles").at("/bottles").size()).isEqualTo(1);
    assertThat(bottle(id).at("/bottle/leftMl").asDouble()).isCloseTo(before, within(0.01));
    assertThat(event(id, "FREEZE_PORTIONS", Map.of("portionMl", 30, "millilitres", 9000)).fields())
        .containsExactly("millilitres");
  }

  @Test
  void someOfThePortionsIsThawedAndTakenBack() {
    UUID id = spray();
    ok(event(id, "FREEZE_PORTIONS", Map.of("portionMl", 30, "millilitres", 120)));
    UUID cubes = standing("CUBES");
    assertThat(event(id, "THAW_PORTIONS", Map.of("millilitres", 60)).status())
        .as("it is not frozen")
        .isEqualTo(409);
    assertThat(event(cubes, "THAW_PORTIONS", Map.of("millilitres", 900)).fields())
        .containsExactly("millilitres");
    ok(event(cubes, "THAW_PORTIONS", Map.of("millilitres", 60)));
    UUID jar = standing("JAR");
    assertThat(bottle(jar).text("/bottle/place")).isEqualTo("FRIDGE");
    LocalDate today = LocalDate.parse(owner.get("/api/people").text("/today"));
    assertThat(LocalDate.parse(bottle(jar).text("/bottle/lastDay")))
        .isBetween(today, today.plusDays(2));
    assertThat(bottle(cubes).at("/bottle/leftMl").asDouble()).isCloseTo(60, within(0.01));
    assertThat(event(jar, "MOVE", Map.of("place", "FREEZER")).text("/detail"))
        .contains("never frozen again");
    ok(undo(jar));
    assertThat(owner.get("/api/bottles").at("/bottles").size()).isEqualTo(2);
    assertThat(bottle(cubes).at("/bottle/leftMl").asDouble()).isCloseTo(120, within(0.01));
  }

  private UUID standing(String container) {
    return owner
        .get("/api/bottles")
        .at("/bottles")
        .valueStream()
        .filter(b -> b.get("container").asString().equals(container))
        .map(b -> UUID.fromString(b.get("id").asString()))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aMixtureKeepsAsItsWorstPartAndIsUndoneOnBothSides() {
    UUID old = spray();
    owner.moveClock(2 * 24 * 3600);
    Kitchenwork.bottled(owner, "birch-sage-decoction", 500);
    UUID young =
        owner
            .get("/api/bottles")
            .at("/bottles")
            .valueStream()
            .filter(b -> b.get("sizeMl").asDouble() == 500)
            .map(b -> UUID.fromString(b.get("id").asString()))
            .findFirst()
            .orElseThrow();
    ok(
        owner.post(
            "/api/bottles/" + young + "/take",
            Map.of("version", bottle(young).at("/bottle/version").asLong(), "millilitres", 200)));
    Instant oldEnd = runsOut(bottle(old));
    Instant youngEnd = runsOut(bottle(young));
    assertThat(oldEnd).isBefore(youngEnd);
    Visitor.Answer look =
        ok(
            owner.post(
                "/api/bottles/" + old + "/what-if",
                form(old, "POUR", Map.of("into", young, "millilitres", 100))));
    ok(event(old, "POUR", Map.of("into", young, "millilitres", 100)));
    Visitor.Answer mixed = bottle(young);
    assertThat(runsOut(mixed)).isBeforeOrEqualTo(oldEnd);
    assertThat(mixed.text("/keeping/lastDay")).isEqualTo(look.text("/after/lastDay"));
    assertThat(mixed.at("/keeping/reasons").toString()).contains("went into it");
    double left = mixed.at("/bottle/leftMl").asDouble();
    assertThat(event(old, "POUR", Map.of("into", young, "millilitres", 140)).fields())
        .as("more than fits")
        .containsExactly("millilitres");
    ok(undo(young));
    assertThat(runsOut(bottle(young))).isEqualTo(youngEnd);
    assertThat(bottle(young).at("/bottle/leftMl").asDouble()).isCloseTo(left - 100, within(0.01));
    assertThat(event(old, "POUR", Map.of("into", old, "millilitres", 10)).fields())
        .containsExactly("into");
  }

  @Test
  void theSchoolIsTheBatchsOwnAndALaterDateIsSaidToBeMarked() {
    UUID id = spray();
    LocalDate careful = LocalDate.parse(bottle(id).text("/keeping/lastDay"));
    Visitor.Answer practice =
        ok(event(id, "SCHOOL", Map.of("school", "PRACTICE", "cleanWorking", true)));
    assertThat(LocalDate.parse(practice.text("/keeping/lastDay"))).isAfter(careful);
    assertThat(practice.text("/keptBy/school")).isEqualTo("PRACTICE");
    boolean marked = practice.at("/keeping/marked").asBoolean();
    assertThat(owner.get("/api/bottles").at("/bottles/0/marked").asBoolean()).isEqualTo(marked);
    ok(undo(id));
    assertThat(LocalDate.parse(bottle(id).text("/keeping/lastDay"))).isEqualTo(careful);
    assertThat(bottle(id).text("/keptBy/school")).isEqualTo("CAREFUL");
  }

  @Test
  void aPowerCutIsSeenFirstCountsForAllAndIsTakenBack() {
    UUID id = spray();
    UUID jar = Kitchenwork.bottled(owner, "linseed-gel", 250);
    owner.moveClock(3600 * 14);
    Map<String, Instant> before = ends();
    Map<String, Object> cut = Map.of("what", "POWER_CUT", "hours", 9);
    Visitor.Answer look = ok(owner.post("/api/fridge?look=true", cut));
    assertThat(look.at("/bottles").size()).isEqualTo(2);
    assertThat(ends()).isEqualTo(before);
    Visitor.Answer done = ok(owner.post("/api/fridge", cut));
    assertThat(done.at("/bottles").toString()).isEqualTo(look.at("/bottles").toString());
    for (UUID bottle : List.of(id, jar)) {
      assertThat(runsOut(bottle(bottle))).isBefore(before.get(bottle.toString()));
      assertThat(bottle(bottle).at("/keeping/reasons").toString()).contains("Power cut");
    }
    // The last thing done to a bottle is not what befell the fridge: that is taken back there.
    assertThat(undo(id).status()).isEqualTo(409);
    ok(owner.delete("/api/fridge/" + done.text("/id")));
    assertThat(ends()).isEqualTo(before);
    assertThat(bottle(id).at("/happenings/0/undone").asBoolean()).isTrue();
    assertThat(owner.delete("/api/fridge/" + done.text("/id")).status()).isEqualTo(404);
    assertThat(Visitor.withHousehold().delete("/api/fridge/" + done.text("/id")).status())
        .isEqualTo(404);
  }

  private Map<String, Instant> ends() {
    Map<String, Instant> ends = new HashMap<>();
    owner
        .get("/api/bottles")
        .at("/bottles")
        .valueStream()
        .map(b -> b.get("id").asString())
        .forEach(id -> ends.put(id, runsOut(bottle(UUID.fromString(id)))));
    return ends;
  }

  /** The same warm night, however the logger writes it. */
  private String log(String style) {
    Instant now = Instant.parse(owner.get("/api/household").text("/now"));
    ZoneId dublin = ZoneId.of("Europe/Dublin");
    StringBuilder csv =
        new StringBuilder(
            switch (style) {
              case "semicolon" -> "Zeit;Temperatur\r\n";
              case "tab" -> "when\twhat\n";
              case "fahrenheit" -> "time,temp (°F)\n";
              default -> "time,celsius\n";
            });
    for (int i = 60; i >= 1; i--) {
      Instant at = now.minusSeconds(600L * i);
      double celsius = i > 30 ? 4.5 : 13;
      LocalDateTime local = LocalDateTime.ofInstant(at, dublin);
      csv.append(
          switch (style) {
            case "semicolon" ->
                DateTimeFormatter.ofPattern("dd.MM.yyyy HH:mm:ss").format(local)
                    + ";"
                    + String.valueOf(celsius).replace('.', ',')
                    + "\r\n";
            case "tab" ->
                DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss").format(local)
                    + "\t"
                    + celsius
                    + "\n";
            case "fahrenheit" -> at + "," + (celsius * 1.8 + 32) + "\n";
            case "zone" ->
                DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss")
                        .format(LocalDateTime.ofInstant(at, ZoneId.of("Asia/Tokyo")))
                    + ","
                    + celsius
                    + "\n";
            default -> at + "," + celsius + "\n";
          });
    }
    return csv.toString();
  }

  private Visitor.Answer read(String csv, String query) {
    return owner.upload(
        "/api/fridge/fridge-log" + query,
        "text/csv;charset=UTF-8",
        csv.getBytes(java.nio.charset.StandardCharsets.UTF_8));
  }

  @ParameterizedTest
  @ValueSource(strings = {"plain", "semicolon", "tab", "fahrenheit", "zone"})
  void aLogIsReadInWhateverDressItComes(String style) {
    spray();
    String query = style.equals("zone") ? "&zone=Asia/Tokyo" : "";
    Visitor.Answer look = ok(read(log(style), "?look=true" + query));
    assertThat(look.at("/readings").asInt()).isEqualTo(60);
    assertThat(look.at("/warmest").asDouble()).isCloseTo(13, within(0.06));
    assertThat(look.at("/left").size()).isZero();
    Visitor.Answer done = ok(read(log(style), "?look=false" + query));
    assertThat(done.text("/id")).isNotEmpty();
    UUID id = UUID.fromString(done.text("/bottles/0/id"));
    // Five hours at 13 °C cost 5 × (1 + 1.3)²/2.25, less the five hours that passed anyway.
    double spent =
        bottle(id)
            .at("/keeping/spent")
            .valueStream()
            .filter(s -> s.get("cause").asString().equals("Fridge logger"))
            .mapToDouble(s -> s.get("spentHours").asDouble())
            .sum();
    assertThat(spent).isCloseTo(5 * 2.3 * 2.3 / 2.25, within(0.5));
  }

  @Test
  void aLogThatCannotBeReadIsSaidWhereAndNothingChanges() {
    UUID id = spray();
    Instant before = runsOut(bottle(id));
    assertThat(read("", "").status()).isEqualTo(400);
    assertThat(read("time,celsius\nnever,cold\n", "").fields()).containsExactly("file");
    assertThat(read("\"time,celsius\n1,2", "").fields()).containsExactly("file");
    assertThat(read(log("plain"), "?zone=Atlantis/North").fields()).containsExactly("zone");
    Visitor.Answer unsaid = read(log("fahrenheit").replace("temp (°F)", "temp"), "");
    assertThat(unsaid.status()).isEqualTo(422);
    assertThat(unsaid.fields()).containsExactly("unit");
    ok(read(log("fahrenheit").replace("temp (°F)", "temp"), "?unit=F&look=true"));
    String[] lines = log("plain").split("\n");
    lines[7] = "not a line";
    lines[9] = lines[9].replaceAll(",.*", ",999");
    List<String> holes = new ArrayList<>(List.of(lines));
    holes.subList(20, 45).clear();
    Visitor.Answer holed = ok(read(String.join("\n", holes), "?look=true"));
    assertThat(holed.at("/left").size()).isEqualTo(2);
    assertThat(holed.at("/gaps").size()).isEqualTo(1);
    assertThat(owner.upload("/api/fridge/fridge-log", "text/csv", new byte[200_000_000]).status())
        .isEqualTo(413);
    assertThat(runsOut(bottle(id))).isEqualTo(before);
  }

  @ParameterizedTest
  @CsvSource({
    "LEFT_OUT, hours, 0",
    "LEFT_OUT, hours, -4",
    "LEFT_OUT, hours, 900",
    "POUR, millilitres, 0",
    "FREEZE_PORTIONS, portionMl, 2"
  })
  void whatCannotHaveHappenedIsRefusedAtItsPlace(String what, String field, double value) {
    UUID id = spray();
    UUID other = Kitchenwork.bottled(owner, "fennel-seed-rinse", 500);
    Map<String, Object> more =
        new HashMap<>(Map.of("into", other, "millilitres", 20, "portionMl", 20, "hours", 3));
    more.put(field, value);
    assertThat(event(id, what, more).fields()).containsExactly(field);
    more.put(field, 20);
    more.put("hoursAgo", 500);
    assertThat(event(id, what, more).fields())
        .as("before it was filled")
        .containsExactly("hoursAgo");
    more.put("hoursAgo", -3);
    assertThat(event(id, what, more).fields()).as("still to come").containsExactly("hoursAgo");
  }

  @Test
  void theOrderOfIndependentEventsDoesNotMatter() {
    UUID id = spray();
    owner.moveClock(24 * 3600);
    List<Map<String, Object>> events =
        new ArrayList<>(
            List.of(
                Map.of("what", "LEFT_OUT", "hours", 2, "hoursAgo", 20),
                Map.of("what", "LEFT_OUT", "hours", 5, "hoursAgo", 9),
                Map.of("what", "OPEN", "hoursAgo", 4)));
    List<String> ends = new ArrayList<>();
    Random dice = new Random(3);
    for (int round = 0; round < 4; round++) {
      Collections.shuffle(events, dice);
      for (Map<String, Object> e : events) {
        ok(event(id, (String) e.get("what"), e));
      }
      ok(
          owner.post(
              "/api/fridge",
              Map.of("what", "WARM", "hours", 3, "celsius", 11, "endedHoursAgo", 6)));
      Instant end = runsOut(bottle(id));
      ends.add(String.valueOf(end.getEpochSecond() / 60));
      String fridge = owner.get("/api/fridge").text("/0/id");
      ok(owner.delete("/api/fridge/" + fridge));
      for (int i = 0; i < events.size(); i++) {
        // The event of the fridge stands among the bottle's own: it is undone by itself.
        ok(undo(id));
      }
    }
    assertThat(ends).containsOnly(ends.get(0));
  }

  @Test
  void whatIsDueForABottleStandsInTheTray() {
    UUID id = spray();
    String coming = owner.get("/api/messages").at("/coming").toString();
    assertThat(coming).contains("Its last day is today", "Throw away what is left");
    LocalDate last = LocalDate.parse(bottle(id).text("/keeping/lastDay"));
    LocalDate today = LocalDate.parse(bottle(id).text("/today"));
    owner.moveClock((last.toEpochDay() - today.toEpochDay()) * 24 * 3600);
    assertThat(owner.get("/api/messages").at("/messages").toString()).contains("Use it soon");
    ok(
        owner.post(
            "/api/bottles/" + id + "/finish",
            Map.of("version", bottle(id).at("/bottle/version").asLong())));
    assertThat(owner.get("/api/messages").at("/coming").toString())
        .doesNotContain("Throw away what is left");
    assertThat(
            owner
                .post(
                    "/api/bottles/" + id + "/discard",
                    Map.of("version", bottle(id).at("/bottle/version").asLong(), "reason", "DATE"))
                .status())
        .as("twice")
        .isEqualTo(409);
  }
}
