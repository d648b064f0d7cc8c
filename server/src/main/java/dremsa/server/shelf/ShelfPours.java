package dremsa.server.shelf;

import dremsa.core.brew.Stock;
import dremsa.core.keep.Inherited;
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
  private final Judging judging;

  ShelfPours(BottleRepository repository, Judging judging) {
    this.repository = repository;
    this.judging = judging;
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<Found> find(UUID household, UUID id, Instant now) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .filter(bottle -> bottle.status() == Bottle.Status.STANDING)
        .map(
            bottle -> {
              Inherited age = judging.poured(bottle, bottle.leftMl(), now);
              return new Found(
                  bottle.formulaId(),
                  new Stock.Poured(bottle.name(), bottle.tint(), age.contents(), bottle.leftMl()),
                  age);
            });
  }

  @Override
  public boolean known(UUID household, UUID id) {
    return repository.findByIdAndHouseholdId(id, household).isPresent();
  }
}
