package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * What a kitchen teaches, through HTTP: batches come out otherwise, and the next is foretold so.
 */
class LearningTest {
  private final Visitor owner = Visitor.withHousehold();

  /** A gel of which so much of what was foretold without learning came out; the batch as it is. */
  private Visitor.Answer brewed(double share) {
    Visitor.Answer run = Kitchenwork.atBottling(owner, "linseed-gel", 300);
    double ml = 300 * share;
    return Kitchenwork.bottle(owner, run, "JAR", ml * 1.1, ml);
  }

  private Visitor.Answer learned() {
    TestServer.work("calibrateKitchens").run();
    return calibration();
  }

  private Visitor.Answer calibration() {
    Visitor.Answer found = owner.get("/api/calibration");
    assertThat(found.status()).as(found.body().toString()).isEqualTo(200);
    return found;
  }

  private static JsonNode figure(Visitor.Answer of, String knob) {
    return of.at("/figures")
        .valueStream()
        .filter(each -> each.get("knob").asString().equals(knob))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aKitchenThatWasNeverWeighedTaughtNothing() {
    Visitor.Answer none = calibration();

    assertThat(none.at("/state").isNull()).isTrue();
    assertThat(none.at("/figures")).isEmpty();
    assertThat(none.at("/batches")).isEmpty();
  }

  @Test
  void sixBatchesTeachItAndTheNextIsForetoldWithinFivePercent() {
    List<Visitor.Answer> batches = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      batches.add(brewed(0.9));
    }
    String bottle = owner.get("/api/bottles").text("/bottles/0/id");
    String lastDay = owner.get("/api/bottles/" + bottle).text("/bottle/lastDay");
    double herbBefore = grams(batches.get(0));

    Visitor.Answer learned = learned();

    assertThat(learned.text("/state")).isEqualTo("DONE");
    assertThat(learned.at("/batches")).hasSize(6);
    assertThat(learned.text("/words")).startsWith("Half of the last 6 batches came out within ");
    assertThat(learned.at("/batches/5/predicted").asDouble() / 270).isCloseTo(1, within(0.05));
    assertThat(band(learned, 5)).isLessThan(band(learned, 0));
    JsonNode hold = figure(learned, "material/linseed/HOLD_SQUEEZED");
    assertThat(hold.at("/told").asBoolean()).isTrue();
    assertThat(hold.at("/inUse").asBoolean()).isTrue();
    assertThat(hold.at("/after/source").asString())
        .isEqualTo("learned in your kitchen from 6 batches");
    assertThat(hold.at("/batches")).hasSize(6);
    // More is measured out for the same 300 mL now.
    assertThat(grams(Kitchenwork.atBottling(owner, "linseed-gel", 300))).isGreaterThan(herbBefore);
    // What was brewed keeps what it was brewed by, and its date.
    assertThat(grams(owner.get("/api/batches/" + batches.get(0).text("/id"))))
        .isCloseTo(herbBefore, within(1e-9));
    assertThat(owner.get("/api/bottles/" + bottle).text("/bottle/lastDay")).isEqualTo(lastDay);
  }

  /** All that goes into a batch, g. */
  private static double grams(Visitor.Answer batch) {
    return batch
        .at("/prediction/amounts")
        .valueStream()
        .mapToDouble(amount -> amount.get("grams").asDouble())
        .sum();
  }

  private static double band(Visitor.Answer of, int batch) {
    JsonNode told = of.at("/batches/" + batch);
    return told.get("high").asDouble() - told.get("low").asDouble();
  }

