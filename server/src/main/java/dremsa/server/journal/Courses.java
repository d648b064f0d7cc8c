package dremsa.server.journal;

import dremsa.core.formula.Formula;
import dremsa.core.learn.Confounder;
import dremsa.core.learn.Course;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.formulas.Formulas;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.journal.JournalJson.CourseView;
import dremsa.server.journal.JournalJson.CoursesView;
import dremsa.server.journal.JournalJson.KeptCourse;
import dremsa.server.people.People;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps courses; their ticks are what came on the head, their judgements stand in the journal. */
@Service
public class Courses {
  static final int MOST = 200;

  /** A course is written down up to so long after its first day. */
  private static final int LATE_DAYS = 60;

  private final CourseRepository repository;
  private final Journal journal;
  private final Formulas formulas;
  private final People people;
  private final Households households;
  private final Stored stored;

  Courses(
      CourseRepository repository,
      Journal journal,
      Formulas formulas,
      People people,
      Households households,
      Stored stored) {
    this.repository = repository;
    this.journal = journal;
    this.formulas = formulas;
    this.people = people;
    this.households = households;
    this.stored = stored;
  }

  /** All of a household, the newest first. */
  @Transactional(readOnly = true)
  CoursesView all(UUID id) {
    Household household = households.of(id);
    LocalDate today = households.today(household);
    Map<UUID, String> names = people.names(id);
    return new CoursesView(
        today,
        repository.findByHouseholdIdOrderByFromDayDescId(id).stream()
            .map(row -> view(household, row, names, today))
            .toList());
  }

  private CourseView view(
      Household household, CourseRow row, Map<UUID, String> names, LocalDate today) {
    Course course = course(household, row);
    return new CourseView(
        row.id(),
        row.version(),
        row.personId(),
        names.getOrDefault(row.personId(), ""),
        row.formulaId(),
        row.name(),
        course.from(),
        course.last(),
        course.everyDays(),
        List.copyOf(course.ticks(today)),
        course.wanted(today),
        row.endedAt(),
        course.beside().stream().sorted().toList(),
        course.words(today));
  }

  private Course course(Household household, CourseRow row) {
    LocalDate last = row.fromDay().plusWeeks(row.weeks());
    List<LocalDate> uses =
        people
            .onHeads(
                household,
                row.fromDay().atStartOfDay(household.zone()).toInstant(),
                last.atStartOfDay(household.zone()).toInstant())
            .stream()
            .filter(use -> use.person().equals(row.personId()))
            .filter(use -> use.formula().equals(row.formulaId()))
            .map(People.OnHead::day)
            .toList();
    Set<Confounder> beside = new TreeSet<>(stored.read(row.content(), KeptCourse.class).beside());
    List<Course.Judged> judged = new ArrayList<>();
    for (EntryRow entry : journal.ofPerson(row.householdId(), row.personId())) {
      JournalJson.KeptEntry kept = journal.kept(entry);
      kept.scores()
          .forEach(
              (criterion, score) -> judged.add(new Course.Judged(entry.day(), criterion, score)));
      if (!entry.day().isBefore(row.fromDay()) && entry.day().isBefore(last)) {
        beside.addAll(kept.beside());
      }
    }
    return new Course(
        row.name(), row.fromDay(), row.weeks(), row.everyDays(), uses, judged, beside);
  }

  /** Begins one. */
  @Transactional
  public UUID begin(
      UUID household,
      UUID person,
      String formulaId,
      @Nullable LocalDate from,
      int weeks,
      int everyDays) {
    people.get(household, person);
    Formula formula = formulas.get(household, formulaId);
    if (repository.countByHouseholdId(household) >= MOST) {
      throw Problem.conflict("There are " + MOST + " courses already.");
    }
    LocalDate today = households.today(household);
    LocalDate first = from == null ? today : from;
    if (first.isAfter(today.plusDays(LATE_DAYS)) || first.isBefore(today.minusDays(LATE_DAYS))) {
      throw Problem.invalid(FieldProblem.of("from", first, "Begin it within two months of today."));
    }
    if (everyDays > weeks * 7) {
      throw Problem.invalid(
          FieldProblem.of("everyDays", everyDays, "That is longer than the course."));
    }
    return repository
        .saveAndFlush(
            new CourseRow(
                household,
                person,
                formula.id(),
                formula.name(),
                first,
                weeks,
                everyDays,
                stored.write(new KeptCourse(List.of()))))
        .id();
  }

  /** Says what else changed, and whether it is over. */
  @Transactional
  void change(
      UUID household, UUID id, long version, List<Confounder> beside, boolean over, Instant now) {
    CourseRow row = row(household, id);
    if (row.version() != version) {
      throw Problem.conflict("Somebody was quicker. Look at the course again.");
    }
    row.says(stored.write(new KeptCourse(beside.stream().distinct().sorted().toList())));
    row.ended(over ? now : null);
    repository.saveAndFlush(row);
  }

  /** Takes one away. */
  @Transactional
  public void remove(UUID household, UUID id) {
    repository.delete(row(household, id));
    repository.flush();
  }

  private CourseRow row(UUID household, UUID id) {
    return repository
        .findByIdAndHouseholdId(id, household)
        .orElseThrow(() -> Problem.notFound("course"));
  }
}
