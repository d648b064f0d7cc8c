package dremsa.server.washdays;

import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.papers.Paper;
import dremsa.server.washdays.SheetJson.BeforeView;
import dremsa.server.washdays.SheetJson.HeadView;
import dremsa.server.washdays.SheetJson.ItemView;
import dremsa.server.washdays.SheetJson.PlaceView;
import dremsa.server.washdays.SheetJson.SheetView;
import dremsa.server.washdays.SheetJson.StepView;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Lays a wash day out on one page: what from which bottle, and what to do when. */
final class SheetPaper {
  private static final float MARGIN = 14 * Paper.MM;
  private static final float LARGEST = 10.5f;
  private static final float SMALLEST = 4.5f;

  private final Household household;
  private final SheetView sheet;

  SheetPaper(Household household, SheetView sheet) {
    this.household = household;
    this.sheet = sheet;
  }

  /** The page, in the largest type in which all of it stands on one side. */
  byte[] pdf() {
    for (float points = LARGEST; ; points -= 0.5f) {
      try (Paper paper = new Paper(Paper.A4, "Wash day " + sheet.day())) {
        paper.page();
        float end = lay(paper, points);
        if (end <= paper.size().height() - MARGIN || points <= SMALLEST) {
          return paper.bytes();
        }
      }
    }
  }

  private float lay(Paper paper, float points) {
    float width = paper.size().width() - 2 * MARGIN;
    String names = Said.and(sheet.heads().stream().map(HeadView::name).toList());
    float y = MARGIN + points * 2;
    paper.text(MARGIN, y, points * 2, Paper.Weight.HEAVY, paper.fitted(points * 2, width, names));
    y += points * 1.6f;
    paper.text(
        MARGIN,
        y,
        points,
        Paper.Weight.REGULAR,
        Said.of(
            "%s, from %s · about %s until everybody is done",
            Said.day(sheet.day()), clock(sheet.startsAt()), Said.duration(sheet.minutes())));
    y += points * 1.2f;
    paper.line(MARGIN, y, MARGIN + width, y, 1.2f);
    y += points * 0.6f;
    for (BeforeView before : sheet.before()) {
      y = line(paper, points, y, width, moment(before.at()), before.words(), false);
    }
    for (HeadView head : sheet.heads()) {
      y += points * 1.9f;
      paper.text(MARGIN, y, points * 1.2f, Paper.Weight.HEAVY, head.name() + ": what is used");
      for (PlaceView place : head.places()) {
        y = place(paper, points, y, width, place);
      }
    }
    y += points * 2;
    paper.text(MARGIN, y, points * 1.2f, Paper.Weight.HEAVY, "Do");
    for (ItemView item : sheet.order()) {
      HeadView head = sheet.heads().get(item.head());
      StepView step = head.steps().get(item.step());
      Instant at = sheet.startsAt().plusSeconds(Math.round(item.start() * 60));
      String rest =
          step.rest() == null
              ? ""
              : Said.of(
                  " Then %.0f to %.0f min, usually %.0f.",
                  step.rest().least(), step.rest().most(), step.rest().usual());
      y = line(paper, points, y, width, clock(at) + " " + head.name(), step.words() + rest, true);
    }
    y += points;
    for (String caution : sheet.cautions()) {
      y = line(paper, points, y, width, "Mind", caution, false);
    }
    return y + points;
  }

  private float place(Paper paper, float points, float top, float width, PlaceView place) {
    List<String> words = new ArrayList<>();
    place
        .portions()
        .forEach(p -> words.add(Said.of("%.0f mL of %s (%s)", p.millilitres(), p.name(), p.why())));
    if (place.portions().isEmpty() && place.bought() != null) {
      words.add(place.bought());
    }
    if (!place.without().isEmpty()) {
      words.add(place.without());
    }
    place.limits().forEach(limit -> words.add("Mind: " + limit.what()));
    return words.isEmpty()
        ? top
        : line(paper, points, top, width, place.slot().words(), String.join(" ", words), false);
  }

  private float line(
      Paper paper, float points, float top, float width, String at, String words, boolean box) {
    float column = points * 11;
    float y = top + points * 1.5f;
    if (box) {
      paper.frame(MARGIN, y - points * 0.8f, points * 0.85f, points * 0.85f, 0.8f);
    }
    float indent = box ? points * 1.5f : 0;
    paper.text(
        MARGIN + indent,
        y,
        points,
        Paper.Weight.HEAVY,
        paper.fitted(points, column - indent - points, at));
    for (String part : paper.wrapped(points, width - column, words)) {
      paper.text(MARGIN + column, y, points, Paper.Weight.REGULAR, part);
      y += points * 1.25f;
    }
    return y - points * 1.25f;
  }

  private String clock(Instant at) {
    return DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT).format(at.atZone(household.zone()));
  }

  private String moment(Instant at) {
    return DateTimeFormatter.ofPattern("EEE HH:mm", Locale.UK).format(at.atZone(household.zone()));
  }
}
