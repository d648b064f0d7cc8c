package dremsa.server.people;

import dremsa.core.measure.Figure;
import dremsa.core.people.HeadLimits;
import dremsa.core.people.Limit;
import dremsa.core.people.PatchTest;
import dremsa.core.people.Person;
import dremsa.core.people.Reaction;
import dremsa.core.people.SlotKind;
import dremsa.server.wire.FigureJson;
import dremsa.server.wire.HairJson;
import dremsa.server.wire.LimitJson;
import dremsa.server.wire.RoutineJson;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The forms in which people are told and shown. */
final class PersonJson {
  private PersonJson() {}

  /**
   * Somebody, told.
   *
   * @param version that was seen; missing for somebody new
   * @param usual somebody new begins with the usual routine for such hair
   */
  record PersonForm(
      @Nullable Long version,
      @NotNull(message = "Give a name.") @Size(max = 60, message = "At most 60 characters.")
          String name,
      @Nullable @Valid HairJson hair,
      @Nullable Boolean usual) {
    HairJson told() {
      return hair == null ? HairJson.NOTHING : hair;
    }
  }

  /** A routine, told. */
  record RoutineForm(
      @NotNull(message = "Say which version you saw.") Long version,
      @NotNull(message = "Say the routine.") @Valid RoutineJson routine) {}

  /**
   * Somebody, in short.
   *
   * @param age in words
   * @param lengthCm drawn straight, where it is known
   * @param shrinkage 0 to 1, where both lengths are known
   * @param up whether the hair is up today
   * @param occasions as they are said, in the order of the routine
   */
  record PersonLine(
      UUID id,
      long version,
      String name,
      HairJson hair,
      String age,
      @Nullable Double lengthCm,
      @Nullable Double shrinkage,
      boolean up,
      List<OccasionWords> occasions) {
    static PersonLine of(People.Known known, LocalDate today) {
      Person person = known.person();
      return new PersonLine(
          known.id(),
          known.version(),
          person.name(),
          known.told(),
          person.age().words(),
          person.hair().cm().isPresent() ? person.hair().cm().getAsDouble() : null,
          person.hair().shrinkage().isPresent() ? person.hair().shrinkage().getAsDouble() : null,
          person.worn().upOn(today),
          known.routine().occasions().stream()
              .map(
                  each ->
                      new OccasionWords(
                          each.key(), each.name(), each.words(known.routine().occasions())))
              .toList());
    }
  }

  /** An occasion as it is said: {@code "Wash day"}, {@code "Sundays"}. */
  record OccasionWords(String key, String name, String words) {}

  /**
   * A limit that is counted, as it stands today.
   *
   * @param fineFrom the first day on which a strong one is fine
   */
  record LimitState(
      Limit.Kind kind,
      double load,
      double most,
      int days,
      boolean own,
      @Nullable LocalDate fineFrom,
      String source) {
    static LimitState of(HeadLimits.State state) {
      return new LimitState(
          state.kind(),
          state.load(),
          state.most(),
          state.days(),
          state.own(),
          state.fineFrom().orElse(null),
          state.source());
    }
  }

  /** A test on the arm. */
  record TestLine(
      UUID id,
      long version,
      String material,
      String name,
      Instant startedAt,
      Instant due,
      PatchTest.@Nullable Result result) {}

  /**
   * Skin that answered.
   *
   * @param suspects what may have caused it, the likeliest first
   */
  record ReactionLine(
      UUID id, Instant at, String name, Reaction.Sign sign, List<SuspectLine> suspects) {}

  /** Something that may have caused a reaction. */
  record SuspectLine(String material, String name, String why) {}

  /**
   * Something that came on this head.
   *
   * @param bottle the batch's code and the bottle's number; empty where it was bought
   */
  record UseLine(
      Instant at,
      SlotKind slot,
      String name,
      String bottle,
      double millilitres,
      @Nullable Double minutes,
      boolean undone) {}

  /**
   * A bottle on the shelf and a head.
   *
   * @param slot where it goes best
   * @param well nothing stands against it
   */
  record SuitsLine(
      UUID bottle,
      String name,
      double leftMl,
      LocalDate lastDay,
      SlotKind slot,
      boolean well,
      List<LimitJson> limits) {}

  /**
   * A formula and a head.
   *
   * @param formula its id
   */
  record FormulaSuits(String formula, boolean well, List<LimitJson> limits) {}

  /** How much one use takes. */
  record DoseLine(SlotKind slot, FigureJson millilitres, String words) {
    static DoseLine of(SlotKind slot, Figure figure, String words) {
      return new DoseLine(slot, FigureJson.of(figure), words);
    }
  }

  /** A person's page. */
  record PersonPage(
      PersonLine person,
      RoutineJson routine,
      Instant now,
      LocalDate today,
      List<LimitState> limits,
      List<TestLine> tests,
      List<ReactionLine> reactions,
      String ifItReacts,
      List<SuitsLine> suits,
      List<DoseLine> doses,
      List<UseLine> uses) {}

  /** Everybody. */
  record PeopleView(LocalDate today, List<PersonLine> people) {}

  /** A head and a bottle. */
  record HeadOfBottle(
      UUID person, String name, SlotKind slot, boolean well, List<LimitJson> limits) {}

  /**
   * A test on the arm, told.
   *
   * @param material its id
   * @param hoursAgo when it began; now where nobody says
   */
  record TestForm(
      @NotNull(message = "Say what is tested.") @Size(max = 80, message = "At most 80 characters.")
          String material,
      @Nullable Double hoursAgo) {}

  /** What came of a test; missing opens it again. */
  record TestResultForm(
      @NotNull(message = "Say which version you saw.") Long version,
      PatchTest.@Nullable Result result) {}

  /**
   * Skin that answered, told.
   *
   * @param bottle what it answered to; or the name of something bought
   */
  record ReactionForm(
      @Nullable UUID bottle,
      @Nullable @Size(max = 80, message = "At most 80 characters.") String name,
      @NotNull(message = "Say what was seen.") Reaction.Sign sign,
      @Nullable Double hoursAgo) {}
}
