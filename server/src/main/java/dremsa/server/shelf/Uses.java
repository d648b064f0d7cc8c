package dremsa.server.shelf;

import dremsa.core.formula.Purpose;
import java.time.Instant;
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
   */
  record Told(@Nullable String who, @Nullable Purpose purpose) {
    static final Told NOTHING = new Told(null, null);

    /** For the record: {@code "Ada, rinse"}; empty where nothing is said. */
    String words() {
      return Stream.of(who, purpose == null ? null : purpose.words())
          .filter(Objects::nonNull)
          .collect(Collectors.joining(", "));
    }
  }

  /** It was used now; nothing of nothing is no use. */
  void used(Judging.Known known, double millilitres, Told told, Instant at) {
    Bottle bottle = known.bottle();
    if (millilitres <= 0) {
      return;
    }
    BottleUse use =
        repository.save(new BottleUse(bottle, at, millilitres, told.who(), told.purpose()));
    events.publishEvent(
        new Used(
            bottle.householdId(),
            Objects.requireNonNull(use.id()),
            bottle.id(),
            known.contents(millilitres, at),
            millilitres,
            at,
            Optional.ofNullable(told.who()),
            Optional.ofNullable(told.purpose())));
  }

  /** A table of old days says so: it is kept, and nobody is told. */
  void usedThen(Bottle bottle, double millilitres, Instant at, boolean undone) {
    if (millilitres <= 0) {
      return;
    }
    BottleUse use = new BottleUse(bottle, at, millilitres, null, null);
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
              events.publishEvent(
                  new UseTakenBack(
                      bottle.householdId(), Objects.requireNonNull(use.id()), bottle.id(), now));
            });
  }
}
