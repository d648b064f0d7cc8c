package dremsa.server.accounts;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A person who signs in to a household. */
@Entity
class Account {
  @Id private UUID id;
  private UUID householdId;
  private String signIn;
  private String called;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(10)")
  private Role role;

  private String passwordHash;
  private Instant createdAt;

  protected Account() {}

  /**
   * @param called how the others of the household call them
   */
  Account(
      UUID id,
      UUID householdId,
      String signIn,
      String called,
      Role role,
      String passwordHash,
      Instant createdAt) {
    this.id = id;
    this.householdId = householdId;
    this.signIn = signIn;
    this.called = called;
    this.role = role;
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

  String called() {
    return called;
  }

  void rename(String other) {
    called = other;
  }

  Role role() {
    return role;
  }

  void become(Role other) {
    role = other;
  }

  String passwordHash() {
    return passwordHash;
  }

  Instant createdAt() {
    return createdAt;
  }
}
