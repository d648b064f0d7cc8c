package dremsa.server.people;

import dremsa.core.people.HeadUse;
import dremsa.core.people.SlotKind;
import dremsa.server.wire.OnHeadJson;
import dremsa.server.wire.Stored;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.ZoneId;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something that came on a head. Never changed but for what a wash day tells of it, and undoing.
 */
@Entity
@Table(name = "head_use")
class HeadUseRow {
  private static final int NAME = 120;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private @Nullable Long id;

  private UUID householdId;
  private UUID personId;
  private @Nullable UUID washDayId;

  /** The mark of what left the bottle; null for what was bought, and for old tables. */
  private @Nullable UUID useMark;

  private @Nullable UUID bottleId;

  /** The batch's code and the bottle's number; empty where it came from no bottle of ours. */
  private String bottleCode;

  private Instant usedAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private SlotKind slot;

  private String formulaId;
  private String name;
  private double millilitres;
  private @Nullable Double minutes;
  private String told;
  private boolean undone;

  protected HeadUseRow() {}

  /**
   * @param code of the bottle; empty where it came from none
   */
  HeadUseRow(UUID household, UUID person, HeadUse use, String code, Stored stored) {
    this.householdId = household;
    this.personId = person;
    this.bottleCode = code;
    this.usedAt = use.at();
    this.slot = use.slot();
    this.formulaId = use.formula();
    this.name = use.name().length() > NAME ? use.name().substring(0, NAME) : use.name();
    this.millilitres = use.millilitres();
    this.minutes = use.minutes().isPresent() ? use.minutes().getAsDouble() : null;
    this.told = stored.write(OnHeadJson.of(use));
  }

  void fromBottle(UUID bottle, UUID mark) {
    bottleId = bottle;
    useMark = mark;
  }

  /** A wash day knows better where it was used, and how long it stayed on. */
  void tell(UUID washDay, SlotKind where, @Nullable Double forMinutes) {
    washDayId = washDay;
    slot = where;
    minutes = forMinutes;
  }

  void undo() {
    undone = true;
  }

  HeadUse toCore(ZoneId zone, Stored stored) {
    OnHeadJson known = stored.read(told, OnHeadJson.class);
    return new HeadUse(
        usedAt,
        usedAt.atZone(zone).toLocalDate(),
        slot,
        formulaId,
        name,
        millilitres,
        minutes == null ? OptionalDouble.empty() : OptionalDouble.of(minutes),
        known.materials(),
        known.protein(),
        known.spirit(),
        known.ferment(),
        known.essential());
  }

  UUID personId() {
    return personId;
  }

  @Nullable UUID bottleId() {
    return bottleId;
  }

  @Nullable UUID useMark() {
    return useMark;
  }

  String bottleCode() {
    return bottleCode;
  }

  @Nullable UUID washDayId() {
    return washDayId;
  }

  boolean undone() {
    return undone;
  }
}
