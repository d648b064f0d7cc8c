package dremsa.core.formula;

import dremsa.core.formula.Step.Add;
import dremsa.core.formula.Step.Boil;
import dremsa.core.formula.Step.Bottle;
import dremsa.core.formula.Step.Combine;
import dremsa.core.formula.Step.Cool;
import dremsa.core.formula.Step.CoolingWay;
import dremsa.core.formula.Step.Heat;
import dremsa.core.formula.Step.Level;
import dremsa.core.formula.Step.LiquidHeat;
import dremsa.core.formula.Step.Prepare;
import dremsa.core.formula.Step.Steep;
import dremsa.core.formula.Step.Strain;
import dremsa.core.formula.Step.Treatment;
import dremsa.core.formula.Step.Wash;
import dremsa.core.kitchen.Container;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.VesselKind;
import java.util.List;

/** Steps as the built-in formulas use them over and over, with what a maker is told there. */
final class Making {
  private Making() {}

  static Step sterilise() {
    return new Prepare(
        List.of(),
        Treatment.STERILISE,
        Window.minutes(10, 12, 20),
        Guide.how("Boil jars and bottles ten minutes, or bake them, and let them drain."));
  }

  static Step wash(String... keys) {
    return new Wash(
        List.of(keys), Guide.cue("Rinse in cold water and drain.", "The water runs clear."));
  }

  static Step pourOver(String... keys) {
    return new Combine(
        VesselKind.JAR,
        List.of(keys),
        LiquidHeat.JUST_BOILED,
        new Guide(
            "Warm a glass jar or bowl first. Pour, stir once, put the lid on.",
            "",
            "",
            "Left open, the scent and the warmth go off with the steam."));
  }

  static Step into(VesselKind vessel, String... keys) {
    return new Combine(vessel, List.of(keys), LiquidHeat.ROOM, Guide.NONE);
  }

  static Step into(VesselKind vessel, String how, List<String> keys) {
    return new Combine(vessel, keys, LiquidHeat.ROOM, Guide.how(how));
  }

  static Step toTheBoil() {
    return new Heat(true, false, Guide.cue("Lid on, full heat.", "Large bubbles rise all over."));
  }

  static Step heatStirring() {
    return new Heat(
        false,
        true,
        Guide.cue(
            "Stir from the start, to the bottom of the pot: gum sticks and burns.",
            "It simmers all over."));
  }

  static Step gentleBoil(boolean lid, boolean stir, Window time, Guide guide) {
    return new Boil(Level.GENTLE, lid, stir, time, guide);
  }

  static Step steep(Window time, String cue, String early) {
    return new Steep(
        true,
        time,
        new Guide(
            "Leave it covered on the counter.",
            cue,
            early,
            "No stronger worth speaking of, and every warm hour shortens its keeping."));
  }

  static Step clothSqueezed() {
    return new Strain(
        StrainTool.CLOTH,
        true,
        Guide.cue("Pour through a cloth over a bowl and wring it out.", "The wad is dry."));
  }

  static Step sieve() {
    return new Strain(
        StrainTool.SIEVE,
        false,
        Guide.cue("Pour through a sieve over a bowl.", "It stops dripping."));
  }

  static Step paper() {
    return new Strain(
        StrainTool.PAPER,
        false,
        new Guide(
            "Then through a paper filter, and let it take its time.",
            "Clear against the light, no dust at the bottom.",
            "Powder left in: debris on the scalp, a blocked nozzle.",
            ""));
  }

  static Step cool(double celsius) {
    return new Cool(
        celsius,
        CoolingWay.COUNTER,
        true,
        Guide.cue("Let it stand covered.", "The bowl feels barely warm."));
  }

  static Step stirIn(double belowC, String... keys) {
    return new Add(
        List.of(keys),
        belowC,
        Guide.cue("Whisk in, a little at a time.", "Even, no streaks and no lumps."));
  }

  static Step bottle(Container container) {
    return new Bottle(container, Guide.how("Use clean bottles. Label them at once."));
  }

  static Step soakedGrain() {
    return new Step.Soak(
        dremsa.core.kitchen.Place.ROOM,
        Window.minutes(15, 30, 60),
        new Guide(
            "Swish it now and then.",
            "The water is cloudy.",
            "Nearly clear.",
            "It begins to sour without being a ferment."));
  }

  static Step swishedGrain() {
    return new Step.Soak(
        dremsa.core.kitchen.Place.ROOM,
        Window.minutes(1, 3, 10),
        Guide.cue("Swish it with your hand.", "The water is milky."));
  }

  static Step cookedGrain() {
    return gentleBoil(
        false,
        true,
        Window.minutes(8, 12, 20),
        new Guide(
            "Stir now and then; it froths.",
            "The water is white and the grain soft.",
            "Thin.",
            "The grain drinks the water up."));
  }

  static Step ferment(Window time) {
    return new Step.Ferment(
        time,
        new Guide(
            "Lidded, not tight, at room temperature. Stir once a day.",
            "A sourish smell and small bubbles.",
            "Cloudy only: not yet a ferment.",
            "Strong and stiffening. Pink, furry or putrid: throw it away."));
  }

  static Step boiledJuice() {
    return gentleBoil(
        true,
        false,
        Window.minutes(5, 6, 10),
        Guide.cue("Lid on, just moving.", "The sharp smell has gone milder."));
  }

  static Step oilInTheDark() {
    return new Step.Macerate(
        2,
        Window.days(1, 14, 28),
        new Guide(
            "In the dark; turn the jar now and then.",
            "The oil has taken the colour.",
            "Pale.",
            "No more comes."));
  }

  static Step oilBath() {
    return new Step.WaterBath(
        Window.minutes(20, 25, 30),
        new Guide(
            "No water may splash in.",
            "The oil has the colour and the smell of the leaf.",
            "Pale.",
            "It begins to smell fried."));
  }

  static Step oilBlended() {
    return new Step.Blend(
        Window.minutes(2, 4, 8),
        Guide.cue("In loads that the blender takes.", "A smooth paste, the oil coloured."));
  }
}
