package dremsa.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dremsa.core.measure.KitchenMeasures;
import dremsa.core.measure.Provenance;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MaterialsTest {
  private final Materials materials = Materials.standard();

  @Test
  void everyMaterialIsWhole() {
    assertThat(materials.all()).hasSizeGreaterThanOrEqualTo(80);
    for (Material material : materials.all()) {
      assertThat(material.name()).isNotBlank();
      assertThat(material.tint()).matches("[0-9A-F]{6}");
      assertThat(material.figure(Property.DENSITY)).as(material.id()).isPresent();
      if (material.kind() != MaterialKind.CONDITIONER) {
        assertThat(material.inci()).as(material.id()).isNotBlank();
      }
      material
          .figures()
          .forEach(
              (property, figure) -> {
                assertThat(figure.unit()).isEqualTo(property.unit());
                if (figure.provenance() == Provenance.PUBLISHED
                    || figure.provenance() == Provenance.FROM_MEMORY) {
                  assertThat(figure.source()).as(material.id() + " " + property).isNotBlank();
                }
              });
    }
  }

  @ParameterizedTest(name = "{0}: {1} g in one {2}")
  @CsvSource({
    // USDA FoodData Central, SR Legacy portions (from memory).
    "linseed,        10.3, us-tbsp",
    "linseed,        168,  us-cup",
    "fenugreek,      11.1, us-tbsp",
    "fenugreek,      3.7,  us-tsp",
    "rosemary,       3.3,  us-tbsp",
    "rosemary-fresh, 1.7,  us-tbsp",
    "olive-oil,      13.5, us-tbsp",
    "olive-oil,      216,  us-cup",
    "rice,           185,  us-cup",
    "clove-powder,   6.5,  us-tbsp"
  })
  void weighsAsTheTablesSay(String id, double grams, String measure) {
    double size = KitchenMeasures.find(measure).orElseThrow().size();
    assertThat(materials.get(id).density() * size).isCloseTo(grams, within(grams * 0.02));
  }

  @ParameterizedTest
  @CsvSource({
    // Indian Food Composition Tables 2017, moisture in g per 100 g.
    "mint-fresh,       84.24",
    "ginger-fresh,     81.27",
    "onion,            85.76",
    "curry-leaf-fresh, 65.33",
    "moringa-fresh,    75.65",
    "fenugreek,        7.82",
    "linseed,          5.48"
  })
  void holdsTheWaterOfTheCompositionTables(String id, double percent) {
    assertThat(materials.get(id).value(Property.WATER_SHARE, 0) * 100)
        .isCloseTo(percent, within(0.01));
  }

  @Test
  void driedMintIsAboutASixthOfTheFresh() {
    // From the water in both: 84 % fresh, 10 % dried.
    assertThat(100 / Substitution.driedFor(100, 0.8424, 0.10)).isCloseTo(5.71, within(0.05));
  }

  @Test
  void gumsStandInForEachOtherByPower() {
    Material linseed = materials.get("linseed");
    Material quince = materials.get("quince-seed");
    double quinceGrams = Substitution.gumFor(linseed, 50, quince);
    assertThat(quinceGrams).isLessThan(50);
    assertThat(Substitution.gumFor(quince, quinceGrams, linseed)).isCloseTo(50, within(1e-9));
    assertThatThrownBy(() -> Substitution.gumFor(linseed, 50, materials.get("hop")))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void everyVirtueIsThatOfMaterialsInTheCatalogue() {
    for (Virtue virtue : Virtue.values()) {
      assertThat(virtue.materials())
          .as(virtue.name())
          .isNotEmpty()
          .allSatisfy(id -> assertThat(virtue.of(materials.get(id))).isTrue());
    }
    assertThat(Virtue.RICH_OIL.materials())
        .doesNotContainAnyElementsOf(Virtue.LIGHT_OIL.materials());
  }

  @Test
  void oilsOfEachPorosityAreInTheCatalogue() {
    for (Substitution.Porosity porosity : Substitution.Porosity.values()) {
      porosity
          .oils()
          .forEach(id -> assertThat(materials.get(id).kind()).isEqualTo(MaterialKind.CARRIER_OIL));
    }
  }

  @Test
  void aHouseholdsOwnMaterialReplacesOurs() {
    Material ours = materials.get("hop");
    Material own = new Material("hop", "Our hop", "", ours.kind(), ours.tint(), "", ours.figures());
    assertThat(materials.with(own).get("hop").name()).isEqualTo("Our hop");
    assertThat(materials.get("hop").name()).isEqualTo(ours.name());
    assertThatThrownBy(() -> materials.get("moonlight"))
        .isInstanceOf(UnknownMaterialException.class);
  }

  @ParameterizedTest
  @CsvSource({
    // EU 1223/2009 Annex V, acid limits as salt by molar masses (from memory).
    "phenoxyethanol,    1.0",
    "potassium-sorbate, 0.80",
    "sodium-benzoate,   0.59"
  })
  void preservativesHaveTheirLegalLimits(String id, double percent) {
    assertThat(materials.get(id).value(Property.LIMIT_LEAVE_ON, 0))
        .isCloseTo(percent, within(0.005));
  }

  @Test
  void saltLimitsFollowFromTheMolarMasses() {
    // Molar masses: sorbic acid 112.13, potassium sorbate 150.22; benzoic acid 122.12, sodium
    // benzoate 144.11 g/mol.
    assertThat(0.6 * 150.22 / 112.13).isCloseTo(0.80, within(0.005));
    assertThat(0.5 * 144.11 / 122.12).isCloseTo(0.59, within(0.005));
  }
}
