package dremsa.server.shelf;

import dremsa.core.check.Ending;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import dremsa.server.bench.BatchRecord;
import dremsa.server.history.Happening;
import dremsa.server.history.History;
import dremsa.server.history.Told;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.validator.constraints.Range;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Prints labels; a date that was printed once never moves later. */
@RestController
@RequestMapping("/api/labels")
@Transactional
class LabelController {
  private static final int LONGEST_NAME = 80;

  private final Shelf shelf;
  private final Judging judging;
  private final Households households;
  private final History history;
  private final String baseAddress;

  LabelController(
      Shelf shelf,
      Judging judging,
      Households households,
      History history,
      @Value("${dremsa.base-address:}") String baseAddress) {
    this.shelf = shelf;
    this.judging = judging;
    this.households = households;
    this.history = history;
    this.baseAddress = baseAddress;
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
      @Size(max = LONGEST_NAME, message = "A name on a label has at most 80 characters.")
          @Nullable String name) {}

  @PostMapping(produces = MediaType.APPLICATION_PDF_VALUE)
  byte[] print(
      @AuthenticationPrincipal Member member,
      @Valid @RequestBody Labels form,
      HttpServletRequest request) {
    Household household = households.of(member.household());
    Instant now = households.now(household);
    String base =
        baseAddress.isBlank()
            ? request.getScheme() + "://" + request.getServerName() + ":" + request.getServerPort()
            : baseAddress;
    List<Bottle> bottles = new ArrayList<>();
    for (int i = 0; i < form.bottles().size(); i++) {
      Bottle bottle = shelf.get(household.id(), form.bottles().get(i));
      if (bottle.status() != Bottle.Status.STANDING) {
        throw Problem.invalid(
            FieldProblem.of("bottles[" + i + "]", bottle.id(), "This bottle is gone already."));
      }
      bottles.add(bottle);
    }
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
      labels.add(label(household, bottle, known.batch(), form.name(), base));
    }
    int skip = form.skip() == null ? 0 : form.skip();
    return LabelSheet.pdf(labels, form.format(), skip);
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
