package dremsa.server.shelf;

import dremsa.core.brew.Stock;
import dremsa.core.keep.Inherited;
import dremsa.server.bench.BatchRecord;
import dremsa.server.bench.Runs;
import dremsa.server.predictions.PouredBottles;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The bottles of the shelf, as brews to be poured into others. */
@Component
class ShelfPours implements PouredBottles {
  private final BottleRepository repository;
  private final Runs runs;
  private final Shelf shelf;

  ShelfPours(BottleRepository repository, Runs runs, Shelf shelf) {
    this.repository = repository;
    this.runs = runs;
    this.shelf = shelf;
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<Found> find(UUID household, UUID id, Instant now) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .filter(bottle -> bottle.status() == Bottle.Status.STANDING)
        .map(
            bottle -> {
              BatchRecord batch = runs.record(household, bottle.batchId());
              return new Found(
                  batch.formulaId(),
                  new Stock.Poured(
                      bottle.name(), bottle.tint(), batch.prediction().contents(), bottle.leftMl()),
                  Inherited.of(
                      bottle.name() + " " + batch.code(),
                      batch.prediction().contents(),
                      shelf.judge(bottle, now)));
            });
  }
}
