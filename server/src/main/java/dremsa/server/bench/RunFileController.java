package dremsa.server.bench;

import dremsa.core.brew.Prompt;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.bench.RunJson.EntryLine;
import dremsa.server.bench.RunJson.MomentLine;
import dremsa.server.bench.RunJson.RunView;
import dremsa.server.bench.RunJson.SpanLine;
import dremsa.server.bench.RunJson.SpanState;
import dremsa.server.bench.RunJson.StepRecord;
import dremsa.server.papers.CalendarFile;
import io.swagger.v3.oas.annotations.Hidden;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A run to take along: its readings as CSV, its coming steps as a calendar, its sheet as PDF. */
@RestController
@Hidden
@RequestMapping("/api/batches/{id}")
@Transactional(readOnly = true)
class RunFileController {
  private static final DateTimeFormatter LOCAL =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss", java.util.Locale.ROOT);

  private final RunViews views;
  private final Households households;

  RunFileController(RunViews views, Households households) {
    this.views = views;
    this.households = households;
  }

  @GetMapping("/readings.csv")
  ResponseEntity<byte[]> readings(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    RunView run = views.view(member.household(), id);
    Household household = households.of(member.household());
    StringWriter text = new StringWriter();
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader(
                "time",
                "local_time",
                "step",
                "headline",
                "kind",
                "amount",
                "unit",
                "subject",
                "words",
                "source")
            .get();
    try (CSVPrinter csv = new CSVPrinter(text, format)) {
      for (@Nullable Object[] line : lines(run, household)) {
        csv.printRecord(line);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return file(run.code() + "-readings.csv", "text/csv", text.toString());
  }

  private static List<@Nullable Object[]> lines(RunView run, Household household) {
    List<@Nullable Object[]> lines = new ArrayList<>();
    for (EntryLine e : run.log()) {
      lines.add(
          line(
              run,
              household,
              e.at(),
              e.step(),
              e.kind().name(),
              e.amount(),
              e.subject(),
              e.words(),
              e.source()));
    }
    for (int i = 0; i < run.done().size(); i++) {
      StepRecord step = run.done().get(i);
      if (step.endedAt() != null) {
        String end = step.skipped() ? "STEP_SKIPPED" : "STEP_DONE";
        lines.add(line(run, household, step.endedAt(), i, end, null, null, step.note(), "typed"));
        measured(lines, run, household, i, step);
      }
    }
    lines.sort(Comparator.comparing(line -> String.valueOf(line[0])));
    return lines;
  }

  private static void measured(
      List<@Nullable Object[]> lines,
      RunView run,
      Household household,
      int index,
      StepRecord step) {
    step.readings()
        .forEach(
            (kind, amount) ->
                lines.add(
                    line(
                        run,
                        household,
                        Objects.requireNonNull(step.endedAt()),
                        index,
                        kind.name(),
                        amount,
                        null,
                        "",
                        BatchEntry.TYPED)));
  }

  private static @Nullable Object[] line(
      RunView run,
      Household household,
      Instant at,
      int step,
      String kind,
      @Nullable Double amount,
      @Nullable String subject,
      String words,
      String source) {
    String unit =
        Arrays.stream(BatchEntry.Kind.values())
            .filter(entry -> entry.name().equals(kind))
            .map(BatchEntry.Kind::unit)
            .findFirst()
            .orElse("");
    return new Object[] {
      at,
      LOCAL.format(at.atZone(household.zone())),
      step + 1,
      run.prediction().steps().get(step).headline(),
      kind,
      amount,
      unit,
      subject,
      words,
      source
    };
  }

  /**
   * Coming steps as calendar events with alarms.
   *
   * @param now only what the present step calls for: its alarm, in one tap
   */
  @GetMapping("/steps.ics")
  ResponseEntity<byte[]> steps(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "false") boolean now) {
    RunView run = views.view(member.household(), id);
    List<CalendarFile.Event> events = new ArrayList<>();
    for (MomentLine moment : run.line().moments()) {
      if (moment.at().isAfter(run.now()) && moment.kind() != Prompt.Kind.SOON) {
        events.add(
            event(
                run,
                moment.kind() + "-" + moment.at().getEpochSecond(),
                moment.at(),
                moment.words()));
      }
    }
    for (SpanLine span : run.line().lane()) {
      if (!now && span.state() == SpanState.COMING) {
        events.add(event(run, "step-" + span.index(), span.from(), span.headline()));
      }
    }
    return file(run.code() + "-steps.ics", "text/calendar", CalendarFile.of(events, run.now()));
  }

  private static CalendarFile.Event event(RunView run, String which, Instant at, String words) {
    return new CalendarFile.Event(
        run.id() + "-" + which,
        at,
        Duration.ofMinutes(5),
        words + " – " + run.name(),
        run.code(),
        List.of(Duration.ZERO),
        null);
  }

  @GetMapping("/sheet.pdf")
  ResponseEntity<byte[]> sheet(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    RunView run = views.view(member.household(), id);
    byte[] pdf = new BrewSheet(households.of(member.household()), run).pdf();
    return answer(run.code() + "-sheet.pdf", MediaType.APPLICATION_PDF_VALUE, pdf);
  }

  private static ResponseEntity<byte[]> file(String name, String type, String text) {
    return answer(name, type + ";charset=UTF-8", text.getBytes(StandardCharsets.UTF_8));
  }

  private static ResponseEntity<byte[]> answer(String name, String type, byte[] bytes) {
    return ResponseEntity.ok()
        .header("Content-Type", type)
        .header(
            "Content-Disposition",
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(bytes);
  }
}
