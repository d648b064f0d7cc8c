package dremsa.server.kitchens;

import dremsa.core.keep.Climates;
import dremsa.core.kitchen.Climate;
import dremsa.core.kitchen.Kitchen;
import dremsa.core.measure.MeasureSystem;
import dremsa.server.accounts.HouseholdMade;
import dremsa.server.accounts.Households;
import dremsa.server.http.Problem;
import dremsa.server.wire.KitchenJson;
import dremsa.server.wire.Stored;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
  private final PlaceClimates climates;
  private final KitchenTeaching teaching;

  Kitchens(
      KitchenRepository repository,
      Households households,
      Stored stored,
      PlaceClimates climates,
      KitchenTeaching teaching) {
    this.teaching = teaching;
    this.repository = repository;
    this.households = households;
    this.climates = climates;
    this.stored = stored;
  }

  /** A kitchen and its version for optimistic locking; 0 when it is still the usual one. */
  record Versioned(KitchenJson kitchen, long version) {}

  /** As it is brewed in: set up, and with what it taught. */
  public Kitchen of(UUID household) {
    return teaching.over(household, untaught(household));
  }

  /** As it was set up. */
  public Kitchen untaught(UUID household) {
    return repository
        .findById(household)
        .map(row -> stored.kitchen(row.content(), row.schemaVersion()))
        .orElseGet(() -> usual(household));
  }

  /** How warm the places are in which its bottles stand, and were. */
  public Climates climates(UUID household) {
    return climates.of(household, untaught(household).climate());
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
    write(event.household(), KitchenJson.of(kitchen));
  }

  /** Sets a household's kitchen up or changes it, from today on. */
  @Transactional
  public void save(UUID household, KitchenJson kitchen, long expected) {
    save(household, kitchen, expected, null);
  }

  /**
   * Sets a household's kitchen up or changes it.
   *
   * @param expected the version that was changed
   * @param since the first day on which it was as warm as this; null for today
   */
  @Transactional
  public void save(UUID household, KitchenJson kitchen, long expected, @Nullable LocalDate since) {
    Versioned present = versioned(household);
    if (present.version() != expected) {
      throw Problem.conflict(
          "Somebody changed the kitchen meanwhile. Look at it again, then repeat.");
    }
    write(household, kitchen);
    if (present.version() > 0 || since != null) {
      // Setting a kitchen up for the first time changes nothing that anybody stood in.
      climates.changed(
          household, present.kitchen().toCore().climate(), kitchen.toCore().climate(), since);
    }
  }

  /** Takes a setting of the places' warmth off the record. */
  @Transactional
  public void climateTakenBack(UUID household, UUID id) {
    Climate now = climates.takenBack(household, id);
    write(household, KitchenJson.of(untaught(household).withClimate(now)));
  }

  private void write(UUID household, KitchenJson kitchen) {
    KitchenRow row = repository.findById(household).orElse(null);
    String content = stored.write(kitchen);
    if (row == null) {
      repository.saveAndFlush(new KitchenRow(household, content, Stored.VERSION));
    } else {
      row.replace(content, Stored.VERSION);
      repository.saveAndFlush(row);
    }
  }
}
