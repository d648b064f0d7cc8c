package dremsa.server.learning;

import dremsa.core.kitchen.Kitchen;
import dremsa.core.learn.Taught;
import dremsa.core.material.Materials;
import dremsa.server.kitchens.KitchenTeaching;
import dremsa.server.learning.CalibrationJson.TaughtJson;
import dremsa.server.materials.MaterialTeaching;
import dremsa.server.wire.Stored;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Lets what a kitchen taught flow back into what is brewed next. */
@Component
class TaughtFigures implements KitchenTeaching, MaterialTeaching {
  private final TaughtRepository repository;
  private final ChoiceRepository choices;
  private final Stored stored;

  TaughtFigures(TaughtRepository repository, ChoiceRepository choices, Stored stored) {
    this.repository = repository;
    this.choices = choices;
    this.stored = stored;
  }

  @Override
  public Kitchen over(UUID household, Kitchen kitchen) {
    return Taught.over(kitchen, inUse(household));
  }

  @Override
  public Materials over(UUID household, Materials materials) {
    return Taught.over(materials, inUse(household));
  }

  /** All that it taught, used or not. */
  List<Taught> all(UUID household) {
    return repository.findByHouseholdIdOrderByKnob(household).stream()
        .map(row -> stored.read(row.content(), TaughtJson.class).toCore())
        .toList();
  }

  /** Figures that were put back, by their keys. */
  Set<String> putBack(UUID household) {
    return choices.findByHouseholdId(household).stream()
        .map(ChoiceRow::knob)
        .filter(Objects::nonNull)
        .collect(Collectors.toSet());
  }

  private List<Taught> inUse(UUID household) {
    List<Taught> all = all(household);
    if (all.isEmpty()) {
      return all;
    }
    Set<String> back = putBack(household);
    return all.stream().filter(taught -> !back.contains(taught.knob().key())).toList();
  }
}
