package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;

/** Starts runs and taps them, for tests; each has a household of its own. */
abstract class RunWork {
  final Visitor owner = Visitor.withHousehold();

  static Map<String, Object> wanted(String formula, double ml) {
    return Map.of(
        "formulaId",
        formula,
        "target",
        Map.of("kind", "VOLUME", "amount", Map.of("value", ml, "unit", "ml")));
  }

  Visitor.Answer start(String formula, double ml) {
    return ok(owner.post("/api/batches", wanted(formula, ml)));
  }

  static Visitor.Answer ok(Visitor.Answer answer) {
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer;
  }

  Visitor.Answer tap(Visitor.Answer run, String path, Map<String, ?> more) {
    Map<String, Object> form = new HashMap<>(more);
    form.put("version", run.at("/version").asLong());
    return owner.post(
        "/api/batches/" + run.text("/id") + path.replace("{step}", run.text("/step")), form);
  }

  Visitor.Answer finish(Visitor.Answer run) {
    return ok(tap(run, "/steps/{step}/finish", Map.of("cueSeen", true, "anyway", true)));
  }

  Visitor.Answer enter(Visitor.Answer run, Map<String, ?> entry) {
    return owner.post("/api/batches/" + run.text("/id") + "/entries", entry);
  }

  Visitor.Answer again(Visitor.Answer run) {
    return ok(owner.get("/api/batches/" + run.text("/id")));
  }
}
