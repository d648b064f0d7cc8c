package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What goes in now, how hot it is, and what an early end does: said at the step itself. */
class AtTheHobTest extends RunWork {
  private static final String FINISH = "/steps/{step}/finish";

  private Visitor.Answer to(Visitor.Answer from, String kind) {
    Visitor.Answer run = from;
    while (!kindNow(run).equals(kind)) {
      owner.moveClock(minutes(run) * 60);
      run = finish(run);
    }
    return run;
  }

  private static String kindNow(Visitor.Answer run) {
    return run.text("/prediction/steps/" + run.text("/step") + "/kind");
  }

  private static long minutes(Visitor.Answer run) {
    String step = "/prediction/steps/" + run.text("/step");
    return Math.round(
        run.at(step + "/endMinute").asDouble() - run.at(step + "/startMinute").asDouble());
  }

  /** A gel, sieved hot, with a preservative by percent and drops. */
  private Visitor.Answer dosed() {
    Visitor.Answer own =
        owner.post("/api/formulas", Map.of("copyOf", "linseed-light", "name", "Dosed lotion"));
    ObjectNode formula = (ObjectNode) own.at("/formula").deepCopy();
    ArrayNode ingredients = (ArrayNode) formula.get("ingredients");
    ingredients
        .addObject()
        .put("key", "benzoate")
        .put("material", "sodium-benzoate")
        .put("percent", 0.4);
    ingredients
        .addObject()
        .put("key", "oil")
        .put("material", "lavender-essential")
        .put("dropsPer100Ml", 2);
    ArrayNode steps = (ArrayNode) formula.get("steps");
    ObjectNode add = steps.insertObject(steps.size() - 1);
    add.put("kind", "add").put("celsius", 40);
    add.putArray("ingredients").add("benzoate").add("oil");
    add.putObject("guide").put("how", "").put("cue", "").put("early", "").put("late", "");
    ok(
        owner.put(
            "/api/formulas/" + own.text("/id"),
            Map.of("formula", formula, "version", own.at("/version").asLong())));
    return start(own.text("/id"), 400);
  }

  @Test
  void whatToDoNowIsTheBeginningOfARunThenItsNextCall() {
    Visitor.Answer run = start("lemon-balm-spray", 500);
    Visitor.Answer today = owner.get("/api/today");
    assertThat(today.at("/0/kind").asString()).isEqualTo("POT_NOW");
    assertThat(today.at("/0/id").asString()).isEqualTo(run.text("/id"));
    while (!kindNow(run).equals("steep")) {
      owner.moveClock(minutes(run) * 60);
      run = finish(run);
    }
    today = owner.get("/api/today");
    assertThat(today.at("/0/kind").asString()).isEqualTo("POT_LATER");
    assertThat(today.at("/0/words").asString()).startsWith("Lemon balm spray: ");
    assertThat(today.at("/0/at").asString())
        .isGreaterThan(owner.get("/api/household").text("/now"));
  }

  @Test
  void stirInNamesWhatGoesInForWhatIsReallyThere() {
    Visitor.Answer run = to(dosed(), "strain");
    String step = run.text("/step");
    assertThat(run.at("/handling").size()).isGreaterThanOrEqualTo(2);
    assertThat(run.text("/prediction/steps/" + step + "/hot")).startsWith("About ");
    run =
        ok(
            tap(
                run,
                FINISH,
                Map.of("cueSeen", true, "readings", Map.of("VOLUME", 250), "sure", true)));
    run = to(run, "add");
    String add = "/prediction/steps/" + run.text("/step");
    assertThat(run.at(add + "/goesIn").size()).isEqualTo(2);
    assertThat(run.text(add + "/goesIn/0/dose")).isEqualTo("0.4 % of it");
    assertThat(run.at(add + "/goesIn/0/portion/grams").asDouble()).isCloseTo(1, within(0.1));
    assertThat(run.at(add + "/goesIn/0/plannedGrams").asDouble()).isCloseTo(1.6, within(0.2));
    assertThat(run.text(add + "/goesIn/0/why"))
        // What was measured hot steams a little more while it cools.
        .matches("There are 24\\d mL, not 400 mL as planned: measured at .*");
    assertThat(run.at(add + "/goesIn/1/portion/drops").asInt()).isEqualTo(4);
    assertThat(run.at(add + "/hot").isNull()).isTrue();
  }

  @Test
  void aReadingAskedBackStaysAReadingAndTheStepStays() {
    Visitor.Answer run = start("lemon-balm-spray", 400);
    Map<String, Object> entry = Map.of("kind", "TEMPERATURE", "amount", 95);
    assertThat(enter(run, entry).text("/type")).endsWith("questioned");
    Visitor.Answer kept = ok(enter(run, Map.of("kind", "TEMPERATURE", "amount", 95, "sure", true)));
    assertThat(kept.text("/step")).isEqualTo(run.text("/step"));
    assertThat(kept.at("/log").size()).isEqualTo(1);
  }

  @Test
  void aBoilThatWasSeenIsBelieved() {
    Visitor.Answer run = finish(start("birch-sage-decoction", 500));
    owner.moveClock(12);
    assertThat(tap(run, FINISH, Map.of("cueSeen", false)).text("/detail"))
        .startsWith("It does not boil yet: about");
    run = ok(tap(run, FINISH, Map.of("cueSeen", true)));
    double celsius = run.at("/prediction/steps/" + run.text("/step") + "/startC").asDouble();
    assertThat(celsius).isGreaterThan(95);
  }

