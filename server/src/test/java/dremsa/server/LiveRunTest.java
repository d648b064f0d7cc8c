package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Runs as they go: overrides, log, cooling, days, reminders. */
class LiveRunTest extends RunWork {
  /** A gel at its boil. */
  private Visitor.Answer boiling() {
    Visitor.Answer run = start("linseed-gel", 300);
    while (!run.text("/prediction/steps/" + run.text("/step") + "/kind").equals("boil")) {
      owner.moveClock(300);
      run = finish(run);
    }
    return run;
  }

  private Visitor.Answer cooling() {
    Visitor.Answer run = boiling();
    owner.moveClock(360);
    run = finish(run);
    assertThat(run.text("/prediction/steps/" + run.text("/step") + "/kind")).isEqualTo("cool");
    return run;
  }

  @Test
  void severalRunInLanesAndWhatIsPlannedWaits() {
    start("lemon-balm-spray", 400);
    start("linseed-gel", 300);
    Instant at = Instant.parse(owner.get("/api/household").text("/now")).plusSeconds(7200);
    Map<String, Object> later = new HashMap<>(wanted("fennel-seed-rinse", 500));
    later.put("startAt", at.toString());
    Visitor.Answer planned = ok(owner.post("/api/batches", later));
    assertThat(planned.text("/status")).isEqualTo("PLANNED");
    JsonNode lanes = owner.get("/api/batches/running").body();
    assertThat(lanes.size()).isEqualTo(3);
    for (JsonNode lane : lanes) {
      assertThat(lane.at("/lane").size()).isEqualTo(lane.at("/steps").asInt());
      Instant before = Instant.MIN;
      for (JsonNode span : lane.at("/lane")) {
        assertThat(Instant.parse(span.at("/from").asString())).isAfterOrEqualTo(before);
        before = Instant.parse(span.at("/to").asString());
      }
      assertThat(before).isEqualTo(Instant.parse(lane.at("/readyAt").asString()));
    }
    assertThat(tap(planned, "/steps/0/finish", Map.of("cueSeen", true)).status()).isEqualTo(409);
    owner.moveClock(7300);
    assertThat(owner.get("/api/messages").at("/messages").toString()).contains("Time to begin");
    Visitor.Answer begun = ok(tap(planned, "/begin", Map.of()));
    assertThat(begun.text("/status")).isEqualTo("RUNNING");
    assertThat(tap(planned, "/begin", Map.of()).status()).isEqualTo(409);
  }

  @Test
  void readyByCountsBackFromTheEnd() {
    Instant now = Instant.parse(owner.get("/api/household").text("/now"));
    Map<String, Object> by = new HashMap<>(wanted("lemon-balm-spray", 400));
    by.put("readyBy", now.plus(Duration.ofHours(10)).toString());
    Visitor.Answer planned = ok(owner.post("/api/batches", by));
    Instant ready = Instant.parse(planned.text("/line/readyAt"));
    assertThat(Duration.between(ready, now.plus(Duration.ofHours(10))).abs())
        .isLessThan(Duration.ofSeconds(2));
    by.put("readyBy", now.plus(Duration.ofMinutes(20)).toString());
    assertThat(owner.post("/api/batches", by).fields()).containsExactly("readyBy");
    by.put("startAt", now.plus(Duration.ofHours(1)).toString());
    assertThat(owner.post("/api/batches", by).status()).isEqualTo(400);
    Visitor.Answer moved =
        ok(tap(planned, "/put-off", Map.of("startAt", now.plus(Duration.ofHours(3)).toString())));
    assertThat(moved.text("/startedAt"))
        .startsWith(now.plus(Duration.ofHours(3)).toString().substring(0, 19));
  }

