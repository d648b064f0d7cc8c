package dremsa.server.wire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.core.Members;
import dremsa.core.brew.Facts;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.measure.MeasureSystem;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What is written to a JSON column reads back the same, now and in every later version. */
class StoredFormTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private final Stored stored =
      new Stored(
          jakarta.validation.Validation.buildDefaultValidatorFactory().getValidator(), List.of());

  private static String golden(String name) throws IOException {
    try (InputStream in = StoredFormTest.class.getResourceAsStream("/golden/" + name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  @Test
  void everyBuiltInFormulaReadsBackTheSame() {
    for (Formula formula : BuiltInFormulas.all()) {
      String column = stored.write(FormulaJson.of(formula));
      assertThat(stored.formula(column, Stored.VERSION)).as(formula.id()).isEqualTo(formula);
    }
  }

  @ParameterizedTest
  @CsvSource({"formula", "kitchen", "material", "surroundings", "plan", "poured-in", "warm-spell"})
  void whatTheFirstVersionWroteIsStillRead(String form) throws IOException {
    String row = golden("v1/" + form + ".json");
    Object read =
        switch (form) {
          case "formula" -> FormulaJson.of(stored.formula(row, 1));
          case "kitchen" -> stored.kitchenJson(row, 1);
          case "material" -> stored.read(row, MaterialJson.class);
          case "surroundings" -> stored.surroundings(row, 1);
          case "plan" -> minutes(stored.plan(row, 1));
          case "poured-in" -> stored.read(row, PouredInJson.class);
          default -> stored.read(row, WarmSpellJson.class);
        };
    assertThat(read).isEqualTo(EXAMPLES.get(form));
    assertThat(withoutVersion(stored.write(read)))
        .as("what the first version wrote is what is written today")
        .isEqualTo(JSON.readTree(row));
  }

  @Test
  void everyKindOfTargetOfTheFirstVersionIsStillRead() throws IOException {
    List<TargetJson> read =
        golden("v1/targets.jsonl").lines().map(l -> stored.target(l, 1)).toList();
    assertThat(read).isEqualTo(StoredExamples.targets());
    assertThat(read)
        .extracting(TargetJson::kind)
        .as("an example of every kind")
        .containsExactlyInAnyOrder(TargetJson.Kind.values());
  }

  @Test
  void everyKindOfStepAndProportionIsAmongTheExamples() {
    Formula formula = StoredExamples.formula();
    Members.allIn(Step.class, formula.steps());
    Members.allIn(
        Proportion.class, formula.ingredients().stream().map(Ingredient::proportion).toList());
    assertThat(stored.formula(stored.write(FormulaJson.of(formula)), 1)).isEqualTo(formula);
  }

  /** What is kept of people since they have pages: their hair, and their routines. */
  @Test
  void whatIsKeptOfPeopleReadsBackTheSame() {
    String hair =
        "{\"schemaVersion\":3,\"born\":2019,\"stretchedCm\":31.5,\"porosity\":\"HIGH\","
            + "\"worn\":{\"style\":\"TWISTS\",\"takeDown\":\"2030-04-01\"},"
            + "\"conditions\":[\"ASTHMA\"],\"unsuited\":[{\"family\":\"GRAIN\"},{\"material\":\"sage\"}],"
            + "\"ownProtein\":{\"times\":3,\"days\":7}}";
    HairJson told = stored.read(hair, HairJson.class);
    assertThat(stored.read(stored.write(told), HairJson.class)).isEqualTo(told);
    assertThat(told.unsuited()).hasSize(2);
    String routine =
        "{\"schemaVersion\":3,\"occasions\":[{\"key\":\"w\",\"kind\":\"WASH_DAY\",\"name\":\"Wash day\","
            + "\"repeat\":{\"first\":\"2030-03-10\",\"rule\":\"FREQ=WEEKLY;BYDAY=SU\"},\"time\":\"10:00:00\","
            + "\"slots\":[{\"kind\":\"RINSE\",\"choices\":[{\"formula\":\"rice-water\"},{\"bought\":\"tea\"},"
            + "{\"purpose\":\"RINSE\"}]}]},{\"key\":\"m\",\"kind\":\"MIDWEEK\",\"name\":\"Mask\","
            + "\"repeat\":{\"first\":\"2030-03-10\",\"follows\":\"w\",\"every\":2},\"slots\":[{\"kind\":\"MASK\"}]}]}";
    RoutineJson kept = RoutineJson.of(stored.read(routine, RoutineJson.class).toCore(""));
    assertThat(stored.read(stored.write(kept), RoutineJson.class)).isEqualTo(kept);
    assertThat(kept.toCore("").occasions().get(1).words(kept.toCore("").occasions()))
        .isEqualTo("every second wash day");
  }

  @Test
  void anOldRowIsLifted() {
    ObjectNode kitchen = (ObjectNode) JSON.valueToTree(StoredExamples.kitchen());
    ObjectNode calibrated = (ObjectNode) kitchen.get("calibrated");
    calibrated.set("SIMMER", calibrated.get("HEAT_LOSS"));
    String row = kitchen.toString();
    assertThat(stored.kitchenJson(row, 1).calibrated())
        .as("the heat of a boil meant something else in version 1")
        .containsOnlyKeys(Parameter.HEAT_LOSS);
    assertThat(stored.kitchenJson(row, 2).calibrated())
        .containsOnlyKeys(Parameter.HEAT_LOSS, Parameter.SIMMER);
  }

  @Test
  void aRowKnowsItsOwnVersionWhateverStandsBesideIt() {
    KitchenJson kitchen = StoredExamples.kitchen();
    String row = stored.write(kitchen);
    assertThat(JSON.readTree(row).get("schemaVersion").asInt()).isEqualTo(Stored.VERSION);
    assertThat(stored.kitchenJson(row, 1)).isEqualTo(kitchen);
    assertThatThrownBy(
            () ->
                stored.kitchenJson(
                    row.replace("\"schemaVersion\":" + Stored.VERSION, "\"schemaVersion\":99"), 1))
        .isInstanceOf(IllegalStateException.class);
  }

  @Test
  void whatAFormNoLongerHasIsPassedOver() throws IOException {
    String row = golden("v1/material.json").replaceFirst("\\{", "{\"moonPhase\":\"full\",");
    assertThat(stored.read(row, MaterialJson.class)).isEqualTo(StoredExamples.material());
  }

  private static JsonNode withoutVersion(String row) {
    ObjectNode tree = (ObjectNode) JSON.readTree(row);
    tree.remove("schemaVersion");
    return tree;
  }

  private static Map<Integer, Double> minutes(Facts facts) {
    Map<Integer, Double> minutes = new TreeMap<>();
    facts.steps().forEach((index, known) -> minutes.put(index, known.minutes().orElseThrow()));
    return minutes;
  }

  private static final Map<String, Object> EXAMPLES =
      Map.of(
          "formula", FormulaJson.of(StoredExamples.formula()),
          "kitchen", StoredExamples.kitchen(),
          "material", StoredExamples.material(),
          "surroundings", StoredExamples.surroundings(),
          "plan", StoredExamples.plan(),
          "poured-in", StoredExamples.pouredIn(),
          "warm-spell", StoredExamples.warmSpell());

  @Test
  void aRowOfALaterVersionIsRefusedNotGuessed() {
    assertThatThrownBy(() -> stored.formula("{}", Stored.VERSION + 1))
        .isInstanceOf(IllegalStateException.class);
  }

  @ParameterizedTest
  @EnumSource(MeasureSystem.class)
  void aKitchenReadsBackTheSame(MeasureSystem system) {
    Kitchen kitchen = Kitchen.usual(system);
    KitchenJson form = KitchenJson.of(kitchen);
    Kitchen back = stored.kitchen(stored.write(form), Stored.VERSION);
    assertThat(KitchenJson.of(back)).isEqualTo(form);
    assertThat(back.vessels()).isEqualTo(kitchen.vessels());
    assertThat(back.climate()).isEqualTo(kitchen.climate());
  }
}
