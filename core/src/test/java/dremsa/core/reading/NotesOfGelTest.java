package dremsa.core.reading;

import static dremsa.core.reading.Told.note;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Notes of gels, mucilage and grain water, in many voices. All of them our own; what each must give
 * is common practice.
 */
class NotesOfGelTest {
  static Stream<Arguments> notes() {
    return Stream.of(
        note(
            """
            1/4 c flax, 2 1/2 c water, boil 3 min stirring, cover 1 hr, squeeze thru cheesecloth
            """,
            """
            SEED_GEL: linseed 41.4 g, water 59 g
            put pot (linseed water), heat stirring, gently stirring 3, steep 60, strain CLOTH squeezed, +cool 30, +bottle JAR\
            """,
            ""),
        note(
            """
            Boil a cup of rice in 3 cups of water for 15 minutes. Strain and let it ferment for 24-48 hours. Use after shampoo.
            """,
            """
            STARCH_WATER: rice 185 g, water 708 g
            put pot (rice water), heat, gently covered 15, strain SIEVE, ferment 2160, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Half a cup of okra, sliced, boil in a cup and a half of water until slimy (about 10 mins on medium). Sieve. Add a tsp of honey and 1 tbsp olive oil when cool.
            """,
            """
            MUCILAGE: okra 50 g, water 354 g, honey 7 g, olive-oil 13.5 g
            chop (okra), put pot (okra water), heat, gently covered 10, strain SIEVE, +cool 30, add (honey olive-oil), +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            FLAX GEL - 1/2 cup whole flax seeds : 4 cups water. Medium heat. Stir constantly. When it gets frothy & looks like egg white (7-10 mins) take off the heat & strain immediately thru a nylon stocking. Add 1 tsp jojoba oil & 5 drops lavender EO. Keeps 2 weeks in the fridge.
            """,
            """
            SEED_GEL: linseed 82.8 g, water 945 g, jojoba-oil 4.28 g, lavender-essential 0.18 g
            put pot (linseed water), heat stirring, gently stirring 8.5, strain STOCKING, +cool 30, add (jojoba-oil lavender-essential), +bottle JAR\
            """,
            ""),
        note(
            """
            1/4 cup linseed in 500mls of water, bring to boil then lower the heat to a simmer for 8 min, keep stirring, cool it a bit, squeeze through tights
            """,
            """
            SEED_GEL: linseed 41.4 g, water 499 g
            put pot (linseed water), heat stirring, simmer stirring 8, cool 30, strain STOCKING squeezed, +bottle JAR\
            """,
            ""),
        note(
            """
            chia gel: 2 tablespoons chia seeds + 1 cup water, boil 5 minutes while stirring, strain while hot through a fine mesh strainer
            """,
            """
            SEED_GEL: chia 24 g, water 236 g
            put pot (chia water), heat stirring, gently stirring 5, strain SIEVE, +cool 30, +bottle JAR\
            """,
            ""),
        note(
            """
            Flaxseed and okra gel. 1/4 cup flaxseed, 6 okra chopped, 3 cups water. Boil 10 min. Strain through a stocking, squeeze.
            """,
            """
            SEED_GEL: linseed 41.4 g, okra 72 g, water 708 g
            chop (okra), put pot (linseed okra water), heat stirring, gently stirring 10, strain STOCKING squeezed, +cool 30, +bottle JAR\
            """,
            ""),
        note(
            """
            Marshmallow root 3 tbsp, water 2 cups. Boil for 15 minutes on medium until the water turns yellow. Strain & leave the clumps.
            """,
            """
            MUCILAGE: marshmallow-root 15.5 g, water 472 g
            put pot (marshmallow-root water), heat, gently covered 15, strain SIEVE, +cool 30, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Slippery elm: whisk 1 tablespoon slippery elm powder into 1 cup of cold water, bring to a boil, stirring, 2-3 minutes. Cool.
            """,
            """
            MUCILAGE: slippery-bark 7.39 g, water 236 g
            put pot (slippery-bark water), heat stirring, gently stirring 2.5, cool 30, +strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Mallow leaf: 20 g dried mallow leaf, 600 ml boiling water, infuse 2 hours, strain through cloth.
            """,
            """
            MUCILAGE: mallow-leaf 20 g, water 599 g
            pour jar (mallow-leaf water), steep 120, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Irish moss gel
            Rinse 1 oz irish moss well, soak 30 minutes in cold water with the juice of half a lemon, rinse again. Simmer in 3 cups fresh water for 5 mins. Blend till smooth. Strain through a nut milk bag into a jar.
            """,
            """
            SEAWEED_GEL: carrageen 28.3 g, water 708 g, lemon-juice 24 g
            wash, put jar (water lemon-juice carrageen), soak ROOM 30, heat, simmer covered 5, +cool 50, blend 2, strain NUT_BAG, bottle JAR\
            """,
            ""),
        note(
            """
            RICE WATER. 1 cup rice, rinse. Soak in 2 cups water 30 min. Swish. Strain. Use fresh.
            """,
            """
            STARCH_WATER: rice 185 g, water 472 g
            wash, put jar (water rice), soak ROOM 30, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            wash 100g of white rice, discard the first water. Cover with 500 ml water, lid on, ferment 2 days on the counter till it smells sour, stirring once a day. pour off through a sieve. fridge 1 week max
            """,
            """
            STARCH_WATER: rice 100 g, water 499 g
            wash, put jar (water rice), ferment 2880, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Fermented rice water: soak half a cup of brown rice in 2 cups of water for 24 hours at room temp. Strain. Boil 5 mins. Cool.
            """,
            """
            STARCH_WATER: brown-rice 92.5 g, water 472 g
            put jar (brown-rice water), ferment 1440, strain SIEVE, heat, gently covered 5, cool 30, +bottle APPLICATOR\
            """,
            "soak = FERMENT"),
        note(
            """
            Oat cream: 1 cup oats, 3 cups water. Cook 12 mins stirring till soft. Cool. Blend until silky. Squeeze through a nut milk bag. Stir in 1 tbsp almond oil.
            """,
            """
            GRAIN_CREAM: oats 87.5 g, water 708 g, almond-oil 13.6 g
            put pot (oats water), heat, gently stirring 12, cool 30, blend 3, strain NUT_BAG squeezed, add (almond-oil), +bottle JAR\
            """,
            ""),
        note(
            """
            Cook 1/2 cup rice in 1 1/2 cups water for 20 min, let it cool, blend with 1/2 cup aloe juice until silky, add 1 tsp castor oil
            """,
            """
            GRAIN_CREAM: rice 92.5 g, water 354 g, aloe-juice 119 g, castor-oil 4.73 g
            put pot (rice water), heat, gently covered 20, cool 30, add (aloe-juice), blend 3, +strain NUT_BAG squeezed, add (castor-oil), +bottle JAR\
            """,
            ""),
        note(
            """
            1:10 linseed and water. Simmer 6 min, stirring. Strain hot through a sieve.
            """,
            """
            SEED_GEL: linseed 100 g, water 1000 g
            put pot (linseed water), heat stirring, simmer stirring 6, strain SIEVE, +cool 30, +bottle JAR\
            """,
            "1:10 = weight"),
        note(
            """
            My detangler!! Half a cup of dried marshmallow root goes into 3 cups of cold water. Leave it overnight in the fridge. In the morning strain it through a cheesecloth, then add 1 tablespoon of honey and shake. It lasts about a week refrigerated.
            """,
            """
            MUCILAGE: marshmallow-root 41.4 g, water 708 g, honey 21 g
            put jar (marshmallow-root water), soak FRIDGE 600, strain CLOTH, add (honey), +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Ambunu: pour 2 cups of hot water over 4 tbsp ambunu, stir until slimy, strain through a sieve. Use straight away.
            """,
            """
            MUCILAGE: water 472 g, ambunu-leaf 7.1 g
            pour jar (water ambunu-leaf), +steep 60, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            6 fresh okra sliced, 2 cups water, boil until thick and slimy, strain through stocking, freeze in ice cube trays
            """,
            """
            MUCILAGE: okra 72 g, water 472 g
            chop (okra), put pot (okra water), heat, gently covered 15, strain STOCKING, freeze\
            """,
            ""),
        note(
            """
            Boil 3 tbsp of flax in 2 cups of water. Don't stir too much. Strain before it cools.
            """,
            """
            SEED_GEL: linseed 31.1 g, water 472 g
            put pot (linseed water), heat stirring, gently stirring 6, strain CLOTH, cool 30, +bottle JAR\
            """,
            ""),
        note(
            """
            400 g water
            20 g linseed
            3 g rosemary dried
            potassium sorbate 0.3 %
            citric acid 0.2%
            Heat water and seed, stirring, to the boil, 6 min. Sieve hot. Cool to 35°C, stir in the rest. Bottle.
            """,
            """
            SEED_GEL: water 400 g, linseed 20 g, rosemary 3 g, potassium-sorbate 0.3 %, citric-acid 0.2 %
            put pot (water linseed), heat stirring, gently stirring 6, strain SIEVE, cool 35, add (rosemary potassium-sorbate citric-acid), bottle JAR\
            """,
            ""),
        note(
            """
            FLAX GEL - 1/2 cup whole flax seeds : 4 cups water. Medium heat. Stir constantly. When it gets frothy & looks like egg white (7-10 mins) take off the heat & strain immediately thru a nylon stocking. Add 1 tsp jojoba oil & 5 drops lavender EO. Keeps 2 weeks in the fridge.
            """,
            """
            SEED_GEL: linseed 82.8 g, water 945 g, jojoba-oil 4.28 g, lavender-essential 0.18 g
            put pot (linseed water), heat stirring, gently stirring 8.5, strain STOCKING, +cool 30, add (jojoba-oil lavender-essential), +bottle JAR\
            """,
            ""),
        note(
            """
            Take one part flaxseed and six parts water, simmer until it's stringy, stirring the whole time, then push it through a sieve before it cools
            """,
            """
            SEED_GEL: linseed 100 g, water 600 g
            put pot (linseed water), heat stirring, simmer stirring 6, strain SIEVE, cool 30, +bottle JAR\
            """,
            "one = weight; six = weight"),
        note(
            """
            Rice ferment (Asha's way): rinse 1/2 cup basmati twice. Cover w/ 2 cups water. Sit on counter 2-3 days with a cloth over. Strain. Dilute 1:1 with water before use. Fridge 1 wk.
            """,
            """
            STARCH_WATER: rice 92.5 g, water 472 g
            wash, put jar (water rice), ferment 3600, strain SIEVE, +bottle APPLICATOR\
            """,
            "Sit = FERMENT"),
        note(
            """
            Marshmallow root slip:
            1/4 c marshmallow root
            2 c water
            Simmer 20 min (covered). Strain thru cheesecloth, squeezing. Should be about 1 1/2 c.
            """,
            """
            MUCILAGE: marshmallow-root 20.7 g, water 472 g
            put pot (marshmallow-root water), heat, simmer covered 20, strain CLOTH squeezed, +cool 30, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            soak 3 tbs chia in 1.5 c distilled water 30 mins, warm gently till gel forms, sieve, add 1/2t citric acid & preservative 1%
            """,
            """
            SEED_GEL: chia 36 g, water 354 g, citric-acid 2.09 g, phenoxyethanol 1 %
            put jar (chia water), soak ROOM 30, heat stirring, +gently stirring 6, strain SIEVE, +cool 30, add (citric-acid phenoxyethanol), +bottle JAR\
            """,
            "1/2t = tsp"),
        note(
            """
            Cut 3 okra lengthwise. Pour on 1 mug just-boiled water. Leave covered 4 hours. Sieve out the okra. Spray.
            """,
            """
            MUCILAGE: okra 36 g, water 299 g
            chop (okra), pour jar (water okra), steep 240, strain SIEVE, bottle SPRAY\
            """,
            ""),
        note(
            """
            4 c. water
            3/4 c. flax seed
            1 t. honey
            Boil water; add flax; boil 10 min. stirring; strain; when cool add honey.
            """,
            """
            SEED_GEL: water 945 g, linseed 124 g, honey 7 g
            put pot (water), heat stirring, put pot (linseed), gently stirring 10, strain CLOTH, +cool 30, add (honey), +bottle JAR\
            """,
            "1 t. = tsp"),
        note(
            """
            Gently simmer 10 g slippery elm bark in 300 g water for 5 min then strain. Cool to 40C and whisk in 3 g panthenol and 2.4 g phenoxyethanol.
            """,
            """
            MUCILAGE: slippery-bark 10 g, water 300 g, panthenol 3 g, phenoxyethanol 2.4 g
            put pot (slippery-bark water), heat, simmer covered 5, strain SIEVE, cool 40, add (panthenol phenoxyethanol), +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Fermented rice water, quick way: cook 100 g rice in 1 l water 15 min, pour off the water, leave it out lidded for 2 days, then fridge.
            """,
            """
            STARCH_WATER: rice 100 g, water 998 g
            put pot (rice water), heat, gently covered 15, strain SIEVE, ferment 2880, +bottle APPLICATOR\
            """,
            "lidded = FERMENT"),
        note(
            """
            Simmer 1 tablespoon of flaxseeds with 250ml of water in a small pan on a low flame for about 10 minutes or until it has the consistency of egg whites. Strain through a pop sock.
            """,
            """
            SEED_GEL: linseed 10.4 g, water 25 g
            put pot (linseed water), heat stirring, simmer stirring 10, strain STOCKING, +cool 30, +bottle JAR\
            """,
            ""),
        note(
            """
            For the gel: 100 g linseed, 1 l water. Soak overnight. Next day boil for 5 min, stirring. Strain hot. For the spray: dilute.
            """,
            """
            SEED_GEL: linseed 100 g, water 998 g
            put jar (linseed water), soak ROOM 600, heat stirring, gently stirring 5, strain CLOTH, +cool 30, +bottle JAR\
            """,
            ""),
        note(
            """
            Put 1/2 cup brown rice and 2 cups water in a jar. Close and leave at room temp for three to five days until it smells sour. Pour through strainer. Boil for 1 minute to stop fermentation. Cool. Add 3 drops of peppermint oil.
            """,
            """
            STARCH_WATER: brown-rice 92.5 g, water 472 g, peppermint-essential 0.108 g
            put jar (brown-rice water), ferment 5760, strain SIEVE, heat, gently covered 1, cool 30, add (peppermint-essential), +bottle APPLICATOR\
            """,
            "leave = FERMENT"),
        note(
            """
            half cup oats blended with 1 cup warm water, squeezed through a nut milk bag
            """,
            """
            STARCH_WATER: oats 43.8 g, water 236 g
            put blender (oats water), blend 2, strain NUT_BAG squeezed, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Bladderwrack gel - 15 g bladderwrack in 500 ml water. Soak 20 min, simmer 5 min, blend, strain through a sieve.
            """,
            """
            SEAWEED_GEL: bladderwrack 15 g, water 499 g
            put jar (bladderwrack water), soak ROOM 20, heat, simmer covered 5, +cool 50, blend 2, strain SIEVE, +bottle JAR\
            """,
            ""),
        note(
            """
            flax 3T + 2c water. boil 7 min stir. squeeze thru tights
            """,
            """
            SEED_GEL: linseed 31.1 g, water 472 g
            put pot (linseed water), heat stirring, gently stirring 7, strain STOCKING squeezed, +cool 30, +bottle JAR\
            """,
            "3T = tbsp"),
        note(
            """
            Take one cup of rice, wash it well and throw that water out. Add 2 cups of water to the washed rice and leave for 30 minutes. Strain the rice water into a clean bowl. You can use it straight away or leave it out for a day to ferment.
            """,
            """
            STARCH_WATER: rice 185 g, water 472 g
            wash, put jar (rice water), soak ROOM 30, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            INGREDIENTS
            Flaxseeds - 4 tablespoons
            Water - 2 cups
            Aloe vera gel - 2 tablespoons
            Vitamin E oil - 1 teaspoon
            Essential oil of choice - 5 drops
            METHOD
            Put flaxseeds and water in a pan. Boil, stirring continuously, until it turns to a gel-like consistency. Remove from heat and strain immediately with a stocking. Let it cool. Mix in aloe vera gel, vitamin E and essential oil. Store in an airtight container in the fridge for two weeks.
            """,
            """
            SEED_GEL: linseed 41.4 g, water 472 g, aloe-gel 29.9 g, vitamin-e-oil 4.68 g
            put pot (linseed water), heat stirring, gently stirring 6, strain STOCKING, cool 30, add (aloe-gel vitamin-e-oil), bottle JAR\
            """,
            ""),
        note(
            """
            Soak 2 tbsp flax seed in 2 cups water overnight. In the morning simmer 5 minutes and strain.
            """,
            """
            SEED_GEL: linseed 20.7 g, water 472 g
            put jar (linseed water), soak ROOM 600, heat stirring, simmer stirring 5, strain CLOTH, +cool 30, +bottle JAR\
            """,
            ""),
        note(
            """
            ¼ cup dried marshmallow root
            1½ cups water
            Bring to a simmer, cover, 10–15 minutes. Cool 20 min. Strain through a nut milk bag & squeeze.
            """,
            """
            MUCILAGE: marshmallow-root 20.7 g, water 354 g
            put pot (marshmallow-root water), heat, simmer covered 12.5, steep 20, strain NUT_BAG squeezed, +cool 30, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Aloe + flax: cook 1/3 cup flax w/ 2 cups h2o till thick. strain. blend the gel of one aloe leaf and strain. mix both.
            """,
            """
            SEED_GEL: linseed 55.2 g, water 472 g, aloe-leaf 280 g
            put pot (linseed water), heat stirring, gently stirring 6, strain CLOTH, +cool 30, add (aloe-leaf), blend 2, strain CLOTH, +bottle JAR\
            """,
            ""),
        note(
            """
            3 tbsp psyllium husk, 2 cups hot water. Whisk quickly, let stand 5 min. No need to strain.
            """,
            """
            MUCILAGE: psyllium-husk 22.2 g, water 472 g
            pour jar (psyllium-husk water), steep 5, +cool 30, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Quince seed gel: 2 tbsp quince seeds, 1 cup water. Boil 5 minutes, stirring all the time. Squeeze through a cloth when half cooled.
            """,
            """
            SEED_GEL: quince-seed 20.7 g, water 236 g
            put pot (quince-seed water), heat stirring, gently stirring 5, strain CLOTH squeezed, +cool 30, +bottle JAR\
            """,
            ""),
        note(
            """
            Linseed gel for braids. 80 g linseed, 1 l water, boil gently 8 min, stirring. Sieve while hot. Add 1 % preservative below 40 °C and 10 drops of lavender oil per 100 ml.
            """,
            """
            SEED_GEL: linseed 80 g, water 998 g, phenoxyethanol 1 %, lavender-essential 10 drops
            put pot (linseed water), heat stirring, simmer stirring 8, strain SIEVE, +cool 30, add (phenoxyethanol lavender-essential), +bottle JAR\
            """,
            ""),
        note(
            """
            Okra: 200 g fresh okra, sliced, 600 ml water. Boil 12 min. Strain through a stocking. Freeze in an ice cube tray.
            """,
            """
            MUCILAGE: okra 200 g, water 599 g
            chop (okra), put pot (okra water), heat, gently covered 12, strain STOCKING, freeze\
            """,
            ""),
        note(
            """
            Sea moss gel. Wash 20 g sea moss. Soak it 20 min. Simmer 5 min in 800 ml water, cool, blend 2 min, strain through a cloth, jar.
            """,
            """
            SEAWEED_GEL: carrageen 20 g, water 799 g
            wash, put jar (carrageen water), soak ROOM 20, heat, simmer covered 5, +cool 50, blend 2, strain CLOTH, bottle JAR\
            """,
            ""),
        note(
            """
            Barley water: wash 150 g barley, cover with 1 litre cold water, soak half an hour, strain, let the water ferment for 2 days, fridge 5 days.
            """,
            """
            STARCH_WATER: barley 150 g, water 998 g
            wash, put jar (water barley), soak ROOM 30, strain SIEVE, ferment 2880, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            black rice water, 1 cup black rice 3 cups water. rinse. boil 15 min covered. strain. cool. bottle
            """,
            """
            STARCH_WATER: black-rice 185 g, water 708 g
            wash, put pot (black-rice water), heat, gently covered 15, strain SIEVE, cool 30, bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Oat milk: 100 g oats, 1 l water, cook 12 min, stirring, cool, blend 3 min, squeeze through a nut milk bag
            """,
            """
            GRAIN_CREAM: oats 100 g, water 998 g
            put pot (oats water), heat, gently stirring 12, cool 30, blend 3, strain NUT_BAG squeezed, +bottle JAR\
            """,
            ""));
  }

  @ParameterizedTest
  @MethodSource("notes")
  void aNoteGivesItsFormula(String note, String formula, String guesses) {
    Told.check(note, formula, guesses);
  }
}
