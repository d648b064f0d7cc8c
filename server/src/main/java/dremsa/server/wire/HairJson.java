package dremsa.server.wire;

import dremsa.core.people.AgeBand;
import dremsa.core.people.Condition;
import dremsa.core.people.Family;
import dremsa.core.people.Hair;
import dremsa.core.people.InvalidPersonException;
import dremsa.core.people.PatchTest;
import dremsa.core.people.Person;
import dremsa.core.people.Porosity;
import dremsa.core.people.Rate;
import dremsa.core.people.Reaction;
import dremsa.core.people.Unsuited;
import dremsa.core.people.Worn;
import dremsa.core.scale.Dose;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What is told of somebody beside the name, as it is asked and as it is kept. Everything may be
 * left open.
 *
 * @param age ADULT where nobody says
 * @param born the year, instead of the age; the age then grows by itself
 * @param stretchedCm length drawn straight
 * @param unstretchedCm length as it falls
 * @param reaches how far it comes, where nobody measured it
 * @param light coloured, grey or light
 * @param unsuited what must not come on this head
 * @param ownProtein a figure of their own instead of ours
 */
public record HairJson(
    @Nullable AgeBand age,
    @Nullable Integer born,
    @Nullable Double stretchedCm,
    @Nullable Double unstretchedCm,
    Hair.@Nullable Reach reaches,
    Dose.@Nullable Density density,
    Hair.@Nullable Strand strand,
    @Nullable Porosity porosity,
    Hair.@Nullable Pattern pattern,
    Hair.@Nullable Scalp scalp,
    @Nullable Boolean light,
    @Nullable @Valid WornJson worn,
    @Nullable @Size(max = 3, message = "At most 3.") List<Condition> conditions,
    @Nullable @Valid @Size(max = Person.MOST_UNSUITED, message = "At most 40.")
        List<UnsuitedJson> unsuited,
    @Nullable @Valid RateJson ownProtein,
    @Nullable @Valid RateJson ownSpirit) {

  /** Nothing is known. */
  public static final HairJson NOTHING =
      new HairJson(
          null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
          null);

  /** How it is worn. */
  public record WornJson(
      Worn.@Nullable Style style, @Nullable LocalDate since, @Nullable LocalDate takeDown) {
    Worn toCore() {
      return new Worn(
          style == null ? Worn.Style.LOOSE : style,
          Optional.ofNullable(since),
          Optional.ofNullable(takeDown));
    }
  }

  /**
   * What must not come on a head: one of the two.
   *
   * @param material its id
   * @param family all of it
   */
  public record UnsuitedJson(
      @Nullable @Size(max = 80, message = "At most 80 characters.") String material,
      @Nullable Family family) {}

  /** At most so often in so many days. */
  public record RateJson(double times, int days) {
    Rate toCore() {
      return new Rate(times, days);
    }
  }

  /**
   * The person of the model.
   *
   * @param at the path of this form, for problems; empty for none
   * @throws Problem at the field that cannot be
   */
  public Person toCore(
      String at,
      String id,
      String name,
      LocalDate today,
      List<PatchTest> tests,
      List<Reaction> reactions) {
    try {
      return new Person(
          id,
          name,
          band(today),
          hair(),
          worn == null ? Worn.LOOSE : InvalidPersonException.below("worn", worn::toCore),
          conditions == null ? Set.of() : Set.copyOf(conditions),
          struck(),
          rate("ownProtein", ownProtein),
          rate("ownSpirit", ownSpirit),
          tests,
          reactions);
    } catch (InvalidPersonException e) {
      boolean own = e.field().equals("name") || at.isEmpty();
      throw Problem.invalid(
          FieldProblem.of(own ? e.field() : at + "." + e.field(), null, Problem.why(e)));
    }
  }

  private AgeBand band(LocalDate today) {
    if (born == null) {
      return age == null ? AgeBand.ADULT : age;
    }
    try {
      return AgeBand.of(born, today);
    } catch (IllegalArgumentException e) {
      throw new InvalidPersonException("born", Problem.why(e));
    }
  }

  private Hair hair() {
    return new Hair(
        optional(stretchedCm),
        optional(unstretchedCm),
        Optional.ofNullable(reaches),
        density == null ? Dose.Density.USUAL : density,
        strand == null ? Hair.Strand.MEDIUM : strand,
        porosity == null ? Porosity.UNSURE : porosity,
        pattern == null ? Hair.Pattern.STRAIGHT : pattern,
        scalp == null ? Hair.Scalp.ORDINARY : scalp,
        Boolean.TRUE.equals(light));
  }

  private List<Unsuited> struck() {
    List<Unsuited> all = new ArrayList<>();
    if (unsuited != null) {
      for (int i = 0; i < unsuited.size(); i++) {
        UnsuitedJson each = unsuited.get(i);
        if (each.family() != null) {
          all.add(new Unsuited.All(each.family()));
        } else if (each.material() != null && !each.material().isBlank()) {
          all.add(new Unsuited.One(each.material()));
        } else {
          throw new InvalidPersonException("unsuited[" + i + "]", "Say a material or a family.");
        }
      }
    }
    return all;
  }

  private static OptionalDouble optional(@Nullable Double cm) {
    return cm == null ? OptionalDouble.empty() : OptionalDouble.of(cm);
  }

  private static Optional<Rate> rate(String field, @Nullable RateJson rate) {
    return rate == null
        ? Optional.empty()
        : Optional.of(InvalidPersonException.below(field, rate::toCore));
  }
}