  @Test
  void aFigureIsPutBackAndUsedAgain() {
    double before = grams(brewed(0.9));
    brewed(0.9);
    brewed(0.9);
    Visitor.Answer learned = learned();
    for (JsonNode figure : learned.at("/figures")) {
      assertThat(choose(figure.get("knob").asString(), false).status()).isEqualTo(200);
    }
    assertThat(grams(Kitchenwork.atBottling(owner, "linseed-gel", 300)))
        .isCloseTo(before, within(1e-9));

    String hold = "material/linseed/HOLD_SQUEEZED";
    assertThat(figure(choose(hold, true), hold).get("inUse").asBoolean()).isTrue();
    assertThat(grams(Kitchenwork.atBottling(owner, "linseed-gel", 300))).isGreaterThan(before);
    assertThat(choose("kitchen/NOTHING", true).status()).isEqualTo(404);
  }

  private Visitor.Answer choose(String knob, boolean inUse) {
    return owner.put("/api/calibration/figures", Map.of("knob", knob, "inUse", inUse));
  }

  @Test
  void aBatchThatIsPlainlyWrongIsAskedBeforeItCounts() {
    brewed(0.9);
    String wrong = brewed(0.3).text("/id");
    brewed(0.9);

    Visitor.Answer asked = learned();
    assertThat(standings(asked)).containsExactly("COUNTS", "ASKED", "COUNTS");
    double without = hold(asked);

    Visitor.Answer said = owner.put("/api/calibration/batches/" + wrong, Map.of("counts", true));
    assertThat(said.text("/state")).isEqualTo("ASKED");
    Visitor.Answer counted = learned();
    assertThat(standings(counted)).containsExactly("COUNTS", "COUNTS", "COUNTS");
    assertThat(hold(counted)).isGreaterThan(without);

    owner.put("/api/calibration/batches/" + wrong, Map.of("counts", false));
    Visitor.Answer left = learned();
    assertThat(standings(left)).containsExactly("COUNTS", "LEFT_OUT", "COUNTS");
    assertThat(hold(left)).isCloseTo(without, within(1e-9));
    assertThat(
            owner
                .put("/api/calibration/batches/" + UUID.randomUUID(), Map.of("counts", true))
                .status())
        .isEqualTo(404);
    assertThat(owner.put("/api/calibration/batches/" + wrong, Map.of()).status()).isEqualTo(400);
  }

  private static List<String> standings(Visitor.Answer of) {
    return of.at("/batches").valueStream().map(each -> each.get("standing").asString()).toList();
  }

  private static double hold(Visitor.Answer of) {
    return figure(of, "material/linseed/HOLD_SQUEEZED").at("/after/value").asDouble();
  }

  @Test
  void whatWasForetoldAndTakenOverTeachesNothing() {
    Visitor.Answer run = Kitchenwork.atBottling(owner, "linseed-gel", 300);
    double foretold = run.at("/prediction/bottledMl/value").asDouble();
    Kitchenwork.bottle(owner, run, "JAR", foretold * 1.1, foretold);

    assertThat(learned().at("/batches")).isEmpty();
  }

  /**
   * What was said of how thick batches were flows back as any other figure, and goes when unsaid.
   */
  @Test
  void howThickBatchesWereFoundTeachesTheirGumUntilItIsTakenBack() {
    List<String> said = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      String batch = brewed(0.95).text("/id");
      Visitor.Answer written =
          owner.post("/api/journal", Map.of("batch", batch, "thickness", "STIFF"));
      assertThat(written.status()).as(written.body().toString()).isEqualTo(200);
      said.add(written.text("/id"));
    }
    JsonNode power = figure(learned(), "material/linseed/GUM_POWER");
    assertThat(power.at("/after/value").asDouble())
        .isGreaterThan(1.1 * power.at("/before/value").asDouble());
    assertThat(power.at("/after/source").asString())
        .isEqualTo("learned in your kitchen from 4 batches");
    said.forEach(id -> assertThat(owner.delete("/api/journal/" + id).status()).isEqualTo(200));
    assertThat(
            learned()
                .at("/figures")
                .valueStream()
                .map(each -> each.get("knob").asString())
                .toList())
        .doesNotContain("material/linseed/GUM_POWER");
  }
}
