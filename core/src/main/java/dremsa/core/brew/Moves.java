package dremsa.core.brew;

import dremsa.core.formula.Formula;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Hob;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.kitchen.Site;
import dremsa.core.material.Material;
import dremsa.core.material.MaterialKind;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/**
 * The uncertain figures of a brew that can make a difference to it: those of steps that it has and
 * of plants that are in it. What cannot matter is not moved, because each move costs two runs.
 */
final class Moves {
  /** Dissolved or not, these change nothing but the pH, which carries its own ends. */
  private static final Set<Property> OF_PLANTS =
      EnumSet.of(Property.FAST_SHARE, Property.SLOW_RATE);

  private static final Set<Property> OF_GUMS = EnumSet.of(Property.GUM_YIELD, Property.GUM_POWER);

  private static final Set<Property> OF_SOUR =
      EnumSet.of(Property.ACID, Property.CITRIC_ACID, Property.OWN_PH);

  /** A room is so much warmer or cooler than the household says, °C; our estimate. */
  private static final double ROOM_OFF_C = 3;

  private final Brew brew;
  private final Facts facts;
  private final List<Move> all = new ArrayList<>();

  /** One figure, and the brew with it at an end. */
  record Move(String what, Figure figure, Figured with, Facts facts) {
    Prediction at(double end, double scale, VesselChoice vessels) {
      return with.at(
              new Figure(
                  end,
                  figure.low(),
                  figure.high(),
                  figure.unit(),
                  figure.provenance(),
                  figure.source()))
          .run(scale, vessels, facts);
    }
  }

  /** Something to run. */
  interface Run {
    Prediction run(double scale, VesselChoice vessels, Facts facts);
  }

  /** What is run with a figure at an end. */
  interface Figured {
    Run at(Figure figure);
  }

  private Moves(Brew brew, Facts facts) {
    this.brew = brew.coarse();
    this.facts = facts;
  }

  static List<Move> of(Brew brew, double scale, Facts facts) {
    Moves moves = new Moves(brew, facts);
    moves.parameters();
    moves.kitchen();
    moves.materials();
    moves.spoons(scale);
    return moves.all;
  }

  private void add(String what, Figure figure, Figured with) {
    if (figure.low() < figure.high()) {
      all.add(new Move(what, figure, with, facts));
    }
  }

  private void addBrew(String what, Figure figure, java.util.function.Function<Figure, Brew> with) {
    add(what, figure, end -> with.apply(end)::predict);
  }

  private void parameters() {
    Kitchen kitchen = brew.kitchen();
    for (Parameter parameter : Parameter.values()) {
      if (matters(parameter)) {
        addBrew(
            parameter.words(),
            kitchen.parameters().figure(parameter),
            end -> brew.with(kitchen.withParameters(kitchen.parameters().with(parameter, end))));
      }
    }
  }

  private boolean matters(Parameter parameter) {
    return switch (parameter) {
      case OIL_HEAT, OIL_SOLVENT -> is(m -> oily(m.kind()));
      case PLANT_HEAT, FAST_RATE, EXTRACTION_ENERGY -> is(m -> m.kind().isPlant());
      case SPIRIT_SOLVENT -> is(m -> m.kind() == MaterialKind.SPIRIT);
      case PLANT_EXCHANGE -> is(m -> m.kind().isFresh());
      case GUM_TIME, GUM_EXPONENT, GUM_ENERGY ->
          is(m -> m.figures().containsKey(Property.GUM_YIELD));
      case HEAT_LOSS, WATER_HEAT, EVAPORATION, AIR_HUMIDITY, COVER -> true;
      case ICE_BATH_LOSS,
          LID,
          ROLLING_BOIL,
          GENTLE_BOIL,
          SIMMER,
          POURED_WATER,
          CLOTH_KEEPS,
          SQUEEZE,
          BATH_TEMPERATURE,
          BATH_LAG,
          FERMENT_TIME,
          FERMENT_END ->
          has(step -> step.accept(OF_STEPS).contains(parameter));
    };
  }

  /** The parameters that one kind of step alone depends on. */
  private static final StepCases<Set<Parameter>> OF_STEPS =
      new StepCases.Some<>() {
        @Override
        public Set<Parameter> combine(Step.Combine step) {
          return step.pouredHot() ? EnumSet.of(Parameter.POURED_WATER) : Set.of();
        }

        @Override
        public Set<Parameter> boil(Step.Boil step) {
          Parameter level =
              switch (step.level()) {
                case ROLLING -> Parameter.ROLLING_BOIL;
                case GENTLE -> Parameter.GENTLE_BOIL;
                case SIMMER -> Parameter.SIMMER;
              };
          return step.lid() ? EnumSet.of(level, Parameter.LID) : EnumSet.of(level);
        }

        @Override
        public Set<Parameter> waterBath(Step.WaterBath step) {
          return EnumSet.of(Parameter.BATH_TEMPERATURE, Parameter.BATH_LAG);
        }

        @Override
        public Set<Parameter> ferment(Step.Ferment step) {
          return EnumSet.of(Parameter.FERMENT_TIME, Parameter.FERMENT_END);
        }

        @Override
        public Set<Parameter> cool(Step.Cool step) {
          return step.way() == Step.CoolingWay.ICE_BATH
              ? EnumSet.of(Parameter.ICE_BATH_LOSS)
              : Set.of();
        }

        @Override
        public Set<Parameter> strain(Step.Strain step) {
          Set<Parameter> all = EnumSet.noneOf(Parameter.class);
          if (step.tool().soaksUp()) {
            all.add(Parameter.CLOTH_KEEPS);
          }
          if (step.squeeze()) {
            all.add(Parameter.SQUEEZE);
          }
          return all;
        }

        @Override
        public Set<Parameter> otherwise(Step step) {
          return Set.of();
        }
      };

