package dremsa.core.scale;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.brew.Prediction;
import dremsa.core.brew.Reading;
import dremsa.core.brew.StepFacts;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Guide;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What goes in at a step is said for what is really in the pot. */
class GoesInTest {
  private static final Brew BREW = Kitchens.brew(withDoses());
  private static final double SCALE = Kitchens.half(BREW).scale();
  private static final Prediction PLANNED = BREW.predict(SCALE, Facts.NONE);
  private static final int ADD = index(StepKind.ADD);
  private static final int STRAIN = index(StepKind.STRAIN);

  private static Formula withDoses() {
    Formula gel = BuiltInFormulas.find("linseed-gel").orElseThrow();
    List<Ingredient> ingredients = new ArrayList<>(gel.ingredients());
    ingredients.add(
        new Ingredient("benzoate", "sodium-benzoate", new Proportion.PercentOfFinished(0.4)));
    ingredients.add(new Ingredient("oil", "lavender-essential", new Proportion.DropsPer100Ml(2)));
    List<Step> steps = new ArrayList<>(gel.steps());
    steps.add(steps.size() - 1, new Step.Add(List.of("benzoate", "oil"), 40, Guide.NONE));
    return new Formula("dosed", "Dosed", gel.method(), gel.purposes(), "", ingredients, steps);
  }

  private static int index(StepKind kind) {
    for (int i = 0; i < BREW.formula().steps().size(); i++) {
      if (BREW.formula().steps().get(i).kind() == kind) {
        return i;
      }
    }
    throw new AssertionError(kind);
  }

  private static GoesIn of(Facts facts, String key) {
    Prediction now = BREW.predict(SCALE, BREW.vesselsFor(SCALE), facts);
    return GoesIn.at(BREW, now, facts, ADD, Optional.of(PLANNED)).stream()
        .filter(g -> g.portion().ingredient().equals(key))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void asPlannedNothingIsExplained() {
    GoesIn oil = of(Facts.NONE, "oil");
    assertThat(oil.dose()).isEqualTo("2 drops to 100 mL");
    assertThat(oil.portion().drops()).contains(10);
    assertThat(oil.plannedGrams()).isEmpty();
    assertThat(oil.why()).isEmpty();
    assertThat(GoesIn.at(BREW, PLANNED, Facts.NONE, STRAIN, Optional.empty())).isEmpty();
    assertThat(GoesIn.at(BREW, PLANNED, Facts.NONE, 0, Optional.empty())).hasSize(2);
  }

  @Test
  void aPercentFollowsWhatWasMeasured() {
    Facts less = Facts.NONE.with(STRAIN, StepFacts.NONE.with(Reading.VOLUME, 250));
    GoesIn benzoate = of(less, "benzoate");
    assertThat(benzoate.dose()).isEqualTo("0.4 % of it");
    // 0.4 % of 250 g of gel and itself.
    assertThat(benzoate.portion().grams()).isCloseTo(1.0, within(0.05));
    assertThat(benzoate.plannedGrams().orElseThrow()).isCloseTo(2.0, within(0.15));
    assertThat(benzoate.why()).contains("There are 250 mL, not 5").contains(": measured at “");
    assertThat(of(less, "oil").portion().drops()).contains(5);
  }

  @Test
  void whatMovedItIsNamed() {
    int boil = index(StepKind.BOIL);
    assertThat(of(Facts.NONE.with(boil, StepFacts.lasting(25)), "benzoate").why())
        .contains("took 25 min, not 6 min");
    Facts water = Facts.NONE.with(boil, StepFacts.NONE.withWater(200, 20));
    assertThat(of(water, "benzoate").why()).contains("200 mL of water were poured in");
    Facts weighed = Facts.NONE.with(ADD, StepFacts.NONE.withWeighed("benzoate", 5));
    assertThat(of(weighed, "benzoate").weighed()).isTrue();
    assertThat(of(weighed, "benzoate").why()).isEmpty();
  }
}