  @Test
  void everyOverrideChangesThePredictionIsKeptWithItsReasonAndTakenBack() {
    Visitor.Answer run = boiling();
    double bottled = run.at("/prediction/bottledMl/value").asDouble();
    Visitor.Answer more =
        ok(tap(run, "/steps/{step}/extend", Map.of("minutes", 5, "reason", "still thin")));
    assertThat(more.at("/prediction/bottledMl/value").asDouble()).isLessThan(bottled - 20);
    assertThat(Instant.parse(more.text("/window/lateFrom")))
        .isEqualTo(Instant.parse(run.text("/window/lateFrom")).plusSeconds(300));
    Visitor.Answer wet =
        ok(
            tap(
                more,
                "/steps/{step}/water",
                Map.of("millilitres", 120, "celsius", 95, "reason", "too thick")));
    assertThat(wet.at("/prediction/water/in").asDouble())
        .isCloseTo(run.at("/prediction/water/in").asDouble() + 120, within(1.0));
    assertThat(wet.text("/lastTap")).isEqualTo("120 mL of water");
    Visitor.Answer back = ok(tap(wet, "/undo", Map.of()));
    assertThat(back.at("/prediction/water/in").asDouble())
        .isCloseTo(run.at("/prediction/water/in").asDouble(), within(0.1));
    Visitor.Answer first = ok(tap(back, "/undo", Map.of()));
    assertThat(first.at("/prediction/bottledMl/value").asDouble()).isCloseTo(bottled, within(0.5));
    assertThat(first.at("/happenings").toString())
        .contains("still thin", "too thick", "STEP_EXTENDED", "WATER_ADDED", "STEP_UNDONE");
  }

  @Test
  void aStepIsLeftOutOrDoneOnceMore() {
    Visitor.Answer run = cooling();
    int steps = run.at("/prediction/steps").size();
    Visitor.Answer more = ok(tap(run, "/steps/{step}/again", Map.of("reason", "too thin")));
    assertThat(more.at("/prediction/steps").size()).isEqualTo(steps + 1);
    assertThat(more.text("/prediction/steps/" + more.text("/step") + "/kind")).isEqualTo("boil");
    owner.moveClock(180);
    more = finish(more);
    assertThat(more.text("/prediction/steps/" + more.text("/step") + "/kind")).isEqualTo("cool");
    assertThat(more.at("/comparison/steps").toString()).contains("Boil");
    Visitor.Answer left = ok(tap(more, "/steps/{step}/skip", Map.of("reason", "used warm")));
    assertThat(left.at("/done/" + more.text("/step") + "/skipped").asBoolean()).isTrue();
    Visitor.Answer back = ok(tap(left, "/undo", Map.of()));
    back = ok(tap(back, "/undo", Map.of()));
    back = ok(tap(back, "/undo", Map.of()));
    assertThat(back.at("/prediction/steps").size()).isEqualTo(steps);
    assertThat(tap(start("linseed-gel", 300), "/steps/0/skip", Map.of("reason", "x")).status())
        .as("what puts the brew together cannot be left out")
        .isEqualTo(400);
  }

  @Test
  void leavingTheLatexInIsARecordedOverrideWithItsCaution() {
    Visitor.Answer run = start("aloe-juice-fresh", 150);
    while (!run.at("/prediction/steps/" + run.text("/step") + "/cautions")
        .toString()
        .contains("latex")) {
      run = finish(run);
    }
    Visitor.Answer left = ok(tap(run, "/steps/{step}/skip", Map.of("reason", "in a hurry")));
    assertThat(left.at("/happenings/0/detail").asString()).contains("in a hurry", "latex");
  }