  private static boolean oily(MaterialKind kind) {
    return kind == MaterialKind.CARRIER_OIL || kind == MaterialKind.INFUSED_OIL;
  }

  private boolean has(Predicate<Step> step) {
    return brew.formula().steps().stream().anyMatch(step);
  }

  private boolean is(Predicate<Material> material) {
    return brew.materials().stream().anyMatch(material);
  }

  private void kitchen() {
    Kitchen kitchen = brew.kitchen();
    boolean heats = has(s -> s.kind() == StepKind.HEAT || s.kind() == StepKind.BOIL);
    kitchen
        .strongestHob()
        .filter(hob -> heats)
        .ifPresent(
            hob ->
                addBrew(
                    "Power of " + hob.name(),
                    hob.high(),
                    end ->
                        brew.with(
                            kitchen.withHob(
                                new Hob(hob.id(), hob.name(), hob.low(), hob.medium(), end)))));
    Climate climate = kitchen.climate();
    addBrew(
        "Warmth of the room while it is made",
        Figure.estimate(
            climate.roomC(),
            Math.max(-5, climate.roomC() - ROOM_OFF_C),
            Math.min(45, climate.roomC() + ROOM_OFF_C),
            "°C"),
        end ->
            brew.with(
                kitchen.withClimate(
                    new Climate(end.value(), climate.fridgeC(), climate.freezerC()))));
    boolean hot = heats || has(Step::pouredHot);
    Site site = kitchen.site();
    if (hot) {
      addBrew(
          "Height above the sea",
          site.altitudeM(),
          end -> brew.with(kitchen.withSite(new Site(end, site.alkalinity()))));
    }
    if (is(m -> m.kind() == MaterialKind.WATER)) {
      addBrew(
          "Alkalinity of the water",
          site.alkalinity(),
          end -> brew.with(kitchen.withSite(new Site(site.altitudeM(), end))));
    }
  }

  private void materials() {
    boolean strains = has(s -> s.strainer().isPresent());
    boolean squeezes = has(Step::wrung);
    boolean drains = has(s -> s.strainer().isPresent() && !s.wrung());
    for (Material material : brew.materials().stream().distinct().toList()) {
      material
          .figures()
          .forEach(
              (property, figure) -> {
                boolean gumSeed = material.kind() == MaterialKind.GUM_SEED;
                boolean matters =
                    OF_PLANTS.contains(property)
                        || OF_SOUR.contains(property)
                        || OF_GUMS.contains(property)
                        || property == Property.HOLD && strains && (!gumSeed || drains)
                        || property == Property.HOLD_HOT && drains
                        || property == Property.HOLD_SQUEEZED && squeezes
                        || property == Property.ALCOHOL
                        || property == Property.WATER_SHARE && material.kind().isFresh();
                if (matters) {
                  addBrew(
                      material.name() + ": " + property.words(),
                      figure,
                      end -> brew.with(material.with(property, end)));
                }
              });
    }
  }

  /** Without a scale plants are taken by the spoon, and weigh what they happen to weigh. */
  private void spoons(double scale) {
    if (brew.kitchen().scaleStep() > 0) {
      return;
    }
    Formula formula = brew.formula();
    for (int i = 0; i < formula.ingredients().size(); i++) {
      Material material = brew.materials().get(i);
      String key = formula.ingredients().get(i).key();
      Figure density = material.figures().get(Property.DENSITY);
      double grams = brew.partsOf(key) * scale;
      int step = firstUse(key);
      if (density == null || !material.kind().isPlant() || grams == 0 || step < 0) {
        continue;
      }
      add(
          material.name() + ": what a spoon of it weighs",
          density,
          end ->
              (size, vessels, known) ->
                  brew.predict(
                      size,
                      vessels,
                      known.with(
                          step,
                          known.of(step).withWeighed(key, grams * end.value() / density.value()))));
    }
  }

  private int firstUse(String key) {
    for (int i = 0; i < brew.formula().steps().size(); i++) {
      if (brew.formula().steps().get(i).ingredients().contains(key)) {
        return i;
      }
    }
    return -1;
  }
}
