package dremsa.server.shelf;

import dremsa.core.formula.Purpose;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Keeps what was used of the bottles, and tells those who reckon with it. */
@Component
class Uses {
  private final BottleUseRepository repository;
  private final JdbcTemplate jdbc;
  private final ApplicationEventPublisher events;

  Uses(BottleUseRepository repository, JdbcTemplate jdbc, ApplicationEventPublisher events) {
    this.jdbc = jdbc;
    this.repository = repository;
    this.events = events;
  }

  /**
   * What is said of a use beside how much it was.
   *
   * @param who used it; null where nobody said
   * @param purpose what for; null where nobody said
   * @param person whose head it was; null where nobody said
   */
  record Told(@Nullable String who, @Nullable Purpose purpose, @Nullable UUID person) {
    static final Told NOTHING = new Told(null, null, null);

    /** For the record: {@code "Ada, rinse"}; empty where nothing is said. */
    String words() {
      return Stream.of(who, purpose == null ? null : purpose.words())
          .filter(Objects::nonNull)
          .collect(Collectors.joining(", "));
    }
  }

  /**
   * It was used now; nothing of nothing is no use.
   *
   * @return its mark
   */
  Optional<UUID> used(Judging.Known known, double millilitres, Told told, Instant at) {
    Bottle bottle = known.bottle();
    if (millilitres <= 0) {
      return Optional.empty();
    }
    BottleUse use = repository.save(new BottleUse(bottle, at, millilitres, told));
    UUID mark = Objects.requireNonNull(use.mark());
    events.publishEvent(
        new Used(
            bottle.householdId(),
            mark,
            bottle.id(),
            known.contents(millilitres, at),
            millilitres,
            at,
            Optional.ofNullable(told.who()),
            Optional.ofNullable(told.person()),
            Optional.ofNullable(told.purpose())));
    return Optional.of(mark);
  }

  /** One use by its mark, if it stands and was not taken back. */
  Optional<BottleUse> find(UUID household, UUID mark) {
    return repository.findByMarkAndHouseholdIdAndUndoneFalse(mark, household);
  }

  /** Takes one use back, whatever came after it. */
  void takeBack(BottleUse use, UUID household, Instant now) {
    use.undo();
    tellTakenBack(use, household, now);
  }

  /** What was used on somebody's head. */
  List<BottleUse> of(UUID household, UUID person) {
    return repository.findByHouseholdIdAndPersonId(household, person);
  }

  /** A table of old days says so: it is kept, and nobody is told. */
  void usedThen(Bottle bottle, double millilitres, Instant at, boolean undone) {
    if (millilitres <= 0) {
      return;
    }
    BottleUse use = new BottleUse(bottle, at, millilitres, Told.NOTHING);
    if (undone) {
      use.undo();
    }
    repository.save(use);
  }

  /**
   * A backup of before uses were rows tells of them in its record alone: they are taken from there.
   */
  void fromRecord(UUID household) {
    String id = household.toString();
    jdbc.update(
        "insert into bottle_use (household_id, bottle_id, used_at, millilitres, undone)"
            + " select h.household_id, h.bottle_id, h.happened_at, h.millilitres, h.undone"
            + " from happening_line h join bottle b"
            + " on b.id = h.bottle_id and b.household_id = h.household_id"
            + " where h.household_id = ? and h.kind in ('TAKEN', 'FINISHED') and h.millilitres > 0"
            + " and coalesce(json_value(h.told, '$.kind'), '') <> 'BREWED'"
            + " and not exists (select 1 from bottle_use u where u.household_id = ?) order by h.id",
        id,
        id);
  }

  /** The last use of a bottle is taken back, if it was this one; what was no use stays as it is. */
  void takeBack(Bottle bottle, double millilitres, Instant usedAt, Instant now) {
    repository
        .findFirstByBottleIdAndUndoneFalseOrderByIdDesc(bottle.id())
        .filter(use -> use.usedAt().equals(usedAt) && use.millilitres() == millilitres)
        .ifPresent(
            use -> {
              use.undo();
              tellTakenBack(use, bottle.householdId(), now);
            });
  }

  private void tellTakenBack(BottleUse use, UUID household, Instant now) {
    if (use.mark() != null) {
      events.publishEvent(new UseTakenBack(household, use.mark(), use.bottleId(), now));
    }
  }
}
