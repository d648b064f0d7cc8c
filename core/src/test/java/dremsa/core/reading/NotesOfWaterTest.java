package dremsa.core.reading;

import static dremsa.core.reading.Told.note;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Notes of infusions, decoctions, soaks and water baths, in many voices. All of them our own; what
 * each must give is common practice.
 */
class NotesOfWaterTest {
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
            Pour 500 ml boiling water over 2 tbsp dried hibiscus flowers and 1 tbsp fenugreek seeds. Cover and let steep overnight. Strain through a fine sieve, then through a coffee filter. Add 10 drops of lavender oil. Fridge: 1 week.
            """,
            """
            HOT_INFUSION: water 499 g, hibiscus 1.77 g, fenugreek 11.1 g, lavender-essential 0.36 g
            pour jar (water hibiscus fenugreek), steep 600, strain SIEVE, strain PAPER, add (lavender-essential), +bottle SPRAY\
            """,
            ""),
        note(
            """
            take 2 T methi dana, soak overnight in 1 glass of water, blend in the morning, strain thru muslin and apply to scalp for 30 min
            """,
            """
            COLD_SOAK: fenugreek 22.2 g, water 2 g
            put jar (fenugreek water), soak ROOM 600, blend 2, strain CLOTH, +bottle APPLICATOR\
            """,
            "2 T = tbsp"),
        note(
            """
            Nan's hair rinse

