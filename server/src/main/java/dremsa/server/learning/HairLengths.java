package dremsa.server.learning;

import dremsa.core.learn.HeadSection;
import dremsa.core.learn.Lengths;
import dremsa.core.learn.Shrinkage;
import dremsa.server.accounts.Household;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.learning.LengthJson.CutView;
import dremsa.server.learning.LengthJson.EdgeView;
import dremsa.server.learning.LengthJson.LengthsView;
import dremsa.server.learning.LengthJson.ReadingView;
import dremsa.server.learning.LengthJson.SectionView;
import dremsa.server.people.People;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps how long hair was, and asks the model what that says. */
@Service
public class HairLengths {
  /** Longest hair that is believed, cm. */
  private static final double MOST_CM = 300;

  /** Once a day for two years, on one head. */
  static final int MOST = 3000;

  private final LengthRepository repository;
  private final People people;

  HairLengths(LengthRepository repository, People people) {
    this.repository = repository;
    this.people = people;
  }

  /** All of somebody. */
  @Transactional(readOnly = true)
  public LengthsView of(Household household, UUID person, Instant now) {
    People.Known known = people.get(household.id(), person);
    List<LengthRow> rows =
        repository.findByHouseholdIdAndPersonIdOrderByDay(household.id(), person);
    List<LengthRow> cuts = rows.stream().filter(row -> row.cm() == null).toList();
    List<LocalDate> cut = cuts.stream().map(LengthRow::day).toList();
    List<SectionView> sections = new ArrayList<>();
    for (HeadSection section : HeadSection.values()) {
      List<LengthRow> mine = rows.stream().filter(row -> row.section() == section).toList();
      if (!mine.isEmpty()) {
        sections.add(section(section, mine, cut));
      }
    }
    return new LengthsView(
        person,
        known.person().name(),
        household.day(now),
        sections,
        cuts.stream().map(row -> new CutView(row.id(), row.day())).toList());
  }

  private static SectionView section(
      HeadSection section, List<LengthRow> rows, List<LocalDate> cuts) {
    Lengths.Growth growth =
        Lengths.of(
            rows.stream()
                .map(row -> new Lengths.Reading(row.day(), Objects.requireNonNull(row.cm())))
                .toList(),
            cuts);
    return new SectionView(
        section,
        growth.words(),
        growth.settled(),
        growth.doubtful().map(Lengths.Reading::day).orElse(null),
        rows.stream()
            .map(
                row ->
                    new ReadingView(
                        row.id(),
                        row.day(),
                        Objects.requireNonNull(row.cm()),
                        row.looseCm(),
                        row.withProduct()))
            .toList(),
        growth.lines().stream().map(line -> line.stream().map(EdgeView::of).toList()).toList(),
        shrinkage(rows));
  }

  private static List<String> shrinkage(List<LengthRow> rows) {
    List<Shrinkage.Reading> loose = new ArrayList<>();
    for (LengthRow row : rows) {
      Double stretched = row.cm();
      Double left = row.looseCm();
      if (stretched != null && left != null) {
        loose.add(
            new Shrinkage.Reading(
                row.day(), stretched, left, Objects.requireNonNullElse(row.withProduct(), "")));
      }
    }
    return Shrinkage.of(loose).stream().map(Shrinkage::words).toList();
  }

  /** A reading more. */
  @Transactional
  public void read(
      Household household,
      UUID person,
      @Nullable LocalDate day,
      HeadSection section,
      double cm,
      Instant now) {
    read(household, person, day, section, cm, null, null, now);
  }

  /**
   * A reading more, with how long it is left to itself.
   *
   * @param looseCm null where it was not measured
   * @param product that was on it; null without one
   */
  @Transactional
  public void read(
      Household household,
      UUID person,
      @Nullable LocalDate day,
      HeadSection section,
      double cm,
      @Nullable Double looseCm,
      @Nullable String product,
      Instant now) {
    if (looseCm != null && !(looseCm > 0 && looseCm <= cm)) {
      throw Problem.invalid(
          FieldProblem.range(
              "looseCm",
              looseCm,
              "Left to itself it is at most as long as drawn straight.",
              0,
              cm));
    }
    if (!(cm > 0 && cm <= MOST_CM)) {
      throw Problem.invalid(
          FieldProblem.range("cm", cm, "Hair is longer than 0 and up to 300 cm.", 0, MOST_CM));
    }
    LocalDate on = on(household, person, day, now);
    boolean twice =
        repository.findByHouseholdIdAndPersonIdOrderByDay(household.id(), person).stream()
            .anyMatch(row -> row.section() == section && row.day().equals(on));
    if (twice) {
      throw Problem.invalid(
          FieldProblem.of(
              "day",
              on,
              "There is a length of this section on that day already. Take it back first."));
    }
    String name = product == null || product.isBlank() ? null : product.strip();
    repository.saveAndFlush(
        LengthRow.reading(household.id(), person, on, section, cm).loose(looseCm, name));
  }

  /** Something was cut off all around. */
  @Transactional
  public void cut(Household household, UUID person, @Nullable LocalDate day, Instant now) {
    LocalDate on = on(household, person, day, now);
    boolean twice =
        repository.findByHouseholdIdAndPersonIdOrderByDay(household.id(), person).stream()
            .anyMatch(row -> row.cm() == null && row.day().equals(on));
    if (!twice) {
      repository.saveAndFlush(LengthRow.cut(household.id(), person, on));
    }
  }

  private LocalDate on(Household household, UUID person, @Nullable LocalDate day, Instant now) {
    people.get(household.id(), person);
    if (repository.countByHouseholdIdAndPersonId(household.id(), person) >= MOST) {
      throw Problem.conflict("There are " + MOST + " lengths of this head already.");
    }
    LocalDate today = household.day(now);
    LocalDate on = day == null ? today : day;
    if (on.isAfter(today)) {
      throw Problem.invalid(FieldProblem.of("day", on, "That day has not come yet."));
    }
    return on;
  }

  /** Takes a reading or a cut back. */
  @Transactional
  public void takeBack(UUID household, UUID person, UUID id) {
    LengthRow row =
        repository
            .findByIdAndHouseholdId(id, household)
            .filter(found -> found.personId().equals(person))
            .orElseThrow(() -> Problem.notFound("length"));
    repository.delete(row);
    repository.flush();
  }
}
