package dremsa.core.reading;

import static dremsa.core.reading.Told.note;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Notes of infusions, soaks and water baths, in many voices. All of them our own; what each must
 * give is common practice.
 */
class NotesOfWaterTest {
  static Stream<Arguments> notes() {
    return Stream.of(
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
            put 1 tbsp rosemary, 1 tbsp thyme and 1 tbsp sage in a cafetiere with 350 ml of water just off the boil, 15 min, plunge and pour
            """,
            """
            HOT_INFUSION: rosemary 3.3 g, thyme 2.71 g, sage 2 g, water 349 g
            pour bowl (rosemary thyme sage water), steep 15, strain SIEVE, bottle SPRAY\
            """,
            "rosemary = rosemary; thyme = thyme; sage = sage"),
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
            "rosemary = rosemary-fresh; boiling water = 61 g"),
        note(
            """
            Hair tea: 1 tbsp each dried rosemary, nettle, horsetail and peppermint. Pour over 1 litre boiling water and let steep until cool. Strain and use as final rinse. Lasts about 3-4 days in the fridge.
            """,
            """
            HOT_INFUSION: rosemary 3.3 g, nettle-leaf 1.77 g, horsetail 1.77 g, peppermint 1.6 g, water 998 g
            pour jar (water rosemary nettle-leaf horsetail peppermint), cool 30, strain CLOTH, +bottle SPRAY\
            """,
            "nettle = nettle-leaf; peppermint = peppermint"),
        note(
            """
            bring 750 ml water to boil
            turn off
            add 20 g dried hibiscus + 10 g dried rose petals
            lid on 25 min
            strain fine sieve
            bottle when cool. 5 days fridge
            """,
            """
            HOT_INFUSION: water 749 g, hibiscus 20 g, rose-petal 10 g
            put pot (water), heat, put pot (hibiscus rose-petal), steep 25, strain SIEVE, bottle SPRAY\
            """,
            ""),
        note(
            """
            2 c. water, 1 T. dried sage, 1 T. dried thyme
            Bring to boil. Turn off heat. Cover. Steep 30 min.
            Strain through a coffee filter.
            """,
            """
            HOT_INFUSION: water 472 g, sage 2 g, thyme 2.71 g
            put pot (water sage thyme), heat, steep 30, strain PAPER, +cool 30, +bottle SPRAY\
            """,
            "1 T. = tbsp; 1 T. = tbsp"),
        note(
            """
            Elderflower & linden: 15 g elderflower, 15 g linden blossom, 1 litre just-boiled water, infuse 2 hours covered, strain through muslin.
            """,
            """
            HOT_INFUSION: elder-flower 15 g, linden-flower 15 g, water 998 g
            pour jar (elder-flower linden-flower water), steep 120, strain CLOTH, +bottle SPRAY\
            """,
            ""),
        note(
            """
            Cold brew: 3 tbsp dried hops in 500 ml cold water, fridge, 48 hours. Strain.
            """,
            """
            COLD_SOAK: hop 15.5 g, water 499 g
            put jar (hop water), soak FRIDGE 2880, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            I soak a quarter cup of nigella in one and a half cups of water for 8 hours at room temperature, then strain it through a nut milk bag.
            """,
            """
            COLD_SOAK: nigella 29.6 g, water 354 g
            put jar (nigella water), soak ROOM 480, strain NUT_BAG, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Poplar buds, 20 g, in a jar with 300 ml of water. Stand the jar in simmering water for 40 minutes. Cool and sieve.
            """,
            """
            WATER_BATH: poplar-bud 20 g, water 299 g
            put jar (poplar-bud water), waterBath 40, cool 30, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Raspberry leaf rinse - 2 handfuls dried raspberry leaf, 1 l boiling water, 20 min, strain, add 2 tbsp cider vinegar when cool
            """,
            """
            HOT_INFUSION: raspberry-leaf 14.4 g, water 998 g, apple-vinegar 29.8 g
            pour jar (raspberry-leaf water), steep 20, strain CLOTH, +cool 30, add (apple-vinegar), +bottle SPRAY\
            """,
            ""),
        note(
            """
            Half strength hibiscus: 1 tbsp dried hibiscus in 3 cups of boiling water, 10 min, strain into a jar.
            """,
            """
            HOT_INFUSION: hibiscus 0.887 g, water 708 g
            pour jar (hibiscus water), steep 10, strain CLOTH, bottle JAR\
            """,
            ""));
  }

  @ParameterizedTest
  @MethodSource("notes")
  void aNoteGivesItsFormula(String note, String formula, String guesses) {
    Told.check(note, formula, guesses);
  }
}
