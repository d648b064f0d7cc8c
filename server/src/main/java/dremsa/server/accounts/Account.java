package dremsa.server.accounts;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A way to sign in to a household. */
@Entity
class Account {
  @Id private UUID id;
  private UUID householdId;
  private String signIn;
  private String passwordHash;
  private Instant createdAt;

  protected Account() {}

  Account(UUID id, UUID householdId, String signIn, String passwordHash, Instant createdAt) {
    this.id = id;
    this.householdId = householdId;
    this.signIn = signIn;
    this.passwordHash = passwordHash;
    this.createdAt = createdAt;
  }

  UUID id() {
    return id;
  }

  UUID householdId() {
    return householdId;
  }

  String signIn() {
    return signIn;
  }

  String passwordHash() {
    return passwordHash;
  }
}
