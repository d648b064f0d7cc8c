package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** Brews for tests: from a formula to a bottle on the shelf, step by step as planned. */
final class Kitchenwork {
  private Kitchenwork() {}

  /** One jar of a formula on the shelf, brewed by the book with the clock moved on. */
  static UUID bottled(Visitor visitor, String formula, double millilitres) {
    Visitor.Answer run = atBottling(visitor, formula, millilitres);
    String batch = bottle(visitor, run, "JAR", millilitres, millilitres * 0.98).text("/id");
    return visitor
        .get("/api/bottles")
        .at("/bottles")
        .valueStream()
        .filter(b -> b.get("batchId").asString().equals(batch))
        .map(b -> UUID.fromString(b.get("id").asString()))
        .findFirst()
        .orElseThrow();
  }

  /** A run of a formula, by the book, that has come to its last step. */
  static Visitor.Answer atBottling(Visitor visitor, String formula, double millilitres) {
    return atBottling(
        visitor,
        Map.of(
            "formulaId",
            formula,
            "target",
            Map.of("kind", "VOLUME", "amount", Map.of("value", millilitres, "unit", "ml"))));
  }

  /** A run of a plan, by the book, that has come to its last step. */
  static Visitor.Answer atBottling(Visitor visitor, Map<String, Object> plan) {
    Visitor.Answer run = visitor.post("/api/batches", plan);
    assertThat(run.status()).as(run.body().toString()).isEqualTo(200);
    int last = run.at("/prediction/steps").size() - 1;
    for (int i = 0; i < last; i++) {
      run = finish(visitor, run, i, Map.of());
    }
    return run;
  }

  /** Fills one container and ends the run. */
  static Visitor.Answer bottle(
      Visitor visitor, Visitor.Answer run, String container, double size, double millilitres) {
    return finish(
        visitor,
        run,
        run.at("/step").asInt(),
        Map.of(
            "bottles",
            List.of(Map.of("container", container, "sizeMl", size, "millilitres", millilitres))));
  }

  private static Visitor.Answer finish(
      Visitor visitor, Visitor.Answer run, int step, Map<String, Object> said) {
    JsonNode planned = run.at("/prediction/steps/" + step);
    double minutes = planned.get("endMinute").asDouble() - planned.get("startMinute").asDouble();
    visitor.moveClock(Math.round(minutes * 60));
    Map<String, Object> form = new HashMap<>(said);
    form.put("version", run.at("/version").asLong());
    form.put("cueSeen", true);
    Visitor.Answer done =
        visitor.post("/api/batches/" + run.text("/id") + "/steps/" + step + "/finish", form);
    assertThat(done.status()).as(done.body().toString()).isEqualTo(200);
    return done;
  }
}
