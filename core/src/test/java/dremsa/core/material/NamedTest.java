package dremsa.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A material is named by its whole name only. */
class NamedTest {
  private static Named named(String words) {
    return Named.of(words, Materials.standard());
  }

  @ParameterizedTest
  @CsvSource({
    "water, water",
    "linseed, linseed",
    "whole linseed, linseed",
    "cloves, clove",
    "clove buds, clove",
    "dried chamomile, chamomile",
    "chamomile flowers, chamomile",
    "rice, rice",
    "white rice, rice",
    "fresh rosemary, rosemary-fresh",
    "rosemary, rosemary",
    "castor oil, castor-oil",
    "apple vinegar, apple-vinegar",
    "lavender essential oil, lavender-essential",
    "fresh mint leaves, mint-fresh",
    "rolled oats, oats",
    "fenugreek seeds, fenugreek",
    "aloe juice, aloe-juice",
    "ground cloves, clove-powder",
    "amla powder, amla-powder",
    "psyllium husk, psyllium-husk"
  })
  void aWholeNameIsFound(String words, String id) {
    assertThat(named(words).found()).as(words).isNotNull();
    assertThat(named(words).found().id()).isEqualTo(id);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "clove oil",
        "rosemary oil",
        "peppermint oil",
        "linseed gel",
        "rice water",
        "rose water",
        "linseed oil",
        "hibiscus conditioner",
        "mint toothpaste",
        ""
      })
  void aPartOfANameIsNone(String words) {
    assertThat(named(words).found()).isNull();
  }

  @Test
  void whatMightBeMeantIsOffered() {
    assertThat(named("rosemary oil").meant())
        .extracting(Material::id)
        .contains("rosemary-essential", "rosemary-oil-infused");
    assertThat(named("clove oil").meant()).extracting(Material::id).contains("clove-essential");
    assertThat(named("sea glass").meant()).isEmpty();
  }
}
