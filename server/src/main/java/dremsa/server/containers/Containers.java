package dremsa.server.containers;

import dremsa.core.fill.ContainerSet;
import dremsa.core.kitchen.Container;
import dremsa.core.measure.Said;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what a household owns to fill brews into. */
@Service
public class Containers {
  private static final int MOST_SETS = 60;

  private final OwnedSetRepository repository;
  private final FullContainers full;
  private final PromisedContainers promised;

  Containers(OwnedSetRepository repository, FullContainers full, PromisedContainers promised) {
    this.repository = repository;
    this.full = full;
    this.promised = promised;
  }

  /**
   * A set as it is kept, with what is in use.
   *
   * @param promised to brews on the bench
   */
  record Kept(UUID id, long version, ContainerSet set, List<PromisedContainers.Promised> promised) {
    /** With what is promised counted as in use. */
    ContainerSet left() {
      return set.with(promised.size());
    }
  }

  /**
   * What a household owns, as a brew that begins now finds it; empty when it wrote nothing down.
   */
  @Transactional(readOnly = true)
  public List<ContainerSet> of(UUID household) {
    return kept(household).stream().map(Kept::left).toList();
  }

  /** The same as a brew on the bench finds it: what is promised to later ones it can have. */
  @Transactional(readOnly = true)
  public List<ContainerSet> of(UUID household, UUID batch) {
    List<ContainerSet> own = filled(household);
    List<PromisedContainers.Promised> before = new ArrayList<>();
    for (PromisedContainers.Promised each : promised.of(household, own)) {
      if (each.batch().equals(batch)) {
        break;
      }
      before.add(each);
    }
    return own.stream().map(set -> set.with(of(set, before).size())).toList();
  }

  private List<ContainerSet> filled(UUID household) {
    List<FullContainers.Full> inUse = full.of(household);
    return repository.findByHouseholdIdOrderByKindAscSizeMlAsc(household).stream()
        .map(owned -> owned.toCore(inUse(owned, inUse)))
        .toList();
  }

  private static List<PromisedContainers.Promised> of(
      ContainerSet set, List<PromisedContainers.Promised> all) {
    return all.stream().filter(p -> set.is(p.kind(), p.sizeMl())).toList();
  }

  List<Kept> kept(UUID household) {
    List<FullContainers.Full> inUse = full.of(household);
    List<PromisedContainers.Promised> all = promised.of(household, filled(household));
    return repository.findByHouseholdIdOrderByKindAscSizeMlAsc(household).stream()
        .map(
            owned -> {
              ContainerSet set = owned.toCore(inUse(owned, inUse));
              return new Kept(owned.id(), owned.version(), set, of(set, all));
            })
        .toList();
  }

  private static int inUse(OwnedSet owned, List<FullContainers.Full> inUse) {
    ContainerSet set = owned.toCore(0);
    return inUse.stream()
        .filter(f -> set.is(f.kind(), f.sizeMl()))
        .mapToInt(f -> (int) f.count())
        .sum();
  }

  /** Writes a new set down; one of that kind and size there already is refused. */
  @Transactional
  public void add(UUID household, Container kind, double sizeMl, boolean filter, int owned) {
    List<OwnedSet> all = repository.findByHouseholdIdOrderByKindAscSizeMlAsc(household);
    if (all.size() >= MOST_SETS) {
      throw Problem.conflict("There are " + MOST_SETS + " sorts of containers already.");
    }
    if (all.stream().anyMatch(set -> set.toCore(0).is(kind, sizeMl))) {
      throw Problem.invalid(
          FieldProblem.of(
              "sizeMl", sizeMl, "You have this sort already: change how many there are."));
    }
    repository.saveAndFlush(new OwnedSet(household, kind, sizeMl, filter, owned));
  }

  @Transactional
  public void change(UUID household, UUID id, long version, boolean filter, int owned) {
    OwnedSet set = get(household, id, version);
    set.change(filter, owned);
    repository.saveAndFlush(set);
  }

  /**
   * So many empty ones were sterilised just now; with the ones before them still counting, they are
   * written anew.
   *
   * @param count 0 takes back that any were
   */
  @Transactional
  public void sterilised(UUID household, UUID id, long version, int count, Instant at) {
    OwnedSet set = get(household, id, version);
    int free = set.toCore(inUse(set, full.of(household))).free();
    if (count > free) {
      throw Problem.invalid(
          FieldProblem.range("count", count, Said.of("%d of them are empty.", free), 0, free));
    }
    set.sterilised(count, count == 0 ? null : at);
    repository.saveAndFlush(set);
  }

  @Transactional
  public void remove(UUID household, UUID id) {
    repository.delete(found(household, id));
    repository.flush();
  }

  /**
   * One is filled.
   *
   * @return when it was sterilised; empty when it was not, or the set is not written down
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public Optional<Instant> filled(UUID household, Container kind, double sizeMl, Instant at) {
    return set(household, kind, sizeMl)
        .filter(set -> set.toCore(0).ready(at) > 0)
        .map(
            set -> {
              Instant sterilisedAt = set.sterilisedAt();
              set.sterilised(set.sterilised() - 1, sterilisedAt);
              return sterilisedAt;
            });
  }

  /** A filling is taken back: the container is as it was. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void emptied(UUID household, Container kind, double sizeMl, Instant sterilisedAt) {
    set(household, kind, sizeMl)
        .filter(set -> sterilisedAt.equals(set.sterilisedAt()))
        .ifPresent(set -> set.sterilised(set.sterilised() + 1, sterilisedAt));
  }

  private Optional<OwnedSet> set(UUID household, Container kind, double sizeMl) {
    return repository.findByHouseholdIdOrderByKindAscSizeMlAsc(household).stream()
        .filter(set -> set.toCore(0).is(kind, sizeMl))
        .findFirst();
  }

  private OwnedSet found(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("sort of container"));
  }

  private OwnedSet get(UUID household, UUID id, long version) {
    OwnedSet set = found(household, id);
    if (set.version() != version) {
      throw Problem.conflict("Somebody was quicker. Look at your containers again.");
    }
    return set;
  }
}
