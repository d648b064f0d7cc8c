package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** What the self-check calls dangerous is brewed on purpose or not at all. */
class DeliberateTest {
  private final Visitor owner = Visitor.withHousehold();

  /** A spray with far too much clove oil: 5.6 % of the finished amount. */
  private static Map<String, Object> plan(String override) {
    Map<String, Object> plan = new HashMap<>();
    plan.put("formulaId", "lemon-balm-spray");
    plan.put(
        "changes",
        List.of(
            Map.of(
                "kind",
                "WITH",
                "key",
                "clove-essential",
                "ingredient",
                Map.of("key", "clove-essential", "material", "clove-essential", "percent", 5.6))));
    plan.put(
        "target",
        Map.of("kind", "BOTTLES", "count", 1, "size", Map.of("value", 250, "unit", "ml")));
    if (override != null) {
      plan.put("override", override);
    }
    return plan;
  }

  private static Visitor.Answer ok(Visitor.Answer answer) {
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer;
  }

  @Test
  void nothingDangerousStartsWithoutAReason() {
    Visitor.Answer refused = owner.post("/api/batches", plan(null));
    assertThat(refused.fields()).as(refused.body().toString()).containsExactly("override");
    assertThat(refused.text("/detail")).contains("5.60 %", "over 0.50 %");
    assertThat(owner.post("/api/batches", plan("  ")).fields()).containsExactly("override");
    assertThat(owner.get("/api/batches/running").body()).isEmpty();
  }

  @Test
  void theReasonStaysOnBatchBottleAndLabel() throws Exception {
    Visitor.Answer run = Kitchenwork.atBottling(owner, plan("patch tested for years"));
    assertThat(run.text("/override/reason")).isEqualTo("patch tested for years");
    assertThat(run.text("/override/what")).contains("over 0.50 %");
    Kitchenwork.bottle(owner, run, "JAR", 250, 240);
    String bottle = owner.get("/api/bottles").text("/bottles/0/id");
    assertThat(ok(owner.get("/api/bottles/" + bottle)).text("/override/reason"))
        .isEqualTo("patch tested for years");
    Visitor.File label =
        owner.print(
            "/api/labels", Map.of("bottles", List.of(UUID.fromString(bottle)), "format", "A4_8"));
    try (var pdf = Loader.loadPDF(label.bytes())) {
      String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
      assertThat(text).contains("Against a warning", "over 0.50 %", "patch tested for years");
    }
    byte[] backup = owner.file("/api/backup.zip").bytes();
    Visitor other = Visitor.withHousehold();
    Visitor.Answer read = other.upload("/api/restore", "application/zip", backup);
    assertThat(read.status()).as(read.body().toString()).isLessThan(300);
    String there = other.get("/api/bottles").text("/bottles/0/id");
    assertThat(other.get("/api/bottles/" + there).text("/override/reason"))
        .isEqualTo("patch tested for years");
  }

  @Test
  void whatIsNotDangerousNeedsNoReasonAndKeepsNone() {
    Visitor.Answer run =
        Kitchenwork.atBottling(
            owner,
            Map.of(
                "formulaId",
                "lemon-balm-spray",
                "target",
                Map.of("kind", "VOLUME", "amount", Map.of("value", 300, "unit", "ml")),
                "override",
                "for no reason"));
    assertThat(run.at("/override").isNull() || run.at("/override").isMissingNode()).isTrue();
  }
}
