package dremsa.server.wire;

import dremsa.core.acid.Hardness;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Hob;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.ModelParameters;
import dremsa.core.kitchen.Parameter;
import dremsa.core.kitchen.Site;
import dremsa.core.kitchen.StrainTool;
import dremsa.core.kitchen.Vessel;
import dremsa.core.kitchen.VesselKind;
import dremsa.core.measure.CountMeasures;
import dremsa.core.measure.Dimension;
import dremsa.core.measure.Figure;
import dremsa.core.measure.KitchenMeasure;
import dremsa.core.measure.Provenance;
import dremsa.core.measure.Scoop;
import dremsa.core.measure.ScoopSet;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;

/**
 * A kitchen. Temperatures in °C, powers in W, lengths in cm, volumes in mL.
 *
 * @param hobs cooking places
 * @param vessels pots, bowls, jars, blender
 * @param strainers what it can strain through
 * @param scoops spoons, cups and jugs owned
 * @param counts what a pinch, a handful, a glass and a scoop hold here, mL; the stated sizes where
 *     left out
 * @param scaleStep what the kitchen scale shows at least, g; 0 without a scale, 1 when left out
 * @param calibrated parameters of the model that this household measured
 */
public record KitchenJson(
    @NotNull(message = "Say how warm the room is.")
        @Range(
            min = Climate.COLDEST_ROOM_C,
            max = Climate.WARMEST_ROOM_C,
            message =
                "A room is " + Climate.COLDEST_ROOM_C + " to " + Climate.WARMEST_ROOM_C + " °C.")
        Double roomC,
    @NotNull(message = "Say how cold the fridge is.")
        @Range(
            min = Climate.COLDEST_FRIDGE_C,
            max = Climate.WARMEST_FRIDGE_C,
            message =
                "A fridge is "
                    + Climate.COLDEST_FRIDGE_C
                    + " to "
                    + Climate.WARMEST_FRIDGE_C
                    + " °C.")
        Double fridgeC,
    @NotNull(message = "Say how cold the freezer is.")
        @Range(
            min = Climate.COLDEST_FREEZER_C,
            max = Climate.WARMEST_FREEZER_C,
            message =
                "A freezer is "
                    + Climate.COLDEST_FREEZER_C
                    + " to "
                    + Climate.WARMEST_FREEZER_C
                    + " °C.")
        Double freezerC,
    @NotNull(message = "List the hobs.") @Size(max = 12, message = "At most 12 hobs.")
        List<@Valid HobJson> hobs,
    @NotEmpty(message = "A kitchen needs at least one vessel.")
        @Size(max = 60, message = "At most 60 vessels.")
        List<@Valid VesselJson> vessels,
    @NotNull(message = "List the strainers.") List<StrainTool> strainers,
    @NotNull(message = "List the measures.") @Size(max = 30, message = "At most 30 measures.")
        List<@Valid ScoopJson> scoops,
    @Size(max = 10, message = "At most 10.")
        @Nullable
            Map<
                String,
                @Range(min = 0, max = 2000, message = "A measure holds 0 to 2000 mL.") Double>
            counts,
    @Nullable Map<Parameter, @Valid FigureJson> calibrated,
    @Range(min = 0, max = 50, message = "A scale shows steps of 0 to 50 g.")
        @Nullable Double scaleStep,
    @Range(min = -400, max = 5500, message = "A kitchen is -400 to 5500 m high.")
        @Nullable Double altitudeM,
    @Nullable Hardness water,
    @Range(min = 0, max = 1000, message = "Water has 0 to 1000 mg/L.")
        @Nullable Double alkalinityMgL) {

  /**
   * A cooking place; net powers into the pot.
   *
   * @param trial what a trial gave for the highest setting, with its range; without one the range
   *     is a quarter down and a third up
   */
  public record HobJson(
      @NotNull @Size(min = 1, max = 40) String id,
      @NotNull @Size(min = 1, max = 60, message = "A name has 1 to 60 characters.") String name,
      @NotNull @Range(min = 50, max = 6000, message = "50 to 6000 W.") Double lowW,
      @NotNull @Range(min = 50, max = 6000, message = "50 to 6000 W.") Double mediumW,
      @NotNull @Range(min = 50, max = 6000, message = "50 to 6000 W.") Double highW,
      @Valid @Nullable FigureJson trial) {}

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
                        hob.high().value(),
                        hob.high().provenance() == Provenance.CALIBRATED
                            ? FigureJson.of(hob.high())
                            : null))
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
            .toList(),
        kitchen.counts().all().stream()
            .filter(measure -> measure.dimension() == Dimension.VOLUME)
            .collect(
                Collectors.toMap(
                    KitchenMeasure::id, KitchenMeasure::size, (a, b) -> a, TreeMap::new)),
        calibrated(kitchen.parameters()),
        kitchen.scaleStep(),
        kitchen.site().altitudeAssumed() ? null : kitchen.site().altitudeM().value(),
        water(kitchen.site()),
        kitchen.site().alkalinity().provenance() == Provenance.HOUSEHOLD
            ? kitchen.site().alkalinity().value()
            : null);
  }

  private static @Nullable Hardness water(Site site) {
    return Arrays.stream(Hardness.values())
        .filter(h -> h != Hardness.UNKNOWN && h.alkalinity().equals(site.alkalinity()))
        .findFirst()
        .orElse(null);
  }

  /** What stands on a water report counts before a word for it. */
  private Site site() {
    Site site = altitudeM == null ? Site.UNKNOWN : Site.UNKNOWN.atMetres(altitudeM);
    if (alkalinityMgL != null) {
      return site.withAlkalinity(alkalinityMgL);
    }
    return water == null ? site : site.withWater(water);
  }

  private static Map<Parameter, FigureJson> calibrated(ModelParameters parameters) {
    Map<Parameter, FigureJson> own = new EnumMap<>(Parameter.class);
    for (Parameter parameter : Parameter.values()) {
      Figure figure = parameters.figure(parameter);
      if (figure.provenance() == Provenance.CALIBRATED
          || figure.provenance() == Provenance.HOUSEHOLD) {
        own.put(parameter, FigureJson.of(figure));
      }
    }
    return own;
  }

  private ModelParameters parameters() {
    ModelParameters all = ModelParameters.standard();
    if (calibrated != null) {
      for (Map.Entry<Parameter, FigureJson> entry : calibrated.entrySet()) {
        Parameter parameter = entry.getKey();
        Figure figure =
            entry.getValue().toCore("calibrated." + parameter, all.figure(parameter).unit());
        all = all.with(parameter, figure);
      }
    }
    return all;
  }

  public Kitchen toCore() {
    return new Kitchen(
        hobs.stream()
            .map(
                hob ->
                    new Hob(
                        hob.id(), hob.name(), watts(hob.lowW()), watts(hob.mediumW()), high(hob)))
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
        parameters(),
        counts == null ? CountMeasures.usual() : CountMeasures.with(counts),
        scaleStep == null ? Kitchen.USUAL_SCALE_STEP : scaleStep,
        site());
  }

  /** What was typed later than a trial counts. */
  private static Figure high(HobJson hob) {
    FigureJson trial = hob.trial();
    return trial != null && Math.abs(trial.value() - hob.highW()) < 0.5
        ? trial.toCore("hobs.trial", "W")
        : watts(hob.highW());
  }

  private static Figure watts(double value) {
    return new Figure(value, value * 0.75, value * 1.3, "W", Provenance.HOUSEHOLD, "");
  }
}
