package dremsa.server.bench;

import dremsa.core.fill.ContainerSet;
import dremsa.core.fill.Filling;
import dremsa.server.accounts.Households;
import dremsa.server.containers.PromisedContainers;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says which containers the runs of a bench will fill: who began first chooses first. */
@Component
class Promises implements PromisedContainers {
  private final BatchRepository repository;
  private final Runs runs;
  private final Households households;

  Promises(BatchRepository repository, Runs runs, Households households) {
    this.repository = repository;
    this.runs = runs;
    this.households = households;
  }

  @Override
  @Transactional(readOnly = true)
  public List<Promised> of(UUID household, List<ContainerSet> own) {
    Instant now = households.now(household);
    List<Promised> promised = new ArrayList<>();
    if (own.isEmpty()) {
      return promised;
    }
    for (Batch batch :
        repository.findByHouseholdIdAndStatusInOrderByStartedAt(
            household, List.of(Batch.Status.RUNNING, Batch.Status.PLANNED))) {
      Runs.Run run = runs.of(batch, now);
      List<ContainerSet> left = own.stream().map(set -> set.with(count(promised, set))).toList();
      Filling.of(
              run.brew().formula().container(),
              run.prediction().finished(),
              run.target().toCore(run.brew()),
              left,
              now)
          .filled()
          .stream()
          .filter(Filling.Filled::owned)
          .map(f -> new Promised(batch.id(), batch.formulaName(), f.kind(), f.sizeMl()))
          .forEach(promised::add);
    }
    return promised;
  }

  private static int count(List<Promised> promised, ContainerSet set) {
    return (int) promised.stream().filter(p -> set.is(p.kind(), p.sizeMl())).count();
  }
}
