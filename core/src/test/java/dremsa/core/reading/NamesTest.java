package dremsa.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import dremsa.core.brew.Stock;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Materials;
import dremsa.core.material.OtherNames;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever a material is called, it is found by it; where a name means several it is asked. */
class NamesTest {
  private static final Set<MaterialKind> DROPS =
      Set.of(MaterialKind.ESSENTIAL_OIL, MaterialKind.FRAGRANCE);
  private final NoteReader reader = Told.reader();

  static Stream<Arguments> names() {
    List<Arguments> all = new ArrayList<>();
    for (Material material : Materials.standard().all()) {
      all.add(Arguments.of(material.id(), material.name()));
      OtherNames.of(material.id()).forEach(name -> all.add(Arguments.of(material.id(), name)));
    }
    return all.stream();
  }

  @ParameterizedTest
  @MethodSource("names")
  void everyNameReadsBackToItsMaterial(String id, String name) {
    boolean drops = DROPS.contains(Materials.standard().get(id).kind());
    String text = (drops ? "10 drops " : "20 g ") + name;
    Reading reading = reader.read(text, Answers.NONE);
    assertThat(reading.lines()).as(text).isNotEmpty();
    boolean found = reading.lines().get(0).material().equals(id);
    boolean asked =
        reading.doubtful().stream()
            .flatMap(s -> s.options().stream())
            .anyMatch(option -> option.value().equals(id));
    assertThat(found || asked).as(text + " -> " + reading.lines()).isTrue();
  }

  @Test
  void otherNamesAreThoseOfTheCatalogueOrOfBrews() {
    OtherNames.all().keySet().stream()
        .filter(id -> !Stock.isBrew(id))
        .forEach(id -> assertThat(Materials.standard().find(id)).as(id).isPresent());
    assertThat(Materials.standard().all()).hasSizeGreaterThanOrEqualTo(160);
  }

  @Test
  void whatIsLookedForHasItsOtherNames() {
    assertThat(OtherNames.of("Flax", Materials.standard())).startsWith("Flax").contains("linseed");
    assertThat(OtherNames.of("methi", Materials.standard())).contains("fenugreek");
    assertThat(OtherNames.of("lax", Materials.standard())).containsExactly("lax");
    assertThat(OtherNames.of("fl", Materials.standard())).containsExactly("fl");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "water | water",
        "whole linseed | linseed",
        "cloves | clove",
        "dried chamomile | chamomile",
        "white rice | rice",
        "fresh rosemary | rosemary-fresh",
        "castor oil | castor-oil",
        "vodka 60 % | spirit-60",
        "fresh mint leaves | mint-fresh",
        "rolled oats | oats",
        "aloe juice | aloe-juice",
        "ground cloves | clove-powder",
        "psyllium husk | psyllium-husk",
        "methi powder | fenugreek-powder",
        "ground cinnamon | cinnamon-powder",
        "bhindi | okra",
        "flaxseed meal | linseed-ground",
        "powdered nettle | nettle-powder"
      })
  void aNameThatMeansOneThingIsNotAsked(String name, String id) {
    Reading reading = reader.read("20 g " + name + ", 500 g water", Answers.NONE);
    assertThat(reading.lines().get(0).material()).isEqualTo(id);
    assertThat(reading.doubtful()).as(name).isEmpty();
  }

  // Common practice: an infused oil goes in by the spoon, an essential oil by the drop.
  @ParameterizedTest
  @CsvSource({
    "2 tbsp rosemary oil, rosemary-oil-infused, false",
    "5 drops rosemary oil, rosemary-essential, false",
    "rosemary oil, rosemary-oil-infused, true",
    "1 tsp tea tree oil, tea-tree-essential, true",
    "3 drops tea tree oil, tea-tree-essential, false",
    "1 tbsp coconut oil, coconut-oil, false",
    "4 drops chamomile oil, chamomile-essential-oil, true"
  })
  void anOilIsAskedAboutUnlessItsMeasureTells(String text, String id, boolean asked) {
    Reading reading = reader.read(text, Answers.NONE);
    assertThat(reading.lines().get(0).material()).as(text).isEqualTo(id);
    assertThat(reading.doubtful().isEmpty()).as(text).isEqualTo(!asked);
  }

  @Test
  void anUnknownHerbBecomesAMaterialOfItsKindOnceItIsSaid() {
    String text = "30 g hackberry leaves\n600 g water";
    Reading guess = reader.read(text, Answers.NONE);
    Stretch asked = guess.doubtful().get(0);
    assertThat(asked.options().get(0).value()).isEqualTo("new:LEAF");
    Answers answers =
        new Answers(java.util.Map.of(asked.key(), "new:FRESH_LEAF"), java.util.Map.of());
    Reading settled = reader.read(text, answers);
    assertThat(settled.doubtful()).isEmpty();
    assertThat(settled.made())
        .singleElement()
        .satisfies(
            made -> {
              assertThat(made.kind()).isEqualTo(MaterialKind.FRESH_LEAF);
              assertThat(made.name()).isEqualTo("Hackberry leaf, fresh");
            });
    Reading without =
        reader.read(text, new Answers(java.util.Map.of(asked.key(), "none"), java.util.Map.of()));
    assertThat(without.lines()).extracting(Reading.Taken::material).containsExactly("water");
  }
}
