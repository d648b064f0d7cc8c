package dremsa.server.shelf;

import dremsa.server.containers.FullContainers;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The containers that stand filled on the shelf. */
@Component
class ShelfContainers implements FullContainers {
  private final BottleRepository repository;

  ShelfContainers(BottleRepository repository) {
    this.repository = repository;
  }

  @Override
  public List<Full> of(UUID household) {
    return repository.counts(household, Bottle.Status.STANDING);
  }
}
