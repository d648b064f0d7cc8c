package dremsa.core.scale;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.Kitchens;
import dremsa.core.brew.Brew;
import dremsa.core.brew.Facts;
import dremsa.core.check.Finding;
import dremsa.core.check.SelfCheck;
import dremsa.core.check.Wearer;
import dremsa.core.formula.BuiltInFormulas;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepKind;
import dremsa.core.keep.Preservation;
import dremsa.core.keep.School;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import dremsa.core.material.UnknownMaterialException;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is taken into a formula lands where makers put it, in the unit they count it in. */
class JoiningTest {
  private static final Materials ALL = Materials.standard();

  /** What is said of an ingredient in the wrong place, the wrong unit or too large an amount. */
  private static final List<Finding.Code> MISPLACED =
      List.of(
          Finding.Code.OVER_LIMIT,
          Finding.Code.DROPS_OF_SOLID,
          Finding.Code.INFUSED_OR_ESSENTIAL,
          Finding.Code.UNUSED);

  private static Formula with(String formula, String material) {
    return with(BuiltInFormulas.find(formula).orElseThrow(), material);
  }

  private static Formula with(Formula formula, String material) {
    return Joining.of(formula, material, ALL).apply(formula);
  }

  private static Ingredient last(Formula formula) {
    return formula.ingredients().get(formula.ingredients().size() - 1);
  }

  private static Step putIn(Formula formula, String key) {
    return formula.steps().stream()
        .filter(s -> s.puts() && s.ingredients().contains(key))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aPreservativeIsAPercentageOfTheCoolBrew() {
    Formula gel = with("linseed-gel", "sodium-benzoate");
    assertThat(last(gel).proportion())
        .isEqualTo(
            new Proportion.PercentOfFinished(
                ALL.get("sodium-benzoate").value(Property.DOSE, Double.NaN)));
    Step added = putIn(gel, "sodium-benzoate");
    assertThat(added.kind()).isEqualTo(StepKind.ADD);
    assertThat(added.stirredBelow().orElseThrow()).isLessThanOrEqualTo(40);
    // common practice: after the straining, before the bottle
    List<StepKind> kinds = gel.steps().stream().map(Step::kind).toList();
    assertThat(kinds.indexOf(StepKind.ADD))
        .isGreaterThan(kinds.indexOf(StepKind.STRAIN))
        .isLessThan(kinds.indexOf(StepKind.BOTTLE));
    // The second joins the first: nobody stirs twice.
    Formula both = with(gel, "lavender-essential");
    assertThat(both.steps()).hasSameSizeAs(gel.steps());
    assertThat(putIn(both, "lavender-essential")).isEqualTo(putIn(both, "sodium-benzoate"));
    assertThat(last(both).proportion()).isInstanceOf(Proportion.DropsPer100Ml.class);
  }

  @Test
  void aPreservativeOfWhichNobodyWroteDownTheDoseIsNotCountedOn() {
    Material unknown =
        new Material("mine", "Mine", "", MaterialKind.PRESERVATIVE, "d9cfb0", "", Map.of());
    Formula gel =
        Joining.of(BuiltInFormulas.find("linseed-gel").orElseThrow(), "mine", ALL.overlaid(unknown))
            .apply(BuiltInFormulas.find("linseed-gel").orElseThrow());
    Brew brew = Brew.of(gel, Kitchens.brew(gel("linseed-gel")).kitchen(), ALL.overlaid(unknown));
    List<Preservation> judged =
        Preservation.in(Kitchens.half(brew).prediction().contents(), School.PRACTICE);
    assertThat(judged).singleElement().matches(p -> !p.works());
    assertThat(judged.get(0).faults()).contains(Preservation.Fault.NOT_KNOWN);
  }

  private static Formula gel(String id) {
    return BuiltInFormulas.find(id).orElseThrow();
  }

  @Test
  void aHerbGoesInWithTheHerbsAndAnInfusedOilIsNotBoiled() {
    Formula decoction = with("birch-sage-decoction", "nettle-leaf");
    assertThat(putIn(decoction, "nettle-leaf").kind()).isEqualTo(StepKind.COMBINE);
    Formula oiled = with("birch-sage-decoction", "jojoba-oil");
    assertThat(putIn(oiled, "jojoba-oil").kind()).isEqualTo(StepKind.ADD);
    assertThat(last(oiled).proportion()).isInstanceOf(Proportion.PercentOfFinished.class);
  }

  @Test
  void aSoakThatWasNeverWarmIsNotCooled() {
    Formula soak = with("nigella-soak", "sodium-benzoate");
    assertThat(soak.steps()).noneMatch(s -> s.kind() == StepKind.COOL);
    assertThat(putIn(soak, "sodium-benzoate").kind()).isEqualTo(StepKind.ADD);
  }

  @Test
  void theSameTwiceHasAKeyOfItsOwnAndWhatIsUnknownIsRefused() {
    Formula twice = with(with("linseed-gel", "panthenol"), "panthenol");
    assertThat(twice.ingredients()).extracting(Ingredient::key).doesNotHaveDuplicates();
    assertThatThrownBy(() -> with("linseed-gel", "unicorn"))
        .isInstanceOf(UnknownMaterialException.class);
  }

  static Stream<Material> everyMaterial() {
    return ALL.all().stream().filter(m -> m.kind() != MaterialKind.WATER);
  }

  @ParameterizedTest
  @MethodSource("everyMaterial")
  void whateverJoinsAGelIsNeverMisplacedToTheSelfCheck(Material material) {
    Formula gel = with("linseed-gel", material.id());
    Solution.Reached batch = Kitchens.half(Kitchens.brew(gel));
    assertThat(SelfCheck.of(batch.brew(), batch.prediction(), Wearer.ADULT, School.CAREFUL))
        .filteredOn(f -> f.place().equals("ingredients[" + (gel.ingredients().size() - 1) + "]"))
        .extracting(Finding::code)
        .doesNotContainAnyElementsOf(MISPLACED);
  }

  @Test
  void anotherUnitIsTheSameAmount() {
    Formula gel = with(with("linseed-gel", "sodium-benzoate"), "lavender-essential");
    Solution.Reached batch = Kitchens.half(Kitchens.brew(gel));
    for (String key : List.of("sodium-benzoate", "linseed", "lavender-essential")) {
      double grams = batch.prediction().amounts().get(key);
      for (Remeasuring.Unit unit : Remeasuring.Unit.values()) {
        if (unit == Remeasuring.Unit.DROPS && key.equals("linseed")) {
          assertThatThrownBy(() -> Remeasuring.of(batch, key, unit)).hasMessageContaining("drops");
          continue;
        }
        Formula other = Remeasuring.of(batch, key, unit);
        assertThat(
                Kitchens.brew(other)
                    .predict(batch.scale(), batch.vessels(), Facts.NONE)
                    .amounts()
                    .get(key))
            .as("%s in %s", key, unit)
            .isCloseTo(grams, within(grams * 0.02));
      }
    }
  }

  @Test
  void dropsCountedForTheWrittenBatchStayThatManyInIt() {
    Formula gel = with("linseed-gel", "lavender-essential");
    Solution.Reached batch = Kitchens.half(Kitchens.brew(gel));
    Material oil = ALL.get("lavender-essential");
    double drop = oil.value(Property.DROP, Double.NaN) * oil.density();
    Formula counted =
        Remeasuring.counted(batch, "lavender-essential", Remeasuring.Unit.DROPS, 5 * drop);
    double written =
        Kitchens.brew(counted).predict(1, Facts.NONE).amounts().get("lavender-essential");
    assertThat(written / drop).isCloseTo(5, within(0.3));
  }
}
