package dremsa.server.people;

import dremsa.core.people.Reaction;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Skin that answered to something. */
@Entity
@Table(name = "reaction")
class ReactionRow {
  @Id private UUID id;
  private UUID householdId;
  private UUID personId;
  private Instant seenAt;
  private @Nullable String formulaId;
  private String name;

  /** Ids of what was in it, with spaces between. */
  private String materials;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Reaction.Sign sign;

  @Version private @Nullable Long version;

  protected ReactionRow() {}

  ReactionRow(UUID household, UUID person, Reaction reaction) {
    this.id = UUID.randomUUID();
    this.householdId = household;
    this.personId = person;
    this.seenAt = reaction.at();
    this.formulaId = reaction.product().orElse(null);
    this.name = reaction.name();
    this.materials = String.join(" ", new TreeSet<>(reaction.materials()));
    this.sign = reaction.sign();
  }

  Reaction toCore() {
    return new Reaction(
        seenAt,
        Optional.ofNullable(formulaId),
        name,
        materials.isEmpty() ? Set.of() : Set.of(materials.split(" ")),
        sign);
  }

  UUID id() {
    return id;
  }

  UUID personId() {
    return personId;
  }
}
