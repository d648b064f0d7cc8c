package dremsa.server.notes;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;

/** What a household answered when it was asked about a word of a note. */
@Entity
class OwnWord {
  /** An answer given so often holds for every note. */
  static final int REMEMBERED = 2;

  /** Which word of which household: the key of a stretch without its number. */
  @Embeddable
  record Key(UUID householdId, String word) implements Serializable {}

  @EmbeddedId private Key key;
  private String meaning;
  private int times;
  private Instant lastOn;

  protected OwnWord() {}

  OwnWord(Key key, String meaning, Instant now) {
    this.key = key;
    this.meaning = meaning;
    times = 1;
    lastOn = now;
  }

  /** Answered again; another answer begins anew. */
  void answered(String value, Instant now) {
    times = meaning.equals(value) ? times + 1 : 1;
    meaning = value;
    lastOn = now;
  }

  boolean isRemembered() {
    return times >= REMEMBERED;
  }

  String word() {
    return key.word();
  }

  String meaning() {
    return meaning;
  }
}
