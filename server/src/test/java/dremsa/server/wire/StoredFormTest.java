package dremsa.server.wire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.Window;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Place;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.measure.MeasureSystem;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.json.JsonMapper;

/** What is written to a JSON column reads back the same, now and in every later version. */
class StoredFormTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private final Stored stored =
      new Stored(JSON, jakarta.validation.Validation.buildDefaultValidatorFactory().getValidator());

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

  @Test
  void everyKindOfStepReadsBackTheSame() {
    Window window = Window.minutes(1, 2, 3);
    List<Step> steps =
        List.of(
            new Step.Combine(
                VesselKind.BOWL, List.of("water"), Step.LiquidHeat.ROOM, Guide.how("so")),
            new Step.Heat(true, false, Guide.NONE),
            new Step.Boil(Step.Level.SIMMER, true, false, window, Guide.NONE),
            new Step.WaterBath(window, Guide.NONE),
            new Step.Soak(Place.FRIDGE, window, Guide.NONE),
            new Step.Ferment(window, Guide.NONE),
            new Step.Macerate(3, window, Guide.NONE),
            new Step.Blend(window, Guide.NONE),
            new Step.Freeze(30, Guide.NONE));
    Formula formula =
        new Formula(
            "all", "All", Method.BLEND, Set.of(), "", List.of(Ingredient.parts("water", 1)), steps);
    assertThat(stored.formula(stored.write(FormulaJson.of(formula)), Stored.VERSION))
        .isEqualTo(formula);
  }

  @Test
  void aRowOfVersionOneIsStillRead() throws IOException {
    Formula formula = stored.formula(golden("formula-v1.json"), 1);
    assertThat(formula.name()).isEqualTo("Golden brew");
    assertThat(formula.ingredients().get(2).proportion())
        .isEqualTo(new Proportion.PercentOfFinished(0.8));
    assertThat(formula.steps()).hasSize(8);
    assertThat(formula.steps().get(3))
        .isEqualTo(
            new Step.Steep(
                true, Window.minutes(60, 120, 240), new Guide("", "Green.", "Pale.", "Bitter.")));
    assertThat(JSON.readTree(stored.write(FormulaJson.of(formula))))
        .as("what version 1 wrote is what is written today")
        .isEqualTo(JSON.readTree(golden("formula-v1.json")));
  }

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
