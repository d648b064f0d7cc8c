package dremsa.server.journal;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.journal.JournalJson.CourseChange;
import dremsa.server.journal.JournalJson.CourseForm;
import dremsa.server.journal.JournalJson.CoursesView;
import dremsa.server.journal.JournalJson.EntryForm;
import dremsa.server.journal.JournalJson.EntryView;
import dremsa.server.journal.JournalJson.JournalView;
import dremsa.server.journal.JournalJson.VersusView;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The journal, courses, and two versions side by side. */
@RestController
class JournalController {
  private static final int LONGEST_SEARCH = 80;

  private final Journal journal;
  private final JournalLayout pages;
  private final Courses courses;
  private final Versus versus;
  private final Households households;

  JournalController(
      Journal journal, JournalLayout pages, Courses courses, Versus versus, Households households) {
    this.journal = journal;
    this.pages = pages;
    this.courses = courses;
    this.versus = versus;
    this.households = households;
  }

  @Operation(summary = "Pages of the journal: those up to a day, or those that say something")
  @GetMapping("/api/journal")
  JournalView pages(
      @AuthenticationPrincipal Member member,
      @RequestParam(required = false) @Nullable LocalDate until,
      @RequestParam(required = false) @Nullable UUID person,
      @RequestParam(required = false) @Nullable String formula,
      @RequestParam(required = false) @Nullable String words) {
    String sought =
        words == null ? null : words.substring(0, Math.min(words.length(), LONGEST_SEARCH));
    return pages.of(member.household(), new JournalLayout.Look(until, person, formula, sought));
  }

  @Operation(summary = "What was written down of a batch")
  @GetMapping("/api/batches/{id}/journal")
  List<EntryView> ofBatch(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return journal.ofBatch(member.household(), id);
  }

  @Operation(summary = "Write something down")
  @PostMapping("/api/journal")
  WrittenView write(@AuthenticationPrincipal Member member, @Valid @RequestBody EntryForm form) {
    return new WrittenView(journal.write(member.household(), form));
  }

  /** The id of what was written down or begun. */
  record WrittenView(UUID id) {}

  @Operation(summary = "Write an entry anew")
  @PutMapping("/api/journal/{id}")
  WrittenView rewrite(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody EntryForm form) {
    journal.rewrite(member.household(), id, form);
    return new WrittenView(id);
  }

  @Operation(summary = "Take an entry away")
  @DeleteMapping("/api/journal/{id}")
  WrittenView remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    journal.remove(member.household(), id);
    return new WrittenView(id);
  }

  @Operation(summary = "Courses, and what can be told of them")
  @GetMapping("/api/courses")
  CoursesView courses(@AuthenticationPrincipal Member member) {
    return courses.all(member.household());
  }

  @Operation(summary = "Begin a course")
  @PostMapping("/api/courses")
  CoursesView begin(@AuthenticationPrincipal Member member, @Valid @RequestBody CourseForm form) {
    courses.begin(
        member.household(),
        form.person(),
        form.formula(),
        form.from(),
        form.weeks(),
        form.everyDays());
    return courses.all(member.household());
  }

  @Operation(summary = "Say what else changed during a course, and whether it is over")
  @PutMapping("/api/courses/{id}")
  CoursesView change(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody CourseChange form) {
    Household household = households.of(member.household());
    courses.change(
        household.id(), id, form.version(), form.beside(), form.over(), households.now(household));
    return courses.all(household.id());
  }

  @Operation(summary = "Take a course away")
  @DeleteMapping("/api/courses/{id}")
  CoursesView removeCourse(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    courses.remove(member.household(), id);
    return courses.all(member.household());
  }

  @Operation(summary = "Two versions of a formula, or two formulas, side by side as they came out")
  @GetMapping("/api/versus")
  VersusView versus(
      @AuthenticationPrincipal Member member,
      @RequestParam String left,
      @RequestParam(required = false) @Nullable Integer leftVersion,
      @RequestParam String right,
      @RequestParam(required = false) @Nullable Integer rightVersion) {
    return versus.of(
        member.household(),
        new Versus.Side(left, leftVersion),
        new Versus.Side(right, rightVersion));
  }
}
