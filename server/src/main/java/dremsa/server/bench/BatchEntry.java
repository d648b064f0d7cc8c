package dremsa.server.bench;

import dremsa.core.brew.Reading;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A line of a run's log: something measured, smelt, done or noted while a step lasted. */
@Entity
class BatchEntry {
  /** What it is. */
  enum Kind {
    /** In the vessel, of a ferment or maceration where it stands. */
    TEMPERATURE(Reading.TEMPERATURE),
    WEIGHT(Reading.WEIGHT),
    VOLUME(Reading.VOLUME),
    PH(Reading.PH),
    /** g of an ingredient that really went in; its key is the subject. */
    INGREDIENT("Really weighed in", "g"),
    SMELL("Smell", ""),
    SHAKEN("Shaken", ""),
    NOTE("Note", "");

    private final String words;
    private final String unit;
    private final @Nullable Reading reading;

    Kind(Reading reading) {
      this.words = reading.words();
      this.unit = reading.unit();
      this.reading = reading;
    }

    Kind(String words, String unit) {
      this.words = words;
      this.unit = unit;
      this.reading = null;
    }

    /** As it is said in a list: {@code "Really weighed in"}. */
    String words() {
      return words;
    }

    /** Of its amount; empty where it has none. */
    String unit() {
      return unit;
    }

    /** What is read of the whole brew; empty for all else. */
    Optional<Reading> reading() {
      return Optional.ofNullable(reading);
    }

    static Kind of(Reading reading) {
      return Arrays.stream(values())
          .filter(kind -> kind.reading == reading)
          .findFirst()
          .orElseThrow();
    }
  }

  /** The source of what was typed. */
  static final String TYPED = "typed";

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private @Nullable Long id;

  private UUID householdId;
  private UUID batchId;
  private int stepIndex;
  private Instant enteredAt;

  @Enumerated(EnumType.STRING)
  @Column(columnDefinition = "varchar(20)")
  private Kind kind;

  private @Nullable Double amount;
  private @Nullable String subject;
  private String words;
  private String source;

  protected BatchEntry() {}

  BatchEntry(Batch batch, int stepIndex, Instant enteredAt, What what) {
    this.householdId = batch.householdId();
    this.batchId = batch.id();
    this.stepIndex = stepIndex;
    this.enteredAt = enteredAt;
    this.kind = what.kind();
    this.amount = what.amount();
    this.subject = what.subject();
    this.words = what.words();
    this.source = what.source();
  }

  /**
   * What was entered.
   *
   * @param amount in the unit of its kind; null for words
   * @param subject the ingredient's key; null for all else
   * @param source {@link #TYPED} or the name of a device
   */
  record What(
      Kind kind, @Nullable Double amount, @Nullable String subject, String words, String source) {
    /** The amount of what has one. */
    double number() {
      return Objects.requireNonNull(amount);
    }
  }

  @Nullable Long id() {
    return id;
  }

  int stepIndex() {
    return stepIndex;
  }

  Instant enteredAt() {
    return enteredAt;
  }

  What what() {
    return new What(kind, amount, subject, words, source);
  }
}
