package dremsa.server.kitchens;

import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.accounts.HouseholdMade;
import dremsa.server.accounts.Households;
import dremsa.server.http.Problem;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.Stored;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Finds the kitchen of a household; a household that set none up has the usual one. */
@Service
public class Kitchens {
  private final KitchenRepository repository;
  private final Households households;
  private final Stored stored;

  Kitchens(KitchenRepository repository, Households households, Stored stored) {
    this.repository = repository;
    this.households = households;
    this.stored = stored;
  }

  /** A kitchen and its version for optimistic locking; 0 when it is still the usual one. */
  record Versioned(KitchenJson kitchen, long version) {}

  public Kitchen of(UUID household) {
    return repository
        .findById(household)
        .map(row -> stored.kitchen(row.content(), row.schemaVersion()))
        .orElseGet(() -> usual(household));
  }

  Versioned versioned(UUID household) {
    return repository
        .findById(household)
        .map(
            row ->
                new Versioned(
                    stored.kitchenJson(row.content(), row.schemaVersion()), row.version() + 1))
        .orElseGet(() -> new Versioned(KitchenJson.of(usual(household)), 0));
  }

  private Kitchen usual(UUID household) {
    MeasureSystem system = households.of(household).measureSystem();
    return Kitchen.usual(system);
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void made(HouseholdMade event) {
    Kitchen usual = Kitchen.usual(event.measures());
    Climate climate = new Climate(event.roomC(), event.fridgeC(), usual.climate().freezerC());
    Kitchen kitchen = usual.withClimate(climate).withLargestJar(event.largestJarMl());
    save(event.household(), KitchenJson.of(kitchen), 0);
  }

  /**
   * Sets a household's kitchen up or changes it.
   *
   * @param expected the version that was changed
   */
  @Transactional
  public void save(UUID household, KitchenJson kitchen, long expected) {
    KitchenRow row = repository.findById(household).orElse(null);
    if ((row == null ? 0 : row.version() + 1) != expected) {
      throw Problem.conflict(
          "Somebody changed the kitchen meanwhile. Look at it again, then repeat.");
    }
    String content = stored.write(kitchen);
    if (row == null) {
      repository.saveAndFlush(new KitchenRow(household, content, Stored.VERSION));
    } else {
      row.replace(content, Stored.VERSION);
      repository.saveAndFlush(row);
    }
  }
}
