package dremsa.server.wire;

import dremsa.core.acid.Acid;
import dremsa.core.brew.Contents;
import dremsa.core.formula.Formula;
import dremsa.core.formula.Ingredient;
import dremsa.core.formula.Method;
import dremsa.core.formula.Proportion;
import dremsa.core.formula.Purpose;
import dremsa.core.formula.Steps;
import dremsa.core.keep.KeepingClass;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.Materials;
import dremsa.core.measure.Figure;
import dremsa.core.measure.MeasureSystem;
import dremsa.core.measure.Provenance;
import dremsa.server.wire.SurroundingsJson.AgeJson;
import dremsa.server.wire.SurroundingsJson.PouredJson;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** One of each form that is kept as JSON, with something in every field. */
final class StoredExamples {
  private static final Instant THEN = Instant.parse("2026-11-24T10:00:00Z");

  private StoredExamples() {}

  /** Of a step of every kind and of each kind of proportion. */
  static Formula formula() {
    return new Formula(
        "all",
        "All kinds",
        Method.BLEND,
        EnumSet.of(Purpose.SCALP, Purpose.LEAVE_IN),
        "One step of every kind.",
        List.of(
            Ingredient.parts("water", 500),
            Ingredient.parts("sage", 10),
            new Ingredient("panthenol", "panthenol", new Proportion.PercentOfFinished(1)),
            new Ingredient("scent", "lavender-essential", new Proportion.DropsPer100Ml(2))),
        Steps.OF_EVERY_KIND);
  }

  static KitchenJson kitchen() {
    Kitchen kitchen = Kitchen.usual(MeasureSystem.METRIC);
    Figure loss = new Figure(14, 12, 16, "W/m²K", Provenance.HOUSEHOLD, "hob trial");
    return KitchenJson.of(
        kitchen.withParameters(kitchen.parameters().with(Parameter.HEAT_LOSS, loss)));
  }

  static List<TargetJson> targets() {
    AmountJson amount = new AmountJson(500.0, "ml");
    return List.of(
        TargetJson.volume(500),
        TargetJson.bottles(3, 150),
        new TargetJson(
            TargetJson.Kind.PEOPLE_USES, null, null, null, 2, 3, new AmountJson(20.0, "ml"), null),
        new TargetJson(TargetJson.Kind.AT_HAND, amount, null, null, null, null, null, "sage"),
        new TargetJson(TargetJson.Kind.FULL_POT, null, null, null, null, null, null, null));
  }

  static MaterialJson material() {
    return MaterialJson.of(Materials.standard().find("sage").orElseThrow(), true);
  }

  static ContentsJson contents() {
    return new ContentsJson(
        90,
        2,
        1.9,
        3,
        1,
        2,
        0.5,
        4,
        1.5,
        0.2,
        new ContentsJson.SournessJson(solutes(0.02), solutes(0.01), solutes(0.005), true),
        List.of(new ContentsJson.GumJson(0.8, 1.2)),
        List.of(),
        List.of(Contents.Trait.values()[0]));
  }

  private static ContentsJson.SolutesJson solutes(double moles) {
    return new ContentsJson.SolutesJson(Map.of(Acid.values()[0], moles), 0.001);
  }

  static AgeJson age() {
    return new AgeJson(KeepingClass.INFUSION, 0.25, THEN, THEN.plusSeconds(345_600), true);
  }

  static SurroundingsJson surroundings() {
    return new SurroundingsJson(
        List.of(material()),
        List.of(
            new PouredJson(
                "bottle:1",
                UUID.fromString("00000000-0000-4000-8000-000000000001"),
                "Mint rinse",
                "A0B0C0",
                contents(),
                120.0,
                age())));
  }

  static Map<Integer, Double> plan() {
    return Map.of(3, 12.5);
  }

  static PouredInJson pouredIn() {
    return new PouredInJson("Mint rinse", contents(), age());
  }

  static WarmSpellJson warmSpell() {
    return new WarmSpellJson(List.of(new WarmSpellJson.PieceJson(THEN, 2.5, 11, "Power cut")));
  }
}
