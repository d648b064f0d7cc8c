package dremsa.server.history;

import dremsa.server.accounts.Acting;
import dremsa.server.accounts.MemberGone;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;

/** Writes down what happened and reads it back. */
@Service
public class History {
  private static final Set<Happening.Kind> NOT_UNDONE =
      Set.of(Happening.Kind.FRIDGE_WARM, Happening.Kind.LABELLED);

  private static final int DETAIL = 500;
  private static final int MOST_OF_ONE = 200;

  private final HappeningRepository repository;
  private final Stored stored;
  private final Acting acting;

  History(HappeningRepository repository, Stored stored, Acting acting) {
    this.repository = repository;
    this.stored = stored;
    this.acting = acting;
  }

  /** Writes down what stands alone. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void note(
      UUID household,
      UUID batch,
      @Nullable UUID bottle,
      Instant at,
      Happening.Kind kind,
      @Nullable Double millilitres,
      Told told) {
    note(household, batch, bottle, null, at, kind, millilitres, told);
  }

  /**
   * Writes down a part of a change.
   *
   * @param change what belongs together has the same; null for what stands alone
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void note(
      UUID household,
      UUID batch,
      @Nullable UUID bottle,
      @Nullable UUID change,
      Instant at,
      Happening.Kind kind,
      @Nullable Double millilitres,
      Told told) {
    Happening happening = new Happening(household, batch, bottle, change, at, kind, millilitres);
    happening.doneBy(acting.called());
    write(happening, told);
  }

  private void write(Happening happening, Told told) {
    happening.tells(words(told), told instanceof Told.Words ? null : stored.write(told));
    repository.save(happening);
  }

  private static String words(Told told) {
    String words = told.inWords();
    return words.length() > DETAIL ? words.substring(0, DETAIL) : words;
  }

  /**
   * What a line of a table tells.
   *
   * @param detail in words
   * @param json as data; empty where it is words alone, or was written before there was more
   * @throws IllegalArgumentException when the data is none of ours
   */
  public Told told(Happening.Kind kind, String detail, String json) {
    if (json.isEmpty()) {
      return EarlierWords.told(kind, detail);
    }
    try {
      return stored.read(json, Told.class);
    } catch (JacksonException e) {
      throw new IllegalArgumentException("it is not what a line tells", e);
    }
  }

  /** Whether a line says just that. */
  public boolean says(Happening line, @Nullable Double millilitres, Told told) {
    return Objects.equals(line.millilitres(), millilitres) && line.detail().equals(words(told));
  }

  /** A table knows better how much it was, and what. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void putRight(Happening line, @Nullable Double millilitres, Told told) {
    line.putRight(millilitres);
    write(line, told);
  }

  /** Everything on record of a batch and its bottles, the oldest first. */
  public List<Happening> allOf(UUID household, UUID batch) {
    return repository.findByHouseholdIdAndBatchIdOrderById(household, batch);
  }

  /** Writes down what a table says; of what was undone it says so. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void take(
      UUID household,
      UUID batch,
      @Nullable UUID bottle,
      @Nullable UUID change,
      Instant at,
      Happening.Kind kind,
      @Nullable Double millilitres,
      Told told,
      boolean undone) {
    Happening happening = new Happening(household, batch, bottle, change, at, kind, millilitres);
    if (undone) {
      happening.undo();
    }
    write(happening, told);
  }

  /**
   * The last thing that was done to a bottle and was not undone. What befell the whole fridge is
   * taken back there, and a printed label cannot be unprinted.
   */
  public Optional<Happening> lastOfBottle(UUID household, UUID bottle) {
    return repository.findFirstByHouseholdIdAndBottleIdAndUndoneFalseAndKindNotInOrderByIdDesc(
        household, bottle, NOT_UNDONE);
  }

  /** What happened to bottles that were never filled after all stays, but names them no more. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void forgetBottles(UUID household, UUID batch) {
    repository.forgetBottles(household, batch);
  }

  /** Somebody deleted themself: what they did stays, and names nobody. */
  @EventListener
  public void gone(MemberGone event) {
    repository.forgetName(event.household(), event.called());
  }

  /** All that belongs to a change. */
  public List<Happening> ofChange(UUID household, UUID change) {
    return repository.findByHouseholdIdAndChangeIdOrderById(household, change);
  }

  /** What happened to a bottle, the newest first, at most 200. */
  public List<Happening> ofBottle(UUID household, UUID bottle) {
    return repository.findByHouseholdIdAndBottleIdOrderByHappenedAtDescIdDesc(
        household, bottle, PageRequest.of(0, MOST_OF_ONE));
  }

  /** What happened to a batch and its bottles, the newest first, at most 200. */
  public List<Happening> ofBatch(UUID household, UUID batch) {
    return repository.findByHouseholdIdAndBatchIdOrderByHappenedAtDescIdDesc(
        household, batch, PageRequest.of(0, MOST_OF_ONE));
  }
}