            Take a good handful of dried nettles and 3 sprigs of rosemary. Put them in a jug, pour over a pint of boiling water, cover and leave till cold. Strain. Will keep 4 days in the fridge.
            """,
            """
            HOT_INFUSION: nettle-leaf 7.2 g, rosemary-fresh 4.5 g, water 472 g
            pour bowl (nettle-leaf rosemary-fresh water), cool 30, strain CLOTH, +bottle SPRAY\
            """,
            "rosemary = rosemary-fresh"),
        note(
            """
            SPEARMINT TEA SPRAY
            2 tbsp dried spearmint
            300 ml water
            Boil the kettle, pour over the mint, lid on, 2-3 h. Strain through muslin, bottle in a spray bottle.
            """,
            """
            HOT_INFUSION: spearmint 3.55 g, water 299 g
            pour pot (water spearmint), steep 150, strain CLOTH, bottle SPRAY\
            """,
            ""),
        note(
            """
            chamomile rinse: 1/4 cup chamomile flowers to 1 litre just boiled water. Steep 30 mins. Strain.
            """,
            """
            HOT_INFUSION: chamomile 3.55 g, water 998 g
            pour jar (chamomile water), steep 30, strain CLOTH, +cool 30, +bottle SPRAY\
            """,
            ""),
        note(
            """
            Black tea - 3 tea bags, 500ml boiling water, steep 20 minutes, cool, use as a rinse
            """,
            """
            HOT_INFUSION: black-tea 6 g, water 499 g
            pour jar (black-tea water), steep 20, cool 30, +strain CLOTH squeezed, +bottle SPRAY\
            """,
            ""),
        note(
            """
            Add two heaped tablespoons of fenugreek seeds to a bowl. Pour in 2 cups of hot water, cover with a lid and let it sit overnight (8-12 hours). Strain with a cheesecloth and squeeze well. Transfer to an applicator bottle and refrigerate for up to 1 week.
            """,
            """
            HOT_INFUSION: fenugreek 33.3 g, water 472 g
            pour bowl (fenugreek water), steep 600, strain CLOTH squeezed, bottle APPLICATOR\
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
            Soak 1 tbsp of cloves in 1 cup of water for 2 days in the fridge, in a closed jar. Strain.
            """,
            """
            COLD_SOAK: clove 5.18 g, water 236 g
            put jar (clove water), soak FRIDGE 2880, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Nigella overnight
            Wash 3 tbsp kalonji. Cover with 400 ml cold water. Leave at room temperature 8 hours. Sieve.
            """,
            """
            COLD_SOAK: nigella 22.2 g, water 399 g
            wash, put jar (water nigella), soak ROOM 480, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Put 2 tbsp cloves and 1 cup of water in a jar. Set the jar in a pan of simmering water, low heat, 30 minutes. Lid loosely on. Cool, strain.
            """,
            """
            WATER_BATH: clove 10.4 g, water 236 g
            put jar (clove water), waterBath 30, cool 30, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            equal parts rosemary and nettle, 2 tbsp each, in half a litre of boiling water, steep for an hour and a half, strain
            """,
            """
            HOT_INFUSION: rosemary 6.59 g, nettle-leaf 3.55 g, water 499 g
            pour jar (rosemary nettle-leaf water), steep 90, strain CLOTH, +bottle SPRAY\
            """,
            "rosemary = rosemary; nettle = nettle-leaf"),
        note(
            """
            Bring 1 liter of water to a boil. Turn off the heat. Add 3 tablespoons of green tea and 2 bay leaves, cover, steep for 20 minutes. Strain and let cool. Add 2 tablespoons apple cider vinegar. Store in the fridge for up to 5 days.
            """,
            """
            HOT_INFUSION: water 998 g, green-tea 5.32 g, bay-leaf 0.4 g, apple-vinegar 29.8 g
            put pot (water), heat, put pot (green-tea bay-leaf), steep 20, strain CLOTH, cool 30, add (apple-vinegar), +bottle SPRAY\
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
            put 1 tbsp rosemary, 1 tbsp thyme and 1 tbsp sage in a cafetiere with 350 ml of water just off the boil, 15 min, plunge and pour
            """,
            """
            HOT_INFUSION: rosemary 3.3 g, thyme 2.71 g, sage 2 g, water 349 g
            pour bowl (rosemary thyme sage water), steep 15, strain SIEVE, bottle SPRAY\
            """,
            "rosemary = rosemary; thyme = thyme; sage = sage"),
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
            Infuse 1 cup dried hibiscus in 1 L of water at 80 °C for 30 min
            """,
            """
            HOT_INFUSION: hibiscus 14.2 g, water 998 g
            pour jar (hibiscus water), steep 30, +strain CLOTH squeezed, +cool 30, +bottle SPRAY\
            """,
            ""),
        note(
            """
            So what I do is I take about two tablespoons of fenugreek seeds and a tablespoon of black seed and I put them in a glass jar, then I pour in two cups of boiling water, close it up and leave it on my kitchen counter overnight. Next morning I strain it out and pour it in my spray bottle. I spray my scalp every day. You can keep it in the fridge up to seven days.
            """,
            """
            HOT_INFUSION: fenugreek 22.2 g, nigella 7.39 g, water 472 g
            pour jar (fenugreek nigella water), steep 600, strain CLOTH, bottle SPRAY\
            """,
            ""),
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
            Bring a pint of water to a boil, drop in 2 teabags of green tea and a handful of fresh mint, lid on, off the heat, 15 min. When cool, strain, add a squeeze of lemon.
            """,
            """
            HOT_INFUSION: water 472 g, green-tea 4 g, mint-fresh 6.48 g, lemon-juice 5.15 g
            put pot (water), heat, put pot (green-tea mint-fresh), steep 15, cool 30, strain CLOTH, add (lemon-juice), +bottle SPRAY\
            """,
            "lemon = lemon-juice"),
        note(
            """
            Peppermint rinse (for oily hair)
            15g peppermint leaves
            750ml water
            Pour hot water over leaves. Steep 20 min covered. Strain. Cool. Add 30ml apple cider vinegar. Use within 3 days.
            """,
            """
            HOT_INFUSION: peppermint 15 g, water 749 g, apple-vinegar 30.2 g
            pour jar (water peppermint), steep 20, strain CLOTH, cool 30, add (apple-vinegar), +bottle SPRAY\
            """,
            "peppermint leaves = peppermint"),
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
            pour 350ml water over 2 tbsp nettle. steep 1hr. strain
            """,
            """
            HOT_INFUSION: water 349 g, nettle-leaf 3.55 g
            pour jar (water nettle-leaf), steep 60, strain CLOTH, +cool 30, +bottle SPRAY\
            """,
            "pour = JUST_BOILED; nettle = nettle-leaf"),
        note(
            """
            1/3 c fenugreek
            1 qt water
            Soak 24 hrs. Strain & save the water.
            """,
            """
            COLD_SOAK: fenugreek 59.2 g, water 945 g
            put jar (fenugreek water), soak ROOM 1440, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
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
            Heat 2 cups water to 80C, take off heat, add 3 tsp peppermint and cover 10 min, strain, let cool, add 5 ml glycerine and 1 ml vitamin E
            """,
            """
            HOT_INFUSION: water 472 g, peppermint 1.6 g, glycerin 6.3 g, vitamin-e-oil 0.95 g
            put pot (water), heat, put pot (peppermint), steep 10, strain CLOTH, cool 30, add (glycerin vitamin-e-oil), +bottle SPRAY\
            """,
            "peppermint = peppermint"),
        note(
            """
            Steep 4 bags of rooibos in 2 cups of just boiled water 15 mins, squeeze out bags. Add 1/4 tsp citric acid. Cool, bottle.
            """,
            """
            HOT_INFUSION: rooibos 8 g, water 472 g, citric-acid 1.05 g
            pour jar (rooibos water), steep 15, strain CLOTH squeezed, +cool 30, add (citric-acid), cool 30, bottle SPRAY\
            """,
            ""),
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
            Slice an onion, cover with boiling water, leave 6 hours, strain
            """,
            """
            HOT_INFUSION: onion 150 g, water 712 g
            chop (onion), pour jar (water onion), steep 360, strain CLOTH, +bottle SPRAY\
            """,
            "boiling water = 712 g"),
        note(
            """
            MINT INFUSION
            Handful fresh mint
            300ml boiled water
            10 mins
            strain
            """,
            """
            HOT_INFUSION: mint-fresh 6.48 g, water 299 g
            pour jar (mint-fresh water), steep 10, strain CLOTH, +cool 30, +bottle SPRAY\
            """,
            ""),
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
            Hop jar: 35 g hop cones, 500 ml water in a jar in a double boiler 30 minutes. Sieve.
            """,
            """
            WATER_BATH: hop 35 g, water 499 g
            put jar (hop water), waterBath 30, strain SIEVE, +cool 30, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            So darling, you take a good handful of dried nettles, and you pour about half a litre of boiling water on them in the big jug, put a plate on top and forget about it till it's stone cold. Then just strain it. It'll keep three days.
            """,
            """
            HOT_INFUSION: nettle-leaf 7.2 g, water 499 g
            pour bowl (nettle-leaf water), steep 180, strain CLOTH, +bottle SPRAY\
            """,
            ""),
        note(
            """
            Infusion: 15.0 g dried chamomile flower in 750 mL water at 95 °C, 20 min, covered; filter (paper).
            """,
            """
            HOT_INFUSION: chamomile 15 g, water 749 g
            pour jar (chamomile water), steep 20, strain PAPER, +cool 30, +bottle SPRAY\
            """,
            ""),
        note(
            """
            Put the kettle on. Tip 2 heaped teaspoons of green tea and a sprig of rosemary in a mug, pour on boiling water, lid on for a quarter of an hour, then fish it all out with a sieve.
            """,
            """
            HOT_INFUSION: green-tea 1.77 g, rosemary-fresh 1.5 g, water 61 g
            pour bowl (green-tea rosemary-fresh water), steep 15, strain SIEVE, +cool 30, +bottle SPRAY\
            """,
            "rosemary = rosemary-fresh; boiling water = 61 g"));
  }

  @ParameterizedTest
  @MethodSource("notes")
  void aNoteGivesItsFormula(String note, String formula, String guesses) {
    Told.check(note, formula, guesses);
  }
}
