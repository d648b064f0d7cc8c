package dremsa.server.shelf;

import dremsa.core.check.Ending;
import dremsa.core.keep.Freshness;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.bench.BatchRecord;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.history.Told;
import dremsa.server.http.BaseAddress;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Prints labels; a date that was printed once never moves later. */
@RestController
@RequestMapping("/api/labels")
@Transactional
class LabelController {
  private static final int LONGEST_NAME = 80;
  private static final String TOO_LONG = "A name on a label has at most 80 characters.";

  private final Shelf shelf;
  private final Judging judging;
  private final Households households;
  private final History history;
  private final BaseAddress base;

  LabelController(
      Shelf shelf, Judging judging, Households households, History history, BaseAddress base) {
    this.shelf = shelf;
    this.judging = judging;
    this.households = households;
    this.history = history;
    this.base = base;
  }

  /**
   * Labels to print.
   *
   * @param skip places of the sheet that are used already
   * @param name instead of the brew's own; for one label
   */
  record Labels(
      @NotNull(message = "Say which bottles.")
          @Size(min = 1, max = 200, message = "1 to 200 labels at once.")
          List<UUID> bottles,
      @NotNull(message = "Say which sheet.") LabelSheet.Format format,
      @Range(min = 0, max = 100, message = "0 to 100 places.") @Nullable Integer skip,
      @Size(max = LONGEST_NAME, message = TOO_LONG) @Nullable String name) {}

  /** A sheet of labels: its places and the shape of one, width through height. */
  record Sheet(LabelSheet.Format format, String words, int columns, int rows, double shape) {
    static Sheet of(LabelSheet.Format format) {
      return new Sheet(format, format.words(), format.columns(), format.rows(), format.shape());
    }
  }

  @Operation(summary = "The sheets that labels are printed on")
  @GetMapping("/sheets")
  List<Sheet> sheets() {
    return Arrays.stream(LabelSheet.Format.values()).map(Sheet::of).toList();
  }

  @Operation(summary = "A label as it will print; prints and keeps nothing")
  @GetMapping(path = "/seen", produces = MediaType.IMAGE_PNG_VALUE)
  @Transactional(readOnly = true)
  byte[] seen(
      @AuthenticationPrincipal Member member,
      @RequestParam UUID bottle,
      @RequestParam LabelSheet.Format format,
      @RequestParam(required = false) @Nullable String name,
      HttpServletRequest request) {
    if (name != null && name.length() > LONGEST_NAME) {
      throw Problem.invalid(FieldProblem.of("name", null, TOO_LONG));
    }
    Household household = households.of(member.household());
    Bottle asked = shelf.get(household.id(), bottle);
    BatchRecord batch = judging.known(asked).batch();
    return LabelSheet.picture(label(household, asked, batch, name, base.of(request)), format);
  }

  @PostMapping(produces = MediaType.APPLICATION_PDF_VALUE)
  byte[] print(
      @AuthenticationPrincipal Member member,
      @Valid @RequestBody Labels form,
      HttpServletRequest request) {
    Household household = households.of(member.household());
    Instant now = households.now(household);
    String where = base.of(request);
    List<Bottle> bottles = asked(household, form);
    List<LabelSheet.Label> labels = new ArrayList<>();
    Judging.Round round = judging.round(household.id(), bottles);
    for (Bottle bottle : bottles) {
      Judging.Known known = round.known(bottle);
      bottle.printed();
      history.note(
          household.id(),
          bottle.batchId(),
          bottle.id(),
          now,
          Happening.Kind.LABELLED,
          null,
          new Told.Labelled(bottle.lastDay()));
      round.saved(bottle, now);
      labels.add(label(household, bottle, known.batch(), form.name(), where));
    }
    int skip = form.skip() == null ? 0 : form.skip();
    return LabelSheet.pdf(labels, form.format(), skip);
  }

  /** The bottles asked for; what must be thrown away gets no label. */
  private List<Bottle> asked(Household household, Labels form) {
    List<Bottle> bottles = new ArrayList<>();
    LocalDate today = households.today(household);
    for (int i = 0; i < form.bottles().size(); i++) {
      Bottle bottle = shelf.get(household.id(), form.bottles().get(i));
      String why =
          bottle.status() != Bottle.Status.STANDING
              ? "This bottle is gone already."
              : Freshness.of(bottle.lastDay(), today) == Freshness.OVER
                  ? "This bottle must be thrown away: it gets no label."
                  : "";
      if (!why.isEmpty()) {
        throw Problem.invalid(FieldProblem.of("bottles[" + i + "]", bottle.id(), why));
      }
      bottles.add(bottle);
    }
    return bottles;
  }

  private static LabelSheet.Label label(
      Household household, Bottle bottle, BatchRecord batch, @Nullable String name, String base) {
    return new LabelSheet.Label(
        name == null || name.isBlank() ? bottle.name() : name.strip(),
        batch.code() + "/" + bottle.number(),
        household.day(bottle.filledAt()),
        bottle.lastDay(),
        bottle.useNow(),
        bottle.marked(),
        bottle.place(),
        contents(batch),
        batch.marks().stream().map(Ending.Mark::brief).collect(Collectors.joining(", ")),
        batch.override() == null
            ? ""
            : "Against a warning: "
                + batch.override().what()
                + " Because: "
                + batch.override().reason()
                + ".",
        base + "/keep/" + bottle.id());
  }

  /** Common and INCI names, the most by weight first. */
  private static String contents(BatchRecord batch) {
    record Part(String words, double grams) {}
    List<Part> parts = new ArrayList<>();
    for (int i = 0; i < batch.brew().materials().size(); i++) {
      var material = batch.brew().materials().get(i);
      double grams =
          batch
              .prediction()
              .amounts()
              .getOrDefault(batch.brew().formula().ingredients().get(i).key(), 0.0);
      String inci = material.inci().isBlank() ? "" : " (" + material.inci() + ")";
      parts.add(new Part(material.name() + inci, grams));
    }
    return parts.stream()
        .sorted(Comparator.comparingDouble(Part::grams).reversed())
        .map(Part::words)
        .collect(Collectors.joining(", "));
  }
}
