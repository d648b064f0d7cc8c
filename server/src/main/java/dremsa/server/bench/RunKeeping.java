package dremsa.server.bench;

import dremsa.core.keep.Keeping;
import dremsa.server.accounts.Household;
import dremsa.server.kitchens.Kitchens;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Says how the bottles of a run will be kept: in its household's fridge, with what was poured in.
 */
@Component
class RunKeeping {
  private final Kitchens kitchens;

  RunKeeping(Kitchens kitchens) {
    this.kitchens = kitchens;
  }

  Keeping of(Household household, Batch batch, Runs.Run run) {
    return Keeping.inFridge(
            batch.startedAt(),
            household.zone(),
            household.school(),
            kitchens.climates(household.id()))
        .withInherited(List.copyOf(run.ages().values()));
  }
}