  @Test
  void temperaturesCorrectTheCoolingWithAnInterval() {
    Visitor.Answer run = cooling();
    String strainAt = landmark(run, "STRAIN", "at");
    for (int i = 0; i < 4; i++) {
      owner.moveClock(240);
      double expected = celsiusNow(again(run));
      Visitor.Answer entered =
          enter(run, Map.of("kind", "TEMPERATURE", "amount", expected - 1.6, "sure", true));
      run = ok(entered);
    }
    assertThat(run.at("/fit/readings").asInt()).isEqualTo(4);
    assertThat(run.at("/fit/factor").asDouble()).isGreaterThan(1.02);
    assertThat(run.at("/fit/low").asDouble()).isLessThan(run.at("/fit/factor").asDouble());
    Instant strain = Instant.parse(landmark(run, "STRAIN", "at"));
    assertThat(strain).isBefore(Instant.parse(strainAt));
    if (!landmark(run, "STRAIN", "low").isEmpty()) {
      assertThat(Instant.parse(landmark(run, "STRAIN", "low"))).isBeforeOrEqualTo(strain);
    }
    long entry = run.at("/log/3/id").asLong();
    Visitor.Answer out = ok(owner.delete("/api/batches/" + run.text("/id") + "/entries/" + entry));
    assertThat(out.at("/fit/readings").asInt()).isEqualTo(3);
  }

  private static String landmark(Visitor.Answer run, String id, String field) {
    return run.at("/landmarks")
        .valueStream()
        .filter(l -> l.get("id").asString().equals(id))
        .map(l -> l.path(field).asString(""))
        .findFirst()
        .orElseThrow();
  }

  private static double celsiusNow(Visitor.Answer run) {
    double minute =
        Duration.between(Instant.parse(run.text("/startedAt")), Instant.parse(run.text("/now")))
                .toMillis()
            / 60_000.0;
    double celsius = Double.NaN;
    for (JsonNode point : run.at("/prediction/trace")) {
      if (point.at("/minute").asDouble() <= minute) {
        celsius = point.at("/celsius").asDouble();
      }
    }
    return celsius;
  }

  @Test
  void anotherWayToCoolIsSeenBeforeItIsTaken() {
    Visitor.Answer run = cooling();
    owner.moveClock(300);
    Visitor.Answer ways = ok(owner.get("/api/batches/" + run.text("/id") + "/cooling"));
    assertThat(ways.at("/ways").size()).isGreaterThanOrEqualTo(5);
    assertThat(ways.at("/ways/0/planned").asBoolean()).isTrue();
    double planned = ways.at("/ways/0/toStep").asDouble();
    double ice =
        ways.at("/ways")
            .valueStream()
            .filter(w -> w.get("way").asString().equals("ICE_BATH"))
            .mapToDouble(w -> w.get("toStep").asDouble())
            .min()
            .orElseThrow();
    assertThat(ice).isLessThan(planned / 2);
    Visitor.Answer iced =
        ok(tap(run, "/steps/{step}/cooling", Map.of("way", "ICE_BATH", "cover", true)));
    assertThat(iced.text("/line/headline")).contains("ice bath");
    double left =
        Duration.between(
                    Instant.parse(iced.text("/now")), Instant.parse(iced.text("/line/usualAt")))
                .toMillis()
            / 60_000.0;
    assertThat(left).as("as it was shown before").isCloseTo(ice, within(2.0));
    Visitor.Answer back = ok(tap(iced, "/undo", Map.of()));
    assertThat(back.text("/line/headline")).doesNotContain("ice bath");
  }

  @ParameterizedTest
  @CsvSource({
    "TEMPERATURE, 400, 400",
    "TEMPERATURE, -40, 400",
    "TEMPERATURE, 20, 422",
    "WEIGHT, 90000, 400",
    "VOLUME, 5000, 400",
    "VOLUME, 20, 422",
    "PH, 14.5, 400",
    "PH, 1.5, 422"
  })
  void whatCannotBeIsRefusedAndWhatSurprisesIsAskedBack(String kind, double amount, int status) {
    Visitor.Answer run = boiling();
    Visitor.Answer answer = enter(run, Map.of("kind", kind, "amount", amount));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(status);
    assertThat(answer.fields()).containsExactly("amount");
    assertThat(again(run).at("/log").size()).isZero();
    if (status == 422) {
      ok(enter(run, Map.of("kind", kind, "amount", amount, "sure", true)));
      assertThat(again(run).at("/log").size()).isEqualTo(1);
    }
  }

