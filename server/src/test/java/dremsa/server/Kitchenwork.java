package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Brews for tests: from a formula to a bottle on the shelf, step by step as planned. */
final class Kitchenwork {
  private Kitchenwork() {}

  /** One jar of a formula on the shelf, brewed by the book with the clock moved on. */
  static UUID bottled(Visitor visitor, String formula, double millilitres) {
    Visitor.Answer run =
        visitor.post(
            "/api/batches",
            Map.of(
                "formulaId",
                formula,
                "target",
                Map.of(
                    "kind",
                    "BOTTLES",
                    "count",
                    1,
                    "size",
                    Map.of("value", millilitres, "unit", "ml"))));
    assertThat(run.status()).as(run.body().toString()).isEqualTo(200);
    int steps = run.at("/prediction/steps").size();
    for (int i = 0; i < steps; i++) {
      double minutes =
          run.at("/prediction/steps/" + i + "/endMinute").asDouble()
              - run.at("/prediction/steps/" + i + "/startMinute").asDouble();
      visitor.moveClock(Math.round(minutes * 60));
      Map<String, Object> form = new HashMap<>();
      form.put("version", run.at("/version").asLong());
      form.put("cueSeen", true);
      if (i == steps - 1) {
        form.put(
            "bottles",
            List.of(
                Map.of(
                    "container", "JAR", "sizeMl", millilitres, "millilitres", millilitres * 0.98)));
      }
      run = visitor.post("/api/batches/" + run.text("/id") + "/steps/" + i + "/finish", form);
      assertThat(run.status()).as(run.body().toString()).isEqualTo(200);
    }
    String batch = run.text("/id");
    return visitor
        .get("/api/bottles")
        .at("/bottles")
        .valueStream()
        .filter(b -> b.get("batchId").asString().equals(batch))
        .map(b -> UUID.fromString(b.get("id").asString()))
        .findFirst()
        .orElseThrow();
  }
}
