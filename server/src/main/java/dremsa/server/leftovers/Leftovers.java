package dremsa.server.leftovers;

import dremsa.core.keep.Leftover;
import dremsa.core.material.Material;
import dremsa.core.measure.Said;
import dremsa.core.today.Today;
import dremsa.server.accounts.Households;
import dremsa.server.bench.BatchBottled;
import dremsa.server.bench.BatchRecord;
import dremsa.server.bench.BottlingUndone;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.history.Told;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.reminders.Due;
import dremsa.server.reminders.Reminders;
import dremsa.server.stores.Stores;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Puts what a strainer held on the shelf, where it is good for something, and ends it. */
@Service
public class Leftovers {
  /** When it is said that the last day is nearly over. */
  private static final LocalTime EVENING = LocalTime.of(18, 0);

  private static final int NAME = 200;

  private final SpentPlantRepository repository;
  private final Households households;
  private final History history;
  private final Reminders reminders;
  private final Stores stores;

  Leftovers(
      SpentPlantRepository repository,
      Households households,
      History history,
      Reminders reminders,
      Stores stores) {
    this.repository = repository;
    this.households = households;
    this.history = history;
    this.reminders = reminders;
    this.stores = stores;
  }

  /** What waits for its second use. */
  @Transactional(readOnly = true)
  public List<Today.Bowl> open(UUID household) {
    return repository
        .findByHouseholdIdAndOutcomeOrderByLastDayAscStrainedAtAsc(
            household, SpentPlant.Outcome.OPEN, PageRequest.of(0, LeftoverController.MOST_OPEN))
        .stream()
        .map(s -> new Today.Bowl(s.id().toString(), s.name(), s.lastDay(), s.purpose().words()))
        .toList();
  }

  /** A part of a divided batch leaves nothing of its own: the whole was strained once. */
  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void bottled(BatchBottled event) {
    BatchRecord batch = event.batch();
    Optional<Leftover> left =
        Leftover.of(batch.brew(), batch.prediction())
            .filter(leftover -> leftover.use() != Leftover.Use.COMPOST);
    if (left.isEmpty()
        || !repository.findByHouseholdIdAndBatchId(event.household(), batch.wholeId()).isEmpty()) {
      return;
    }
    ZoneId zone = households.of(event.household()).zone();
    Instant strained =
        batch
            .startedAt()
            .plusMillis(Math.round(batch.prediction().heat().strainedMinute() * 60_000));
    String name =
        left.get().materials().stream().map(Material::name).collect(Collectors.joining(", "));
    SpentPlant spent =
        repository.saveAndFlush(
            new SpentPlant(
                event.household(),
                batch.wholeId(),
                batch.code(),
                name.length() > NAME ? name.substring(0, NAME) : name,
                left.get(),
                strained,
                left.get().use().lastDay(strained, zone)));
    remind(spent, zone, event.at());
  }

  private void remind(SpentPlant spent, ZoneId zone, Instant now) {
    Instant at = spent.lastDay().atTime(EVENING).atZone(zone).toInstant();
    Due due =
        new Due(
            subject(spent) + ":NOW",
            at,
            Due.Kind.NOW,
            "Left over: " + spent.name(),
            spent.purpose().words() + " today, or compost it",
            "/keep");
    reminders.replace(
        spent.householdId(), subject(spent), at.isBefore(now) ? List.of() : List.of(due));
  }

  /** Plans anew what the leftovers that wait will call for. */
  void planAgain(UUID household, Instant now) {
    ZoneId zone = households.of(household).zone();
    repository
        .findByHouseholdIdAndOutcomeOrderByLastDayAscStrainedAtAsc(
            household, SpentPlant.Outcome.OPEN, Pageable.unpaged())
        .forEach(spent -> remind(spent, zone, now));
  }

  private static String subject(SpentPlant spent) {
    return "leftover:" + spent.id();
  }

  @EventListener
  @Transactional(propagation = Propagation.MANDATORY)
  public void takenBack(BottlingUndone event) {
    for (SpentPlant spent :
        repository.findByHouseholdIdAndBatchId(event.household(), event.whole())) {
      if (spent.outcome() == SpentPlant.Outcome.OPEN) {
        reminders.replace(spent.householdId(), subject(spent), List.of());
        repository.delete(spent);
      }
    }
  }

  /**
   * It has come to its end.
   *
   * @param driedGrams what it weighs dry; for {@code DRIED} only, which puts it into the stores
   */
  @Transactional
  public void end(
      UUID household,
      UUID id,
      long version,
      SpentPlant.Outcome how,
      @Nullable Double driedGrams,
      Instant at) {
    SpentPlant spent = get(household, id, version);
    if (spent.outcome() != SpentPlant.Outcome.OPEN) {
      throw Problem.conflict("This is gone already.");
    }
    UUID lot = how == SpentPlant.Outcome.DRIED ? dried(spent, driedGrams, at) : null;
    spent.end(how, at, lot);
    repository.saveAndFlush(spent);
    reminders.replace(household, subject(spent), List.of());
    note(spent, at, words(spent));
  }

  private UUID dried(SpentPlant spent, @Nullable Double grams, Instant at) {
    if (spent.materialId() == null) {
      throw Problem.invalid(
          FieldProblem.of(
              "driedGrams", grams, "A mixture cannot go into the stores as one plant."));
    }
    if (grams == null || !(grams > 0 && grams <= spent.wetGrams())) {
      throw Problem.invalid(
          FieldProblem.range(
              "driedGrams",
              grams,
              Said.of("Weigh it dry: wet it was about %.0f g.", spent.wetGrams()),
              0,
              spent.wetGrams()));
    }
    return stores.spentAndDried(
        spent.householdId(), spent.materialId(), grams, "left over from " + spent.code(), at);
  }

  private static String words(SpentPlant spent) {
    return switch (spent.outcome()) {
      case OPEN -> "stands again: " + spent.name();
      case USED -> spent.name() + ": " + spent.purpose().words().toLowerCase(Locale.ROOT);
      case DRIED -> spent.name() + ": dried, now in the stores";
      case COMPOSTED -> spent.name() + ": composted";
    };
  }

  /** Takes back what became of it. */
  @Transactional
  public void undo(UUID household, UUID id, long version, Instant at) {
    SpentPlant spent = get(household, id, version);
    if (spent.outcome() == SpentPlant.Outcome.OPEN) {
      throw Problem.conflict("There is nothing to take back here.");
    }
    if (spent.lotId() != null) {
      stores.takeBackDried(household, spent.lotId(), at);
    }
    spent.open();
    repository.saveAndFlush(spent);
    remind(spent, households.of(household).zone(), at);
    note(spent, at, words(spent));
  }

  private void note(SpentPlant spent, Instant at, String words) {
    history.note(
        spent.householdId(),
        spent.batchId(),
        null,
        at,
        Happening.Kind.LEFTOVER,
        null,
        new Told.Words(words));
  }

  private SpentPlant get(UUID household, UUID id, long version) {
    SpentPlant spent =
        repository
            .findByIdAndHouseholdId(id, household)
            .orElseThrow(() -> Problem.notFound("leftover"));
    if (spent.version() != version) {
      throw Problem.conflict("Somebody was quicker. Look at the shelf again.");
    }
    return spent;
  }

  /** Whether it may still be used for anything but the compost. */
  static boolean over(SpentPlant spent, LocalDate today) {
    return today.isAfter(spent.lastDay());
  }
}