  @Test
  void whatIsMissingIsSaidAtItsPlace() {
    Visitor.Answer run = boiling();
    assertThat(enter(run, Map.of("kind", "TEMPERATURE")).fields()).containsExactly("amount");
    assertThat(enter(run, Map.of("kind", "SMELL", "words", " ")).fields()).containsExactly("words");
    assertThat(enter(run, Map.of("kind", "INGREDIENT", "subject", "gold", "amount", 3)).fields())
        .containsExactly("subject");
    assertThat(tap(run, "/steps/{step}/extend", Map.of("minutes", -3)).fields())
        .containsExactly("minutes");
    assertThat(
            tap(run, "/steps/{step}/water", Map.of("millilitres", 99_999, "celsius", 20)).fields())
        .containsExactly("millilitres");
  }

  @Test
  void whatWasReallyWeighedInMovesTheResult() {
    Visitor.Answer run = start("linseed-gel", 300);
    String seed =
        run.at("/prediction/amounts")
            .valueStream()
            .filter(a -> a.get("plant").asBoolean())
            .map(a -> a.get("ingredient").asString())
            .findFirst()
            .orElseThrow();
    double before = run.at("/prediction/thicknessMpas/value").asDouble();
    double grams =
        run.at("/prediction/amounts")
            .valueStream()
            .filter(a -> a.get("ingredient").asString().equals(seed))
            .mapToDouble(a -> a.get("grams").asDouble())
            .sum();
    Visitor.Answer more =
        ok(enter(run, Map.of("kind", "INGREDIENT", "subject", seed, "amount", grams * 1.25)));
    assertThat(more.at("/prediction/thicknessMpas/value").asDouble()).isGreaterThan(before * 1.2);
  }

  @Test
  void aTapThatCouldNotBeSentIsSetAtItsTime() {
    Visitor.Answer run = finish(start("lemon-balm-spray", 400));
    owner.moveClock(3 * 3600 + 1800);
    Visitor.Answer late =
        ok(
            tap(
                run,
                "/steps/{step}/finish",
                Map.of("cueSeen", true, "anyway", true, "secondsAgo", 1800)));
    Instant ended = Instant.parse(late.text("/done/1/endedAt"));
    assertThat(Duration.between(Instant.parse(late.text("/done/1/startedAt")), ended))
        .isBetween(Duration.ofMinutes(179), Duration.ofMinutes(181));
    assertThat(late.text("/done/1/timing")).isEqualTo("RIGHT");
    assertThat(
            tap(late, "/steps/{step}/finish", Map.of("cueSeen", true, "secondsAgo", 7200)).fields())
        .as("before the step began")
        .containsExactly("secondsAgo");
    assertThat(
            tap(late, "/steps/{step}/finish", Map.of("cueSeen", true, "secondsAgo", -5)).fields())
        .containsExactly("secondsAgo");
  }

