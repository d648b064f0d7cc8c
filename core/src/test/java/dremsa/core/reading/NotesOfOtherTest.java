package dremsa.core.reading;

import static dremsa.core.reading.Told.note;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Notes of juices, tinctures, oils, masks and blends, in many voices. All of them our own; what
 * each must give is common practice.
 */
class NotesOfOtherTest {
  static Stream<Arguments> notes() {
    return Stream.of(
        note(
            """
            1 part rosemary to 5 parts vodka. Put in a dark jar for 4 weeks, shaking daily. Strain.
            """,
            """
            TINCTURE: rosemary 100 g, spirit-40 500 g
            put jar (rosemary spirit-40), macerate 40320 shaken 1, strain CLOTH, +bottle APPLICATOR\
            """,
            "1 = weight; rosemary = rosemary; 5 = weight"),
        note(
            """
            Aloe vera juice: cut the ends off one large aloe leaf, let the yellow sap drain for 15 minutes, wash, peel, blend 2 minutes and strain through a nut milk bag.
            """,
            """
            ALOE_JUICE: aloe-leaf 280 g
            drain the latex (aloe-leaf), wash, peel (aloe-leaf), put blender (aloe-leaf), blend 2, strain NUT_BAG, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Infuse 50 g dried calendula in 400 ml sunflower oil for 2-4 weeks on a sunny windowsill, strain through cheesecloth, bottle.
            """,
            """
            INFUSED_OIL: calendula 50 g, sunflower-oil 368 g
            put jar (calendula sunflower-oil), macerate 30240 shaken 1, strain CLOTH, bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Mix 3 tbsp amla powder and 2 tbsp shikakai with enough warm water to make a paste.
            """,
            """
            PASTE: amla-powder 17.7 g, shikakai-powder 11.8 g, water 74 g
            put bowl (amla-powder shikakai-powder water), +bottle JAR\
            """,
            "warm water = 74 g"),
        note(
            """
            fresh aloe juice - two big aloe leaves. Trim the ends and stand them upright for 20 min so the yellow runs out, then soak in water 15 min. peel, blend 3 min, strain through fine cloth. Use within 3 days.
            """,
            """
            ALOE_JUICE: aloe-leaf 560 g
            peel (aloe-leaf), drain the latex (aloe-leaf), put blender (aloe-leaf), blend 3, strain FINE_CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Onion juice: chop 2 onions, blend with 1/4 cup water, strain through stocking and squeeze. Apply to scalp 1 hour before washing, shampoo out.
            """,
            """
            FRESH_JUICE: onion 300 g, water 59 g
            chop (onion), put blender (water onion), blend 2, strain STOCKING squeezed, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            ginger scalp juice 100g fresh ginger chopped blended w/ 1/2 cup water, sieve
            """,
            """
            FRESH_JUICE: ginger-fresh 100 g, water 118 g
            chop (ginger-fresh), put blender (ginger-fresh water), blend 2, strain SIEVE, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Rosemary tincture - 50g dried rosemary, 300ml vodka (40%), 60 ml vegetable glycerine. Put in a jar, shake daily, leave in the dark 3 weeks, strain & squeeze through cloth, bottle in a dark bottle. Keeps a year.
            """,
            """
            TINCTURE: rosemary 50 g, spirit-40 284 g, glycerin 75.6 g
            put jar (rosemary spirit-40 glycerin), macerate 30240 shaken 1, strain CLOTH squeezed, bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Fill a jar with 1 cup dried nettle leaf. Cover with 2 cups of vodka. Let macerate for two to four weeks, shaking every few days. Strain through muslin.
            """,
            """
            TINCTURE: nettle-leaf 28.4 g, spirit-40 449 g
            put jar (nettle-leaf spirit-40), macerate 30240 shaken 3, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Calendula oil: 1 cup dried calendula, 2 cups olive oil, in a jar in a sunny window 4 weeks. Strain through cheesecloth.
            """,
            """
            INFUSED_OIL: calendula 14.2 g, olive-oil 432 g
            put jar (calendula olive-oil), macerate 40320 shaken 1, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Put 3 tablespoons of crushed dried rosemary and 250 ml grapeseed oil in a jar, stand the jar in simmering water for 25 minutes, cool, strain through a cloth, squeeze.
            """,
            """
            INFUSED_OIL: rosemary 9.89 g, grapeseed-oil 230 g
            crush (rosemary), put jar (rosemary grapeseed-oil), waterBath 25, cool 30, strain CLOTH squeezed, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Rosemary oil quick: blend 40g dried rosemary with 200ml olive oil for 3 minutes, strain through a cloth.
            """,
            """
            INFUSED_OIL: rosemary 40 g, olive-oil 183 g
            put blender (rosemary olive-oil), blend 3, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Mask: 4 tbsp amla powder, enough hibiscus tea (about 1/2 cup) to make a paste. Leave on hair 30 minutes.
            """,
            """
            PASTE: amla-powder 23.7 g, hibiscus-tea 118 g
            +put jar (amla-powder), +add (hibiscus-tea), +bottle JAR\
            """,
            "hibiscus tea = new:HYDROLAT"),
        note(
            """
            2 tbsp sidr powder mixed with 80 ml warm water, stir till smooth, use at once
            """,
            """
            PASTE: sidr-powder 11.8 g, water 79.9 g
            put bowl (sidr-powder water), +bottle JAR\
            """,
            ""),
        note(
            """
            Mix 1 cup conditioner with 1/2 cup flaxseed gel and 1 tbsp olive oil.
            """,
            """
            FORTIFIED_CONDITIONER: conditioner-base 232 g, brew:linseed-gel 118 g, olive-oil 13.5 g
            put bowl (conditioner-base brew:linseed-gel olive-oil), +bottle JAR\
            """,
            ""),
        note(
            """
            Stir 3 tbsp marshmallow root gel into 200 g of plain conditioner, add 1 tsp jojoba oil
            """,
            """
            FORTIFIED_CONDITIONER: brew:marshmallow-gel 44.4 g, conditioner-base 200 g, jojoba-oil 4.28 g
            put bowl (brew:marshmallow-gel conditioner-base jojoba-oil), +bottle JAR\
            """,
            ""),
        note(
            """
            Steep 2 tbsp lemon balm in 1 cup boiling water for 3 hours, strain, add 3 tbsp aloe vera juice when cool, pour into a spray bottle
            """,
            """
            BLEND: lemon-balm 3.55 g, water 236 g, aloe-juice 44.8 g
            pour jar (lemon-balm water), steep 180, strain CLOTH, +cool 30, add (aloe-juice), bottle SPRAY\
            """,
            ""),
        note(
            """
            100 ml rose water, 2 tbsp aloe juice, 1 tsp glycerin. Shake. Spray bottle. Fridge 1 week.
            """,
            """
            BLEND: rose-water 100 g, aloe-juice 29.9 g, glycerin 6.21 g
            +put bowl (rose-water aloe-juice glycerin), +bottle SPRAY\
            """,
            ""),
        note(
            """
            Add 1 tsp MSM powder and 1% preservative to 200 ml flaxseed gel, whisk.
            """,
            """
            BLEND: sulfur-powder 2.96 g, phenoxyethanol 1 %, brew:linseed-gel 200 g
            put bowl (sulfur-powder phenoxyethanol brew:linseed-gel), +bottle SPRAY\
            """,
            ""),
        note(
            """
            Take 10 curry leaves, 1 tsp methi seeds and 200ml coconut oil. Warm in a double boiler for 30 min on low heat. Cool and filter.
            """,
            """
            INFUSED_OIL: curry-leaf-fresh 1.5 g, fenugreek 3.7 g, coconut-oil 184 g
            put jar (curry-leaf-fresh fenugreek coconut-oil), waterBath 30, cool 30, strain CLOTH, +bottle APPLICATOR\
            """,
            "curry leaves = curry-leaf-fresh"),
        note(
            """
            hot oil: 1/2 cup castor oil + 1/2 cup olive oil + 2 tbsp black seed crushed. Double boiler 30 mins. strain.
            """,
            """
            INFUSED_OIL: castor-oil 114 g, olive-oil 108 g, nigella 14.8 g
            crush (nigella), put jar (castor-oil olive-oil nigella), waterBath 30, strain CLOTH, +cool 30, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            ACV rinse: 2 tbsp apple cider vinegar in 500 ml water. Mix.
            """,
            """
            BLEND: apple-vinegar 29.8 g, water 499 g
            +put bowl (apple-vinegar water), +bottle SPRAY\
            """,
            ""),
        note(
            """
            1 egg, 2 tbsp yoghurt, 1 tsp honey: whisk together, apply to hair 20 min, rinse with cool water
            """,
            """
            BLEND: egg 50 g, yoghurt 30.6 g, honey 7 g
            put bowl (egg yoghurt honey), +bottle SPRAY\
            """,
            ""),
        note(
            """
            Sea salt spray: 1 cup warm water, 1 tbsp sea salt, 1 tsp aloe gel, 3 drops peppermint essential oil. Shake well before use.
            """,
            """
            BLEND: water 236 g, sea-salt 18 g, aloe-gel 4.98 g, peppermint-essential 0.108 g
            +put bowl (water sea-salt aloe-gel peppermint-essential), +bottle SPRAY\
            """,
            ""),
        note(
            """
            20 drops tea tree oil, 50 ml jojoba oil, 50 ml grapeseed oil. Mix in a bottle.
            """,
            """
            BLEND: tea-tree-essential 0.72 g, jojoba-oil 43.4 g, grapeseed-oil 46 g
            +put bowl (tea-tree-essential jojoba-oil grapeseed-oil), +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            2 tbsp chebe powder + 1/4 cup karkar? just use sesame oil. Mix into a paste.
            """,
            """
            PASTE: chebe-powder 11.8 g
            put bowl (chebe-powder), +bottle APPLICATOR\
            """,
            "karkar = none; sesame oil = ?"),
        note(
            """
            Warm 200 g shea butter in a double boiler until melted, stir in 50 ml olive oil and 2 tsp vitamin E. Whip when cool. Jar.
            """,
            """
            BLEND: shea-butter 200 g, olive-oil 45.7 g, vitamin-e-oil 9.36 g
            put jar (shea-butter), waterBath 25, +cool 30, add (olive-oil vitamin-e-oil), bottle JAR\
            """,
            ""),
        note(
            """
            Place 1/2 cup dried calendula petals in jar and cover with 1 cup sweet almond oil. Cap tightly. Set in a sunny window for 4 to 6 weeks, shaking occasionally. Strain through muslin into a dark bottle. Lasts up to a year.
            """,
            """
            INFUSED_OIL: calendula 7.1 g, almond-oil 218 g
            put jar (calendula almond-oil), macerate 50400 shaken 3, strain CLOTH, bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Hydrating mist: mix 1/2 cup rosewater with 1/4 cup aloe vera juice and 1 teaspoon vegetable glycerin in a spray bottle. Shake well before each use. Keep refrigerated.
            """,
            """
            BLEND: rose-water 118 g, aloe-juice 59.7 g, glycerin 6.21 g
            put bowl (rose-water aloe-juice glycerin), +bottle SPRAY\
            """,
            ""),
        note(
            """
            Blend a ripe avocado with 2 tbsp olive oil & 1 tbsp honey. Apply as a mask, 30 minutes, rinse well.
            """,
            """
            PASTE: avocado 150 g, olive-oil 27 g, honey 21 g
            put blender (avocado olive-oil honey), blend 2, +bottle JAR\
            """,
            ""),
        note(
            """
            Infused oil w/ nettle: dry the nettles fully first (2 handfuls). Cover with olive oil (about 300ml). Put jar in a pan of water on low for 30 min. Let cool, strain, squeeze cloth well.
            """,
            """
            INFUSED_OIL: nettle-leaf 14.4 g, olive-oil 274 g
            dry (nettle-leaf), put jar (olive-oil nettle-leaf), waterBath 30, cool 30, strain CLOTH squeezed, +bottle APPLICATOR\
            """,
            "nettles = nettle-leaf"),
        note(
            """
            2 cups rice water
            1/4 cup aloe vera gel
            1 tsp rosemary oil
            Combine in a bowl, whisk, pour into a bottle. Fridge 4 days.
            """,
            """
            BLEND: brew:rice-water 473 g, aloe-gel 59.7 g, rosemary-oil-infused 4.51 g
            put bowl (brew:rice-water aloe-gel rosemary-oil-infused), bottle APPLICATOR\
            """,
            ""),
        note(
            """
            50% aloe juice, 45% rose water, 5% glycerin
            """,
            """
            BLEND: aloe-juice 50 g, rose-water 45 g, glycerin 5 g
            +put bowl (aloe-juice rose-water glycerin), +bottle SPRAY\
            """,
            ""),
        note(
            """
            Chop 100 g of fresh ginger. Add to 200 ml of sesame oil in a pan, heat gently for 20 minutes, do not let it smoke. Strain through cloth.
            """,
            """
            INFUSED_OIL: ginger-fresh 100 g, sesame-oil 184 g
            chop (ginger-fresh), put jar (sesame-oil ginger-fresh), waterBath 20, strain CLOTH, +cool 30, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            tsp henna? no: 100g henna powder, 250ml black tea cooled, 1 tbsp lemon juice. mix, cover, stand 4 hrs
            """,
            """
            PASTE: henna-powder 100 g, black-tea 250 g, lemon-juice 15.2 g
            put jar (henna-powder black-tea lemon-juice), soak ROOM 240, +bottle JAR\
            """,
            "black tea = new:HYDROLAT"),
        note(
            """
            Sidr paste: 1/2 cup sidr powder, 3/4 cup warm water, 1 tbsp honey. Stir to a smooth paste. Leave 10 minutes.
            """,
            """
            PASTE: sidr-powder 47.3 g, water 177 g, honey 21 g
            put jar (sidr-powder water), soak ROOM 10, +add (honey), +bottle JAR\
            """,
            ""),
        note(
            """
            5g xanthan gum sprinkled over 15g glycerin, mix to slurry, add to 480g chamomile tea while whisking. 5g phenoxyethanol blend.
            """,
            """
            BLEND: xanthan 5 g, glycerin 15 g, chamomile-tea 480 g, phenoxyethanol 5 g
            put bowl (xanthan glycerin chamomile-tea phenoxyethanol), +bottle SPRAY\
            """,
            "chamomile tea = new:HYDROLAT"),
        note(
            """
            Rice grain oil: dry 100 g washed rice in a pan on the lowest heat, crush, cover with 300 ml sunflower oil, 2 weeks in a dark cupboard, strain through cloth.
            """,
            """
            INFUSED_OIL: rice 100 g, sunflower-oil 276 g
            dry (rice), crush (rice), put jar (sunflower-oil rice), macerate 20160 shaken 1, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Conditioner with gel: boil 2 tbsp linseed in 1 cup water 6 min stirring. Strain. Cool. Stir in 1 cup plain conditioner and 1 tsp jojoba.
            """,
            """
            FORTIFIED_CONDITIONER: linseed 20.7 g, water 236 g, conditioner-base 232 g, jojoba-oil 4.28 g
            put pot (linseed water), heat stirring, gently stirring 6, strain CLOTH, cool 30, add (conditioner-base jojoba-oil), +bottle JAR\
            """,
            ""),
        note(
            """
            Garlic & onion scalp juice
            1 onion, 4 cloves of garlic, 100 ml water. Blend, strain through tights, squeeze. Not on broken skin.
            """,
            """
            FRESH_JUICE: onion 150 g, garlic 12 g, water 99.8 g
            put blender (onion garlic water), blend 2, strain STOCKING squeezed, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Aloe juice from the leaf. 1 aloe leaf. Drain 20 min, peel, blend 3 min, strain through a nut bag. Fridge 3 days.
            """,
            """
            ALOE_JUICE: aloe-leaf 280 g
            drain the latex (aloe-leaf), peel (aloe-leaf), put blender (aloe-leaf), blend 3, strain NUT_BAG, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            For onion juice: peel and chop 3 large red onions, grind in a mixer, squeeze out the juice through muslin. Add 1 tbsp coconut oil. Massage.
            """,
            """
            FRESH_JUICE: onion 450 g, coconut-oil 13.6 g
            chop (onion), put blender (onion), blend 2, strain CLOTH squeezed, add (coconut-oil), +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            ayurvedic hair oil - 1 cup coconut oil, 1/4 cup castor oil, 1/2 cup fresh curry leaves, 2 tbsp fenugreek seeds, 2 tbsp kalonji, 5 hibiscus flowers. Heat on low flame until the curry leaves turn crisp (20 min). Cool. Strain.
            """,
            """
            INFUSED_OIL: coconut-oil 218 g, castor-oil 56.8 g, curry-leaf-fresh 11.8 g, fenugreek 22.2 g, nigella 14.8 g, hibiscus-fresh 20 g
            put jar (coconut-oil castor-oil curry-leaf-fresh fenugreek nigella hibiscus-fresh), waterBath 20, cool 30, strain CLOTH, +bottle APPLICATOR\
            """,
            "hibiscus flowers = hibiscus-fresh"),
        note(
            """
            Chebe mask: mix 3 tbsp chebe powder, 1 tbsp clove powder & 4 tbsp shea butter melted. Apply in sections, cover with a cap.
            """,
            """
            PASTE: chebe-powder 17.7 g, clove-powder 6.51 g, shea-butter 54.1 g
            put bowl (chebe-powder clove-powder shea-butter), +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Peppermint & tea tree scalp spray: 1 cup distilled water, 1/2 cup witch hazel, 10 drops peppermint EO, 5 drops tea tree EO, 1 tsp glycerin. Combine in spray bottle. Shake before each use.
            """,
            """
            BLEND: water 236 g, witch-hazel-water 118 g, peppermint-essential 0.36 g, tea-tree-essential 0.18 g, glycerin 6.21 g
            +put bowl (water witch-hazel-water peppermint-essential tea-tree-essential glycerin), +bottle SPRAY\
            """,
            ""),
        note(
            """
            Steep a green tea bag in a cup of hot water for ten minutes. Let cool. Add a teaspoon of honey.
            """,
            """
            BLEND: green-tea 2 g, water 236 g, honey 7 g
            pour jar (green-tea water), steep 10, cool 30, +strain CLOTH squeezed, add (honey), +bottle SPRAY\
            """,
            ""),
        note(
            """
            100ml of coconut milk, juice of 1 lime, 1 tbsp olive oil. Blend, chill in fridge until a creamy layer forms. Apply to hair, wrap in a hot towel 30 min.
            """,
            """
            BLEND: coconut-milk 101 g, lime-juice 44 g, olive-oil 13.5 g
            put blender (coconut-milk lime-juice olive-oil), blend 2, +bottle SPRAY\
            """,
            ""),
        note(
            """
            Fill a mason jar halfway with dried rosemary, top up with olive oil, leave 6 weeks shaking now and then, strain.
            """,
            """
            INFUSED_OIL: rosemary 83 g, olive-oil 1000 g
            put jar (rosemary olive-oil), macerate 60480 shaken 3, strain CLOTH, +bottle APPLICATOR\
            """,
            "dried rosemary = 83 g; olive oil = 1000 g"),
        note(
            """
            Cassia treatment: 100g cassia obovata, mix with warm water and 2 tbsp lemon juice to yoghurt consistency. Leave 12 hours. Apply.
            """,
            """
            PASTE: cassia-powder 100 g, water 250 g, lemon-juice 30.5 g
            put jar (cassia-powder water lemon-juice), soak ROOM 720, +bottle JAR\
            """,
            "warm water = 250 g"),
        note(
            """
            Cucumber mist: blend 1 cucumber with 100 ml rose water, strain through a fine cloth, spray bottle, fridge 2 days
            """,
            """
            FRESH_JUICE: cucumber 300 g, rose-water 100 g
            put blender (cucumber rose-water), blend 2, strain FINE_CLOTH, bottle SPRAY\
            """,
            ""),
        note(
            """
            Lavender tincture: 40 g dried lavender, 250 ml vodka, dark cupboard 3 weeks, shake daily, strain through cloth
            """,
            """
            TINCTURE: lavender-flower 40 g, spirit-40 237 g
            put jar (lavender-flower spirit-40), macerate 30240 shaken 1, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Macerate 30 g dried thyme in 200 ml spirit 60 % for two weeks, shaking every other day. Filter.
            """,
            """
            TINCTURE: thyme 30 g, spirit-60 182 g
            put jar (thyme spirit-60), macerate 20160 shaken 3, strain CLOTH, +bottle APPLICATOR\
            """,
            ""),
        note(
            """
            Chamomile oil: 30 g dried chamomile, 250 ml jojoba oil. Jar in a dark place for 3 weeks. Strain, squeeze.
            """,
            """
            INFUSED_OIL: chamomile 30 g, jojoba-oil 217 g
            put jar (chamomile jojoba-oil), macerate 30240 shaken 1, strain CLOTH squeezed, bottle JAR\
            """,
            ""),
        note(
            """
            Amla and brahmi mask: 4 tbsp amla powder, 2 tbsp brahmi powder, 150 ml warm water, 1 tbsp yoghurt. Stir. Leave 20 min.
            """,
            """
            PASTE: amla-powder 23.7 g, brahmi-powder 11.8 g, water 15 g, yoghurt 15.3 g
            put jar (amla-powder brahmi-powder water), soak ROOM 20, +add (yoghurt), +bottle JAR\
            """,
            ""),
        note(
            """
            Plain conditioner 200 g, linseed gel 100 g, argan oil 1 tsp. Stir together.
            """,
            """
            FORTIFIED_CONDITIONER: conditioner-base 200 g, brew:linseed-gel 100 g, argan-oil 4.51 g
            +put bowl (conditioner-base brew:linseed-gel argan-oil), +bottle JAR\
            """,
            ""),
        note(
            """
            Aloe and honey: 100 ml aloe juice, 1 tbsp honey, 1 tsp glycerin, whisk, bottle. Keep in the fridge, use within 3 days.
            """,
            """
            BLEND: aloe-juice 101 g, honey 21 g, glycerin 6.21 g
            put jar (aloe-juice honey glycerin), bottle SPRAY\
            """,
            ""),
        note(
            """
            Citric rinse: 1 g citric acid in 1 litre of water, stir.
            """,
            """
            BLEND: citric-acid 1 g, water 998 g
            put bowl (citric-acid water), +bottle SPRAY\
            """,
            ""));
  }

  @ParameterizedTest
  @MethodSource("notes")
  void aNoteGivesItsFormula(String note, String formula, String guesses) {
    Told.check(note, formula, guesses);
  }
}
