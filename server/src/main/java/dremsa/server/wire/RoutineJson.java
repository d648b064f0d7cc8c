package dremsa.server.wire;

import dremsa.core.formula.Purpose;
import dremsa.core.people.InvalidPersonException;
import dremsa.core.people.Occasion;
import dremsa.core.people.Repeat;
import dremsa.core.people.Routine;
import dremsa.core.people.Slot;
import dremsa.core.people.SlotKind;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A routine, as it is asked and as it is kept. */
public record RoutineJson(
    @NotNull(message = "Say the occasions.")
        @Valid
        @Size(max = Routine.MOST, message = "At most 8 occasions.")
        List<OccasionJson> occasions) {

  /**
   * An occasion.
   *
   * @param key names it within the routine
   * @param time when it is usually done, at the household's place
   */
  public record OccasionJson(
      @NotNull(message = "Name it.") @Size(max = 60, message = "At most 60 characters.") String key,
      @NotNull(message = "Say what sort it is.") Occasion.Kind kind,
      @NotNull(message = "Give it a name.") @Size(max = 60, message = "At most 60 characters.")
          String name,
      @NotNull(message = "Say when it comes round.") @Valid RepeatJson repeat,
      @Nullable LocalTime time,
      @NotNull(message = "Say what is done.") @Valid List<SlotJson> slots) {}

  /**
   * When it comes round: by a rule, or with another occasion.
   *
   * @param first the day from which on it is reckoned
   * @param rule by RFC 5545
   * @param last no day after this one; with a rule only
   * @param follows the key of another occasion, instead of a rule
   * @param every with every so-many-th of it
   */
  public record RepeatJson(
      @NotNull(message = "Say from which day on.") LocalDate first,
      @Nullable @Size(max = 200, message = "At most 200 characters.") String rule,
      @Nullable LocalDate last,
      @Nullable @Size(max = 60, message = "At most 60 characters.") String follows,
      @Nullable Integer every) {
    static RepeatJson of(Repeat repeat) {
      if (repeat instanceof Repeat.With with) {
        return new RepeatJson(with.first(), null, null, with.occasion(), with.every());
      }
      Repeat.ByRule by = (Repeat.ByRule) repeat;
      return new RepeatJson(by.first(), by.rule(), by.last().orElse(null), null, null);
    }

    /** What it means to the model. */
    public Repeat toCore() {
      if (follows != null) {
        return new Repeat.With(follows, every == null ? 1 : every, first);
      }
      if (rule == null || rule.isBlank()) {
        throw new InvalidPersonException("rule", "Say when it comes round.");
      }
      return new Repeat.ByRule(first, rule, Optional.ofNullable(last));
    }
  }

  /** A place in an occasion. */
  public record SlotJson(
      @NotNull(message = "Say what it is.") SlotKind kind,
      @Nullable @Valid @Size(max = 8, message = "At most 8 in one place.")
          List<LikedJson> choices) {
    static SlotJson of(Slot slot) {
      return new SlotJson(slot.kind(), slot.choices().stream().map(LikedJson::of).toList());
    }

    Slot toCore() {
      List<Slot.Choice> all = new ArrayList<>();
      for (int i = 0; choices != null && i < choices.size(); i++) {
        all.add(InvalidPersonException.below("choices[" + i + "]", choices.get(i)::toCore));
      }
      return new Slot(kind, all);
    }
  }

  /**
   * What is used: one of the three.
   *
   * @param purpose anything that serves it
   * @param formula a brew by the id of its formula
   * @param bought something bought, by its name
   */
  public record LikedJson(
      @Nullable Purpose purpose,
      @Nullable @Size(max = 80, message = "At most 80 characters.") String formula,
      @Nullable @Size(max = 80, message = "At most 80 characters.") String bought) {
    static LikedJson of(Slot.Choice choice) {
      if (choice instanceof Slot.Choice.For anything) {
        return new LikedJson(anything.purpose(), null, null);
      } else if (choice instanceof Slot.Choice.Brewed brewed) {
        return new LikedJson(null, brewed.formula(), null);
      }
      return new LikedJson(null, null, ((Slot.Choice.Bought) choice).name());
    }

    Slot.Choice toCore() {
      if (purpose != null) {
        return new Slot.Choice.For(purpose);
      } else if (formula != null && !formula.isBlank()) {
        return new Slot.Choice.Brewed(formula);
      } else if (bought != null) {
        return new Slot.Choice.Bought(bought.strip());
      }
      throw new InvalidPersonException("purpose", "Say what is used.");
    }
  }

  /** As it is shown and kept. */
  public static RoutineJson of(Routine routine) {
    return new RoutineJson(
        routine.occasions().stream()
            .map(
                each ->
                    new OccasionJson(
                        each.key(),
                        each.kind(),
                        each.name(),
                        RepeatJson.of(each.repeat()),
                        each.time(),
                        each.slots().stream().map(SlotJson::of).toList()))
            .toList());
  }

  /**
   * What it means to the model.
   *
   * @param at the path of this form, for problems; empty for none
   * @throws Problem at the field that cannot be
   */
  public Routine toCore(String at) {
    try {
      List<Occasion> all = new ArrayList<>();
      for (int i = 0; i < occasions.size(); i++) {
        OccasionJson each = occasions.get(i);
        all.add(InvalidPersonException.below("occasions[" + i + "]", () -> occasion(each)));
      }
      return new Routine(all);
    } catch (InvalidPersonException e) {
      throw Problem.invalid(
          FieldProblem.of(at.isEmpty() ? e.field() : at + "." + e.field(), null, Problem.why(e)));
    }
  }

  private static Occasion occasion(OccasionJson said) {
    Repeat repeat = InvalidPersonException.below("repeat", said.repeat()::toCore);
    List<Slot> slots = new ArrayList<>();
    // Too many are refused by their number, not read one by one.
    for (int i = 0; i < Math.min(said.slots().size(), Occasion.MOST_SLOTS + 1); i++) {
      slots.add(InvalidPersonException.below("slots[" + i + "]", said.slots().get(i)::toCore));
    }
    if (said.slots().size() > Occasion.MOST_SLOTS) {
      throw new InvalidPersonException(
          "slots",
          "1 to "
              + Occasion.MOST_SLOTS
              + " things are done on one day, not "
              + said.slots().size()
              + ".");
    }
    return new Occasion(
        said.key(),
        said.kind(),
        said.name().strip(),
        repeat,
        said.time() == null ? LocalTime.of(10, 0) : said.time(),
        slots);
  }
}