  @Test
  void anEarlyEndAsksOnceAndLeavesItsMark() {
    Visitor.Answer run = to(start("lemon-balm-spray", 400), "steep");
    owner.moveClock(10);
    Visitor.Answer asked = tap(run, FINISH, Map.of("cueSeen", true));
    assertThat(asked.status()).isEqualTo(422);
    assertThat(asked.text("/type")).endsWith("early");
    assertThat(asked.text("/detail")).matches("Too early: [1-5]\\d s of 3 h\\.");
    assertThat(asked.at("/errors/0/message").asString())
        .matches("strength: \\d+ % instead of \\d+ %");
    run = ok(tap(run, FINISH, Map.of("cueSeen", true, "anyway", true)));
    assertThat(run.text("/marks/0")).containsPattern("took [1-5]\\d s, less than");
    run = to(run, "bottle");
    double ml = Math.floor(run.at("/prediction/bottledMl/value").asDouble());
    ok(
        tap(
            run,
            FINISH,
            Map.of(
                "cueSeen",
                true,
                "bottles",
                List.of(Map.of("container", "SPRAY", "sizeMl", 500, "millilitres", ml)))));
    Visitor.Answer shelf = ok(owner.get("/api/bottles"));
    Visitor.Answer bottle = ok(owner.get("/api/bottles/" + shelf.text("/bottles/0/id")));
    assertThat(bottle.text("/marks/0")).contains("Strength about");
  }

  @Test
  void coldBrewsAreNotWarned() {
    Visitor.Answer run = start("nigella-soak", 300);
    for (int i = 0; i < run.at("/prediction/steps").size(); i++) {
      assertThat(run.at("/prediction/steps/" + i + "/hot").isNull()).isTrue();
    }
  }

  @Test
  void aPotThatIsLeftStandingCoolsOnWhileItWaits() {
    Visitor.Answer run = to(dosed(), "strain");
    String step = "/prediction/steps/" + run.text("/step");
    double hot = run.at(step + "/startC").asDouble();
    owner.moveClock(3600);
    Visitor.Answer later = again(run);
    assertThat(later.at(step + "/endC").asDouble()).isLessThan(hot - 25);
  }

  @Test
  void aJarThatIsHeldIsNotGivenOutTwice() {
    String vessel = "/prediction/vessels/0/name";
    Visitor.Answer first = start("nigella-soak", 300);
    Visitor.Answer second = start("nigella-soak", 300);
    assertThat(second.text(vessel)).isNotEqualTo(first.text(vessel));
    // A third finds all of its kind held, is told by what and till when, and can wait for it.
    Visitor.Answer third = ok(owner.post("/api/predictions", wanted("nigella-soak", 300)));
    assertThat(third.text("/conflicts/0/what")).isIn(first.text(vessel), second.text(vessel));
    assertThat(third.text("/conflicts/0/brew")).isEqualTo(first.text("/name"));
    String free = third.text("/conflicts/0/until");
    Map<String, Object> later = new java.util.HashMap<>(wanted("nigella-soak", 300));
    later.put("startAt", java.time.Instant.parse(free).plusSeconds(60).toString());
    assertThat(ok(owner.post("/api/predictions", later)).at("/conflicts").size()).isZero();
    // When all is free again is said, and what begins then finds all free.
    Map<String, Object> then = new java.util.HashMap<>(later);
    then.put("startAt", third.text("/freeFrom"));
    Visitor.Answer begun = ok(owner.post("/api/predictions", then));
    assertThat(begun.at("/conflicts").size()).isZero();
    assertThat(begun.text("/startsAt")).isEqualTo(third.text("/freeFrom"));
    Visitor.Answer held = ok(owner.get("/api/batches/in-use"));
    assertThat(held.body().valueStream().map(h -> h.get("name").asString()))
        .contains(first.text(vessel), second.text(vessel));
  }

  @Test
  void anAddressThatNobodyKnowsLeadsToThePage() {
    for (String known : java.util.List.of("/nowhere", "/nowhere/at/all", "/kitchen/of/nobody")) {
      assertThat(owner.file(known).status()).as(known).isEqualTo(200);
      assertThat(new String(owner.file(known).bytes(), java.nio.charset.StandardCharsets.UTF_8))
          .contains("<div id=\"root\">");
    }
    assertThat(owner.get("/api/nowhere").status()).isEqualTo(404);
    assertThat(owner.file("/nowhere.svg").status()).isEqualTo(404);
  }

  @Test
  void readyByATimeSaysWhenToBeginBeforeAnythingIsKept() {
    java.time.Instant seven =
        java.time.Instant.parse(owner.get("/api/household").text("/now")).plusSeconds(14 * 3600);
    Map<String, Object> soak = new java.util.HashMap<>(wanted("nigella-soak", 300));
    soak.put("readyBy", seven.toString());
    Visitor.Answer answer = ok(owner.post("/api/predictions", soak));
    java.time.Instant starts = java.time.Instant.parse(answer.text("/startsAt"));
    double minutes = java.time.Duration.between(starts, seven).toSeconds() / 60.0;
    assertThat(minutes).isCloseTo(answer.at("/totalMinutes").asDouble(), within(1.0));
    assertThat(java.time.Instant.parse(answer.text("/bottledAt")))
        .isBetween(seven.minusSeconds(90), seven.plusSeconds(90));
    soak.put("readyBy", seven.minusSeconds(13 * 3600).toString());
    assertThat(owner.post("/api/predictions", soak).fields()).containsExactly("readyBy");
  }

  @Test
  void tooLateForAReadyByIsSaidInWords() {
    Map<String, Object> soon = new java.util.HashMap<>(wanted("nigella-soak", 300));
    soon.put("readyBy", again(start("nigella-soak", 300)).text("/now"));
    assertThat(owner.post("/api/batches", soon).text("/detail"))
        .matches("It takes about \\d+ h.*: begun now it is ready then\\.");
  }
}
