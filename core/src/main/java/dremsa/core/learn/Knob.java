package dremsa.core.learn;

import dremsa.core.brew.Brew;
import dremsa.core.formula.Step;
import dremsa.core.formula.StepCases;
import dremsa.core.formula.StepKind;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.kitchen.Parameter;
import dremsa.core.material.Material;
import dremsa.core.material.Materials;
import dremsa.core.material.Property;
import dremsa.core.measure.Figure;
import dremsa.core.measure.Provenance;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A figure of the model that is told by what was weighed and measured. */
public sealed interface Knob {
  /** Stable, and the same for the same figure: {@code "kitchen/CLOTH_KEEPS"}. */
  String key();

  /** What it is, in words. */
  String words();

  /**
   * The figure of a key.
   *
   * @param name of its material; not needed for one of the kitchen
   * @throws IllegalArgumentException for no key of a figure
   */
  static Knob of(String key, String name) {
    String[] parts = key.split("/");
    if (parts.length == 2 && parts[0].equals("kitchen")) {
      return new OfKitchen(Parameter.valueOf(parts[1]));
    }
    if (parts.length == 3 && parts[0].equals("material")) {
      return new OfMaterial(parts[1], name, Property.valueOf(parts[2]));
    }
    throw new IllegalArgumentException("no figure: " + key);
  }

  /** As it stands in these surroundings; empty where they have no such figure. */
  Optional<Figure> figure(Kitchen kitchen, Materials materials);

  /** A brew with another figure. */
  Brew with(Brew brew, Figure figure);

  /** A figure of the kitchen. */
  record OfKitchen(Parameter parameter) implements Knob {
    @Override
    public String key() {
      return "kitchen/" + parameter.name();
    }

    @Override
    public String words() {
      return parameter.words();
    }

    @Override
    public Optional<Figure> figure(Kitchen kitchen, Materials materials) {
      return Optional.of(kitchen.parameters().figure(parameter));
    }

    @Override
    public Brew with(Brew brew, Figure figure) {
      return brew.with(over(brew.kitchen(), figure));
    }

    private Kitchen over(Kitchen kitchen, Figure figure) {
      return kitchen.withParameters(kitchen.parameters().with(parameter, figure));
    }

    /** A kitchen with what was learned of it, where the household did not set it itself. */
    Kitchen taught(Kitchen kitchen, Figure learned) {
      return open(kitchen.parameters().figure(parameter)) ? over(kitchen, learned) : kitchen;
    }
  }

  /**
   * A figure of a material.
   *
   * @param material its id
   * @param name as told to the maker
   */
  record OfMaterial(String material, String name, Property property) implements Knob {
    @Override
    public String key() {
      return "material/" + material + "/" + property.name();
    }

    @Override
    public String words() {
      return name + ": " + property.words();
    }

    @Override
    public Optional<Figure> figure(Kitchen kitchen, Materials materials) {
      return materials.find(material).map(found -> found.figures().get(property));
    }

    @Override
    public Brew with(Brew brew, Figure figure) {
      for (Material used : brew.materials()) {
        if (used.id().equals(material)) {
          return brew.with(used.with(property, figure));
        }
      }
      return brew;
    }

    /** Materials with what was learned of one, where the household did not set it itself. */
    Materials taught(Materials materials, Figure learned) {
      return materials
          .find(material)
          .filter(
              found -> {
                Figure present = found.figures().get(property);
                return present != null && open(present);
              })
          .map(found -> materials.with(found.with(property, learned)))
          .orElse(materials);
    }
  }

  /** What is told by a boil: how strongly it steams, and what its lid lets through. */
  StepCases<List<Knob>> BOILED =
      new StepCases.Some<>() {
        @Override
        public List<Knob> boil(Step.Boil step) {
          Knob level =
              new OfKitchen(
                  switch (step.level()) {
                    case ROLLING -> Parameter.ROLLING_BOIL;
                    case GENTLE -> Parameter.GENTLE_BOIL;
                    case SIMMER -> Parameter.SIMMER;
                  });
          return step.lid() ? List.of(level, new OfKitchen(Parameter.LID)) : List.of(level);
        }

        @Override
        public List<Knob> otherwise(Step step) {
          return List.of();
        }
      };

  /** What a batch can tell: of how thick it was, and how it cooled, only where that was found. */
  static List<Knob> of(Weighed batch) {
    List<Knob> all = new ArrayList<>(of(batch.brew()));
    if (batch.tells(Weighed.Kind.COOLING)) {
      all.add(new OfKitchen(Parameter.HEAT_LOSS));
    }
    if (batch.tells(Weighed.Kind.THICKNESS)) {
      for (Material material : batch.brew().materials()) {
        if (material.figures().containsKey(Property.GUM_POWER)) {
          all.add(new OfMaterial(material.id(), material.name(), Property.GUM_POWER));
        }
      }
    }
    return all;
  }

  /** What a brew's amounts can tell; more than that is not looked for in it. */
  static List<Knob> of(Brew brew) {
    Set<Knob> all = new LinkedHashSet<>();
    boolean hot = false;
    for (Step step : brew.formula().steps()) {
      hot |= step.onHob() || step.pouredHot();
      all.addAll(step.accept(BOILED));
    }
    if (hot) {
      all.add(new OfKitchen(Parameter.EVAPORATION));
    }
    List<Step> strains =
        brew.formula().steps().stream().filter(step -> step.kind() == StepKind.STRAIN).toList();
    if (strains.stream()
        .anyMatch(step -> step.strainer().map(tool -> tool.soaksUp()).orElse(false))) {
      all.add(new OfKitchen(Parameter.CLOTH_KEEPS));
    }
    boolean squeezed = strains.stream().anyMatch(Step::wrung);
    boolean drained = strains.stream().anyMatch(step -> !step.wrung());
    for (Material material : brew.materials()) {
      if (material.kind().isPlant()) {
        List<Property> held = held(material, squeezed, drained);
        held.forEach(one -> all.add(new OfMaterial(material.id(), material.name(), one)));
        if (squeezed && !held.contains(Property.HOLD_SQUEEZED)) {
          all.add(new OfKitchen(Parameter.SQUEEZE));
        }
      }
    }
    return List.copyOf(all);
  }

  private static List<Property> held(Material material, boolean squeezed, boolean drained) {
    List<Property> held = new ArrayList<>();
    boolean own = material.figures().containsKey(Property.HOLD_SQUEEZED);
    if (squeezed && own) {
      held.add(Property.HOLD_SQUEEZED);
    }
    if (drained && material.figures().containsKey(Property.HOLD_HOT)) {
      held.add(Property.HOLD_HOT);
    }
    if (drained || squeezed && !own) {
      held.add(Property.HOLD);
    }
    held.removeIf(property -> !material.figures().containsKey(property));
    return held;
  }

  /** Whether a kitchen may teach it: what the household set itself is left as it is. */
  static boolean open(Figure figure) {
    return figure.provenance() != Provenance.HOUSEHOLD
        && figure.low() > 0
        && figure.low() < figure.high();
  }
}
