package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PredictionsTest {
  private static final Visitor OWNER = Visitor.withHousehold();
  private static final String URL = "/api/predictions";

  private static Visitor.Answer ask(String target) {
    return OWNER.raw(URL, "{\"formulaId\":\"lemon-balm-spray\",\"target\":" + target + "}");
  }

  @Test
  void answersAmountsAccountTraceAndDate() {
    Visitor.Answer answer =
        ask("{\"kind\":\"BOTTLES\",\"count\":2,\"size\":{\"value\":250,\"unit\":\"ml\"}}");
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.at("/bottledMl/value").asDouble()).isCloseTo(500, within(0.6));
    assertThat(answer.at("/bottledMl/low").asDouble()).isLessThan(500);
    double out = 0;
    for (String part : List.of("bottled", "held", "cloth", "steam", "unaccounted")) {
      out += answer.at("/water/" + part).asDouble();
    }
    assertThat(out).isCloseTo(answer.at("/water/in").asDouble(), within(1e-6));
    assertThat(answer.at("/trace").size()).isGreaterThan(30);
    assertThat(answer.at("/amounts/1/scoops").asString()).isNotBlank();
    assertThat(answer.at("/keeping/lastDay").asString()).matches("\\d{4}-\\d\\d-\\d\\d");
    assertThat(answer.at("/keeping/reasons").size()).isGreaterThanOrEqualTo(3);
    assertThat(answer.at("/landmarks/0/minute").asDouble()).isBetween(20.0, 120.0);
  }

  @Test
  void takesAFormulaAndAKitchenInline() {
    var formula = OWNER.get("/api/formulas/nettle-powder-spray").at("/formula");
    var kitchen = OWNER.get("/api/kitchens/usual/US").body();
    Visitor.Answer answer =
        OWNER.post(
            URL,
            Map.of(
                "formula",
                formula,
                "kitchen",
                kitchen,
                "target",
                Map.of("kind", "VOLUME", "amount", Map.of("value", 8, "unit", "us-floz")),
                "startAt",
                "2026-03-01T09:00:00Z",
                "steps",
                List.of(Map.of("index", 1, "minutes", 720))));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    assertThat(answer.at("/bottledMl/value").asDouble()).isCloseTo(236.588, within(0.4));
    assertThat(answer.at("/steps/1/endMinute").asDouble()).isCloseTo(723, within(0.01));
    assertThat(answer.text("/keeping/lastDay")).startsWith("2026-03-0");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"kind\":\"VOLUME\",\"amount\":{\"value\":0,\"unit\":\"ml\"}} | target.amount.value",
        "{\"kind\":\"VOLUME\",\"amount\":{\"value\":-5,\"unit\":\"ml\"}} | target.amount.value",
        "{\"kind\":\"VOLUME\",\"amount\":{\"value\":\"NaN\",\"unit\":\"ml\"}} | target.amount.value",
        "{\"kind\":\"VOLUME\",\"amount\":{\"value\":1e300,\"unit\":\"ml\"}} | target.amount.value",
        "{\"kind\":\"VOLUME\",\"amount\":{\"value\":5,\"unit\":\"furlong\"}} | target.amount.unit",
        "{\"kind\":\"VOLUME\",\"amount\":{\"unit\":\"ml\"}} | target.amount.value",
        "{\"kind\":\"VOLUME\"} | target.amount",
        "{\"amount\":{\"value\":5,\"unit\":\"ml\"}} | target.kind",
        "{\"kind\":\"GUESS\"} | target.kind",
        "{\"kind\":\"BOTTLES\",\"count\":0,\"size\":{\"value\":250,\"unit\":\"ml\"}} | target.count",
        "{\"kind\":\"BOTTLES\",\"count\":2,\"size\":{\"value\":0.5,\"unit\":\"ml\"}} | target.size.value",
        "{\"kind\":\"AT_HAND\",\"ingredient\":\"gold\",\"amount\":{\"value\":12,\"unit\":\"g\"}} | target.ingredient",
        "{\"kind\":\"VOLUME\",\"amout\":{\"value\":5,\"unit\":\"ml\"}} | target.amout"
      })
  void namesTheFieldThatIsWrong(String target, String field) {
    Visitor.Answer answer = ask(target);
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
    assertThat(answer.fields()).contains(field);
    assertThat(answer.text("/type")).startsWith("urn:dremsa:problem:");
  }

  @Test
  void givesTheAllowedRange() {
    Visitor.Answer answer = ask("{\"kind\":\"VOLUME\",\"amount\":{\"value\":5,\"unit\":\"ml\"}}");
    assertThat(answer.at("/errors/0/low").asDouble()).isEqualTo(10);
    assertThat(answer.at("/errors/0/high").asDouble()).isEqualTo(20_000);
    assertThat(answer.at("/errors/0/value").asDouble()).isEqualTo(5);
  }

  @Test
  void moreThanTheJarHoldsSaysHowMuchItHolds() {
    Visitor.Answer answer =
        ask("{\"kind\":\"VOLUME\",\"amount\":{\"value\":9000,\"unit\":\"ml\"}}");
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.at("/errors/0/high").asDouble()).isBetween(1500.0, 1800.0);
    assertThat(answer.text("/detail")).contains("jar");
  }

  @Test
  void aTargetBelowWhatTheHerbHoldsIsRefusedWithItsNumbers() {
    String formula =
        """
        {"name":"Thick","method":"HOT_INFUSION","ingredients":[
          {"key":"w","material":"water","parts":100},{"key":"h","material":"lemon-balm","parts":400}],
         "steps":[{"kind":"combine","vessel":"JAR","liquid":"JUST_BOILED","ingredients":["w","h"]},
          {"kind":"steep","window":{"shortest":60,"usual":120,"longest":240}},
          {"kind":"strain","tool":"CLOTH"},{"kind":"bottle","container":"JAR"}]}
        """;
    Visitor.Answer answer =
        OWNER.raw(
            URL,
            "{\"formula\":"
                + formula
                + ",\"target\":{\"kind\":\"VOLUME\",\"amount\":{\"value\":50,\"unit\":\"ml\"}}}");
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(422);
    assertThat(answer.text("/detail")).contains("hold");
  }

  @Test
  void anInlineFormulaIsCheckedAtItsPlaces() {
    String start =
        "{\"target\":{\"kind\":\"FULL_POT\"},\"formula\":{\"name\":\"x\",\"method\":\"HOT_INFUSION\",";
    assertThat(
            OWNER
                .raw(
                    URL,
                    start
                        + "\"ingredients\":[{\"key\":\"w\",\"material\":\"moonlight\",\"parts\":5}],\"steps\":[{\"kind\":\"strain\",\"tool\":\"CLOTH\"}]}}")
                .fields())
        .containsExactly("formula.ingredients[0].material");
    assertThat(
            OWNER
                .raw(
                    URL,
                    start
                        + "\"ingredients\":[{\"key\":\"w\",\"material\":\"water\",\"parts\":5}],\"steps\":[{\"kind\":\"dance\"}]}}")
                .fields())
        .containsExactly("formula.steps[0].kind");
    assertThat(
            OWNER
                .raw(
                    URL,
                    start
                        + "\"ingredients\":[{\"key\":\"w\",\"material\":\"water\",\"parts\":5}],\"steps\":[{\"kind\":\"steep\",\"window\":{\"shortest\":5,\"usual\":1,\"longest\":9}}]}}")
                .fields())
        .containsExactly("formula.steps[0].window.usual");
    assertThat(OWNER.raw(URL, start + "\"ingredients\":[],\"steps\":[]}}").fields())
        .contains("formula.ingredients", "formula.steps");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "{",
        "[]",
        "nonsense",
        "{\"target\":{\"kind\":\"FULL_POT\"},\"steps\":[{\"index\":0,\"minutes\":NaN}]}"
      })
  void malformedJsonIsAProblemDetail(String body) {
    Visitor.Answer answer = OWNER.raw(URL, body);
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.text("/type")).startsWith("urn:dremsa:problem:");
  }

  @Test
  void aBodyOfTenMegabytesIsTooLarge() {
    Visitor.Answer answer = OWNER.raw(URL, "{\"formulaId\":\"" + "x".repeat(10 << 20) + "\"}");
    assertThat(answer.status()).isEqualTo(413);
    assertThat(answer.text("/type")).endsWith("too-large");
  }

  @Test
  void anUnknownFormulaIsNotThere() {
    assertThat(
            OWNER.raw(URL, "{\"formulaId\":\"gold\",\"target\":{\"kind\":\"FULL_POT\"}}").status())
        .isEqualTo(404);
  }

  @Test
  void everyBuiltInFormulaCanBeAskedForAndIsSound() {
    for (var formula : OWNER.get("/api/formulas").body()) {
      Visitor.Answer answer =
          OWNER.post(
              URL,
              Map.of(
                  "formulaId", formula.get("id").asString(),
                  "target",
                      Map.of("kind", "VOLUME", "amount", Map.of("value", 400, "unit", "ml"))));
      assertThat(answer.status()).as(formula.get("id") + " " + answer.body()).isEqualTo(200);
      assertThat(answer.at("/findings").valueStream().map(f -> f.get("severity").asString()))
          .doesNotContain("ERROR");
      assertThat(answer.body().toString()).doesNotContain("NaN").doesNotContain("Infinity");
    }
  }

  @Test
  void theCatalogueTellsWhereItsFiguresComeFrom() {
    var materials = OWNER.get("/api/materials").body();
    assertThat(materials.size()).isGreaterThan(80);
    assertThat(materials.get(0).get("figures").size()).isPositive();
  }
}
