package dremsa.server.wire;

import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Hob;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.ModelParameters;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import dremsa.core.measure.Scoop;
import dremsa.core.measure.ScoopSet;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.EnumSet;
import java.util.List;
import org.hibernate.validator.constraints.Range;

/**
 * A kitchen. Temperatures in °C, powers in W, lengths in cm, volumes in mL.
 *
 * @param hobs cooking places
 * @param vessels pots, bowls, jars, blender
 * @param strainers what it can strain through
 * @param scoops spoons, cups and jugs owned
 */
public record KitchenJson(
    @NotNull(message = "Say how warm the room is.")
        @Range(min = -5, max = 45, message = "A room is -5 to 45 °C.")
        Double roomC,
    @NotNull(message = "Say how cold the fridge is.")
        @Range(min = 0, max = 15, message = "A fridge is 0 to 15 °C.")
        Double fridgeC,
    @NotNull(message = "Say how cold the freezer is.")
        @Range(min = -40, max = -5, message = "A freezer is -40 to -5 °C.")
        Double freezerC,
    @NotNull(message = "List the hobs.") @Size(max = 12, message = "At most 12 hobs.")
        List<@Valid HobJson> hobs,
    @NotEmpty(message = "A kitchen needs at least one vessel.")
        @Size(max = 60, message = "At most 60 vessels.")
        List<@Valid VesselJson> vessels,
    @NotNull(message = "List the strainers.") List<StrainTool> strainers,
    @NotNull(message = "List the measures.") @Size(max = 30, message = "At most 30 measures.")
        List<@Valid ScoopJson> scoops) {

  /** A cooking place; net powers into the pot. */
  public record HobJson(
      @NotNull @Size(min = 1, max = 40) String id,
      @NotNull @Size(min = 1, max = 60, message = "A name has 1 to 60 characters.") String name,
      @NotNull @Range(min = 50, max = 6000, message = "50 to 6000 W.") Double lowW,
      @NotNull @Range(min = 50, max = 6000, message = "50 to 6000 W.") Double mediumW,
      @NotNull @Range(min = 50, max = 6000, message = "50 to 6000 W.") Double highW) {}

  /** A pot, bowl, jar or blender. */
  public record VesselJson(
      @NotNull @Size(min = 1, max = 40) String id,
      @NotNull @Size(min = 1, max = 60, message = "A name has 1 to 60 characters.") String name,
      @NotNull VesselKind kind,
      @NotNull @Range(min = 3, max = 60, message = "3 to 60 cm wide.") Double diameterCm,
      @NotNull @Range(min = 20, max = 50_000, message = "20 to 50000 mL.") Double capacityMl,
      @NotNull Boolean lid) {}

  /** A spoon, cup or jug. */
  public record ScoopJson(
      @NotNull @Size(min = 1, max = 40) String id,
      @NotNull @Size(min = 1, max = 40, message = "A name has 1 to 40 characters.") String label,
      @NotNull Double millilitres,
      @NotNull Scoop.Kind kind) {}

  public static KitchenJson of(Kitchen kitchen) {
    return new KitchenJson(
        kitchen.climate().roomC(),
        kitchen.climate().fridgeC(),
        kitchen.climate().freezerC(),
        kitchen.hobs().stream()
            .map(
                hob ->
                    new HobJson(
                        hob.id(),
                        hob.name(),
                        hob.low().value(),
                        hob.medium().value(),
                        hob.high().value()))
            .toList(),
        kitchen.vessels().stream()
            .map(
                v ->
                    new VesselJson(
                        v.id(), v.name(), v.kind(), v.diameterCm(), v.capacityMl(), v.lid()))
            .toList(),
        kitchen.strainers().stream().sorted().toList(),
        kitchen.scoops().scoops().stream()
            .map(s -> new ScoopJson(s.id(), s.label(), s.millilitres(), s.kind()))
            .toList());
  }

  public Kitchen toCore() {
    return new Kitchen(
        hobs.stream()
            .map(
                hob ->
                    new Hob(
                        hob.id(),
                        hob.name(),
                        watts(hob.lowW()),
                        watts(hob.mediumW()),
                        watts(hob.highW())))
            .toList(),
        vessels.stream()
            .map(
                v ->
                    new Vessel(v.id(), v.name(), v.kind(), v.diameterCm(), v.capacityMl(), v.lid()))
            .toList(),
        strainers.isEmpty() ? EnumSet.noneOf(StrainTool.class) : EnumSet.copyOf(strainers),
        ScoopSet.of(
            scoops.stream()
                .map(s -> new Scoop(s.id(), s.label(), s.millilitres(), s.kind()))
                .toList()),
        new Climate(roomC, fridgeC, freezerC),
        ModelParameters.standard());
  }

  private static Figure watts(double value) {
    return new Figure(value, value * 0.75, value * 1.3, "W", Provenance.HOUSEHOLD, "");
  }
}
