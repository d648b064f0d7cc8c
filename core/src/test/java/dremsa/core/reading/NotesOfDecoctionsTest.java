package dremsa.core.reading;

import static dremsa.core.reading.Told.note;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Notes of what is boiled in water, in many voices. All of them our own; what each must give is
 * common practice.
 */
class NotesOfDecoctionsTest {
  static Stream<Arguments> notes() {
    return Stream.of(
        note(
            """
            Rosemary water
            Ingredients:
            - 4 sprigs fresh rosemary
            - 2 cups water
            1. Bring the water to a boil.
            2. Add the rosemary, cover and simmer for 15-20 minutes.
            3. Turn off the heat and let it cool completely.
            4. Strain into a spray bottle. Keeps in the fridge up to 2 weeks.
            """,
            """
            DECOCTION: rosemary-fresh 6 g, water 472 g
            put pot (water), heat, put pot (rosemary-fresh), simmer covered 17.5, cool 30, strain SIEVE, bottle SPRAY\
            """,
            ""),
        note(
            """
            What you need: 30g horsetail, 30g nettle leaf, 1L water. Put everything in a pot, bring to the boil with the lid on, simmer 20 min, take off the heat, infuse until cool, strain through a sieve.
            """,
            """
            DECOCTION: horsetail 30 g, nettle-leaf 30 g, water 998 g
            put pot (horsetail nettle-leaf water), heat, simmer covered 20, cool 30, strain SIEVE, +bottle APPLICATOR\
            """,
            "nettle leaf = nettle-leaf"),
        note(
            """
            Burdock root decoction. Simmer 25 g burdock root in 750 ml of water for 15-20 minutes, covered. Leave to cool. Strain, squeezing the cloth.
            """,
            """
            DECOCTION: burdock-root 25 g, water 749 g
            put pot (burdock-root water), heat, simmer covered 17.5, cool 30, strain CLOTH squeezed, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Boil 5 cloves and a cinnamon stick in 2 cups of water for 10 mins, cool, strain into a spray bottle. Don't use more than 2x a week.
            """,
            """
            DECOCTION: clove 0.4 g, cinnamon-bark 3 g, water 472 g
            put pot (clove cinnamon-bark water), heat, gently covered 10, cool 30, strain SIEVE, bottle SPRAY\
            """,
            ""),
        note(
            """
            4 dried hibiscus flowers, 1 tbsp cloves, 3 cups water
            boil 15 mins covered
            let cool then strain
            """,
            """
            DECOCTION: hibiscus 2.4 g, clove 5.18 g, water 708 g
            put pot (hibiscus clove water), heat, gently covered 15, cool 30, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Fresh rosemary sprigs (a small handful) simmered in 2 cups water 5 min, lid on. Cool completely and lift out the sprigs.
            """,
            """
            SHORT_SIMMER: rosemary-fresh 6.9 g, water 472 g
            put pot (rosemary-fresh water), heat, simmer covered 5, cool 30, strain SIEVE, +bottle SPRAY\
            """,
            ""),
        note(
            """
            Boil water (4 cups). Add 1/2 c fenugreek, 1/4 c rosemary, 10 cloves. Simmer 20 min. Off heat, cover, 12 hrs. Strain twice.
            """,
            """
            DECOCTION: water 945 g, fenugreek 88.8 g, rosemary 13.2 g, clove 0.8 g
            put pot (water), heat, put pot (fenugreek rosemary clove), simmer covered 20, steep 720, strain SIEVE, +bottle APPLICATOR\
            """,
            "rosemary = rosemary"),
        note(
            """
            a mug of water, a spoon of fennel seed. Boil it up 5 minutes and leave to cool. Strain.
            """,
            """
            DECOCTION: water 299 g, fennel-seed 1.92 g
            put pot (water fennel-seed), heat, gently covered 5, cool 30, strain SIEVE, +bottle APPLICATOR\
            """,
            "a spoon = tsp"),
        note(
            """
            60 g fresh nettles, chopped, simmered in 1 litre water for 10 minutes with 50 ml cider vinegar added at the end when cool. Sieve before adding the vinegar.
            """,
            """
            DECOCTION: nettle-fresh 60 g, water 998 g, apple-vinegar 50.4 g
            chop (nettle-fresh), put pot (nettle-fresh water), heat, simmer covered 10, +cool 30, add (apple-vinegar), strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            2 cups water; 1/4 cup hackberry leaves; boil 10 minutes; strain
            """,
            """
            DECOCTION: water 472 g, hackberry-leaf-dried 7.1 g
            put pot (water hackberry-leaf-dried), heat, gently covered 10, strain SIEVE, +cool 30, +bottle APPLICATOR\
            """,
            "hackberry leaves = new:LEAF"),
        note(
            """
            ROSEMARY & CLOVE WATER (makes about 400ml)

            You'll need:
            • 2 tablespoons dried rosemary
            • 1 tablespoon whole cloves
            • 500 ml (2 cups) water

            Directions:
            Add the water to a saucepan and bring to the boil. Reduce heat to low, add rosemary and cloves, cover and simmer for 15 minutes. Remove from the heat and allow to cool for 1 hour. Strain using a fine mesh sieve. Pour into a spray bottle. Store in the refrigerator for 7–10 days.
            """,
            """
            DECOCTION: rosemary 6.59 g, clove 5.18 g, water 499 g
            put pot (water), heat, put pot (rosemary clove), simmer covered 15, steep 60, strain SIEVE, bottle SPRAY\
            """,
            ""),
        note(
            """
            onion water - 1 red onion chopped, 2 cloves garlic crushed, 3 cups water. boil 10, cool, strain. smells!! keep in fridge 1wk
            """,
            """
            DECOCTION: onion 150 g, garlic 6 g, water 708 g
            chop (onion), crush (garlic), put pot (onion garlic water), heat, gently covered 10, cool 30, strain SIEVE, +bottle APPLICATOR\
            """,
            "10 = min"),
        note(
            """
            Cloves 2 tbsp. Water 500. Boil 15min. Leave overnite. Strain.
            """,
            """
            DECOCTION: clove 10.4 g, water 499 g
            put pot (clove water), heat, gently covered 15, steep 600, strain SIEVE, +bottle APPLICATOR\
            """,
            "500 = 500 mL"),
        note(
            """
            my hair growth spray: cloves (1 tbsp), rosemary (1 tbsp), onion skins from 2 onions, water 3 cups. boil 20min. strain
            """,
            """
            DECOCTION: clove 5.18 g, rosemary 3.3 g, onion 300 g, water 708 g
            put pot (clove rosemary onion water), heat, gently covered 20, strain SIEVE, +cool 30, +bottle APPLICATOR\
            """,
            "rosemary = rosemary"),
        note(
            """
            Bring 3 cups of water to a rolling boil, add 1 cup of dried hibiscus, turn off heat, let steep till cold, strain through cheesecloth, pour in jar, refrigerate up to 2 wks.
            """,
            """
            DECOCTION: water 708 g, hibiscus 14.2 g
            put pot (water), heat, put pot (hibiscus), cool 30, strain CLOTH, bottle JAR\
            """,
            ""),
        note(
            """
            1 liter water, 2 tbsp cloves, 2 tbsp rosemary, 2 tbsp green tea; simmer 30 min lid off; should reduce by half; strain; cool; spray nightly
            """,
            """
            DECOCTION: water 998 g, clove 10.4 g, rosemary 6.59 g, green-tea 3.55 g
            put pot (water clove rosemary green-tea), heat, simmer open 30, strain SIEVE, cool 30, bottle SPRAY\
            """,
            "rosemary = rosemary"),
        note(
            """
            Boil a handful of guava leaves in one litre of water for 20 minutes. Let it cool to room temperature. Strain.
            """,
            """
            DECOCTION: guava-leaf 7.2 g, water 998 g
            put pot (guava-leaf water), heat, gently covered 20, cool 30, strain SIEVE, +bottle APPLICATOR\
            """,
            "guava leaves = guava-leaf"),
        note(
            """
            Put 20 g dried sage, 20 g dried rosemary and 20 g dried nettle in 1.5 litres of water. Bring to the boil and then simmer for fifteen minutes with the lid on. Leave to infuse for an hour. Strain through muslin. Makes about 1.2 litres.
            """,
            """
            DECOCTION: sage 20 g, rosemary 20 g, nettle-leaf 20 g, water 1.50e+03 g
            put pot (sage rosemary nettle-leaf water), heat, simmer covered 15, steep 60, strain CLOTH, +cool 30, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Clove water. 1/4 cup whole cloves, 2 cups distilled water. Bring to boil then simmer on low for 15-20 mins. Let it sit overnight, strain, pour into spray bottle. Refrigerate.
            """,
            """
            DECOCTION: clove 20.7 g, water 472 g
            put pot (clove water), heat, simmer covered 17.5, steep 600, strain SIEVE, bottle SPRAY\
            """,
            ""),
        note(
            """
            sage+rosemary+thyme, 10g of each, 1L water, boil 5 min, infuse 30, strain
            """,
            """
            DECOCTION: sage 10 g, rosemary 10 g, thyme 10 g, water 998 g
            put pot (sage rosemary thyme water), heat, gently covered 5, steep 30, strain SIEVE, +cool 30, +bottle APPLICATOR\
            """,
            "sage = sage; rosemary = rosemary; thyme = thyme; 30 = min"),
        note(
            """
            Pour 2 cups of water in a pot, throw in 3 bay leaves and a tablespoon of cloves. Let that come to a boil and boil for about 10 minutes. Turn it off. Once it's cool, strain it and put it in a bottle. Keep it in the fridge and use it up within a week.
            """,
            """
            DECOCTION: water 472 g, bay-leaf 0.6 g, clove 5.18 g
            put pot (water bay-leaf clove), heat, gently covered 10, cool 30, strain SIEVE, bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Two handfuls of nettles (fresh, gloves on!), a litre of water, a splash of cider vinegar. Simmer nettles 20 minutes. When cold, strain and add the vinegar.
            """,
            """
            DECOCTION: nettle-fresh 12 g, water 998 g, apple-vinegar 5.04 g
            put pot (nettle-fresh water), heat, simmer covered 20, cool 30, strain SIEVE, add (apple-vinegar), +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Birch rinse. 40 g dried birch leaf, 1.2 l water. Bring to the boil with the lid on, boil 12 to 15 minutes, let it cool to 40 °C, sieve. Fill into an applicator bottle. Keeps 5 days in the fridge.
            """,
            """
            DECOCTION: birch-leaf 40 g, water 1.20e+03 g
            put pot (birch-leaf water), heat, gently covered 13.5, cool 40, strain SIEVE, bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Sage and oak bark for dark hair
            - 10 g dried sage
            - 10 g oak bark
            - 700 ml water
            Simmer the oak bark in the water for 20 minutes with the lid on. Take off the heat, stir in the sage and leave for 1 hour. Strain through a cloth and squeeze.
            """,
            """
            DECOCTION: sage 10 g, oak-bark 10 g, water 699 g
            put pot (oak-bark water), heat, simmer covered 20, put pot (sage), steep 60, strain CLOTH squeezed, +cool 30, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Nettle root decoction: 25 g dried nettle root, 800 ml water, boil covered 18 min, cool, strain.
            """,
            """
            DECOCTION: nettle-root 25 g, water 799 g
            put pot (nettle-root water), heat, gently covered 18, cool 30, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Rosemary sprig water: wash 6 sprigs of rosemary, simmer in 600 ml water for 4 minutes, lid on, cool, lift out the sprigs, pour into a spray bottle.
            """,
            """
            SHORT_SIMMER: rosemary-fresh 9 g, water 599 g
            wash, put pot (water rosemary-fresh), heat, simmer covered 4, cool 30, strain SIEVE, bottle SPRAY\
            """,
            "rosemary = rosemary-fresh"));
  }

  @ParameterizedTest
  @MethodSource("notes")
  void aNoteGivesItsFormula(String note, String formula, String guesses) {
    Told.check(note, formula, guesses);
  }
}