  @Test
  void aDividedBatchGoesOnAsParts() {
    Visitor.Answer run = start("linseed-two-ways", 400);
    String id = run.text("/id");
    int common = run.at("/prediction/steps").size();
    for (int i = 0; i < common; i++) {
      owner.moveClock(300);
      run = finish(run);
    }
    assertThat(run.text("/status")).isEqualTo("DIVIDED");
    assertThat(run.at("/kin").size()).isGreaterThanOrEqualTo(2);
    JsonNode lanes = owner.get("/api/batches/running").body();
    assertThat(lanes.size()).isEqualTo(run.at("/kin").size());
    Visitor.Answer part = ok(owner.get("/api/batches/" + run.text("/kin/0/id")));
    double whole = run.at("/prediction/bottledMl/value").asDouble();
    assertThat(part.at("/prediction/bottledMl/value").asDouble()).isLessThan(whole);
    // Nothing was done to the parts: the dividing can be taken back.
    Visitor.Answer back = ok(tap(run, "/undo", Map.of()));
    assertThat(back.text("/status")).isEqualTo("RUNNING");
    assertThat(owner.get("/api/batches/running").body().size()).isEqualTo(1);
    run = finish(back);
    part = ok(owner.get("/api/batches/" + run.text("/kin/0/id")));
    while (part.text("/status").equals("RUNNING")) {
      owner.moveClock(200);
      boolean last = part.at("/line/last").asBoolean();
      double ml = Math.floor(part.at("/prediction/bottledMl/value").asDouble());
      part =
          last
              ? ok(
                  tap(
                      part,
                      "/steps/{step}/finish",
                      Map.of(
                          "cueSeen",
                          true,
                          "anyway",
                          true,
                          "bottles",
                          List.of(Map.of("container", "JAR", "sizeMl", 500, "millilitres", ml)))))
              : finish(part);
    }
    assertThat(part.text("/status")).isEqualTo("BOTTLED");
    assertThat(owner.get("/api/bottles").at("/bottles").size()).isEqualTo(1);
    assertThat(tap(again(run), "/undo", Map.of()).status())
        .as("a part went on: the whole stays divided")
        .isEqualTo(409);
    assertThat(id).isEqualTo(run.text("/id"));
  }

  @Test
  void theEndIsHeldAgainstThePlan() {
    Visitor.Answer run = boiling();
    owner.moveClock(14 * 60);
    run = finish(run);
    JsonNode compared = run.at("/comparison");
    double planned = figure(compared, "Steam", "planned");
    double real = figure(compared, "Steam", "real");
    assertThat(real).isGreaterThan(planned + 40);
    assertThat(figure(compared, "Thickness, cold", "real"))
        .isGreaterThan(figure(compared, "Thickness, cold", "planned"));
  }

  private static double figure(JsonNode compared, String name, String which) {
    return compared
        .at("/figures")
        .valueStream()
        .filter(f -> f.get("name").asString().equals(name))
        .mapToDouble(f -> f.get(which).asDouble())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aClockThatWentBackSetsNoStepBeforeItsBeginning() {
    Visitor.Answer run = finish(start("lemon-balm-spray", 400));
    owner.moveClock(-1800);
    assertThat(enter(run, Map.of("kind", "NOTE", "words", "odd")).status()).isEqualTo(200);
    Visitor.Answer done = finish(again(run));
    assertThat(done.text("/done/1/endedAt")).isEqualTo(done.text("/done/1/startedAt"));
    assertThat(done.text("/done/1/timing")).isEqualTo("EARLY");
    assertThat(done.text("/done/2/startedAt")).isEqualTo(done.text("/done/1/endedAt"));
  }

  @Test
  void aDoubleTapCountsOnce() {
    Visitor.Answer run = boiling();
    String key = UUID.randomUUID().toString();
    String path = "/api/batches/" + run.text("/id") + "/entries";
    Map<String, Object> note = Map.of("kind", "NOTE", "words", "froth");
    ok(owner.post(path, note, key));
    ok(owner.post(path, note, key));
    assertThat(again(run).at("/log").size()).isEqualTo(1);
  }

  @Test
  void nobodyElseEntersOrTaps() {
    Visitor.Answer run = boiling();
    Visitor other = Visitor.withHousehold();
    String path = "/api/batches/" + run.text("/id");
    for (String door : List.of("/entries", "/steps/2/skip", "/steps/2/extend", "/following")) {
      Map<String, Object> form =
          Map.of(
              "version", 1, "kind", "NOTE", "words", "x", "reason", "x", "minutes", 3, "device",
              "x");
      assertThat(other.post(path + door, form).status()).as(door).isIn(400, 404);
    }
    for (String file : List.of("/readings.csv", "/steps.ics", "/sheet.pdf", "/cooling")) {
      assertThat(other.get(path + file).status()).as(file).isEqualTo(404);
    }
  }
}
