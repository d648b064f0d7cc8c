package dremsa.server.washdays;

import dremsa.core.people.Ahead;
import dremsa.core.people.Occasion;
import dremsa.core.people.Sheet;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import dremsa.server.people.People;
import dremsa.server.washdays.SheetJson.BeforeView;
import dremsa.server.washdays.SheetJson.HeadForm;
import dremsa.server.washdays.SheetJson.HeadView;
import dremsa.server.washdays.SheetJson.ItemView;
import dremsa.server.washdays.SheetJson.SheetForm;
import dremsa.server.washdays.SheetJson.SheetView;
import dremsa.server.washdays.SheetJson.WishForm;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Draws the sheet of a wash day up. */
@Component
class Sheets {
  private static final double MOST_ML = 5000;

  private final WashDays washDays;
  private final People people;
  private final Households households;

  Sheets(WashDays washDays, People people, Households households) {
    this.washDays = washDays;
    this.people = people;
    this.households = households;
  }

  /**
   * A sheet, worked out.
   *
   * @param startsAt when it begins
   */
  record Made(Sheet sheet, Instant startsAt, SheetView view) {}

  /** The sheet of a form. */
  Made of(UUID household, SheetForm form, Instant now) {
    Household keeper = households.of(household);
    LocalDate today = keeper.day(now);
    if (form.day().isBefore(today) || form.day().isAfter(today.plusDays(Ahead.FURTHEST))) {
      throw Problem.invalid(
          FieldProblem.of("day", form.day(), "Today, or one of the 84 days to come."));
    }
    Map<UUID, People.Known> known =
        people.all(household).stream().collect(Collectors.toMap(People.Known::id, each -> each));
    List<Sheet.Asked> asked = new ArrayList<>();
    for (int i = 0; i < form.heads().size(); i++) {
      asked.add(asked(known, form.heads().get(i), "heads[" + i + "]"));
    }
    Ahead.Surroundings at = washDays.surroundings(keeper, now);
    Instant start = start(form, asked, keeper, now);
    Sheet sheet =
        Sheet.of(
                form.day(),
                asked,
                new Sheet.Surroundings(
                    at.kitchen(), at.zone(), now, start, at.bottles(), at.coming(), at.formulas()))
            .searched();
    return new Made(sheet, start, view(sheet, form, start));
  }

  /** What day it is at the household's place. */
  LocalDate today(UUID household, Instant now) {
    return households.of(household).day(now);
  }

  /** Which heads of a form are still there with their occasions, by their numbers. */
  List<Integer> known(UUID household, SheetForm form) {
    Map<UUID, People.Known> known =
        people.all(household).stream().collect(Collectors.toMap(People.Known::id, each -> each));
    return IntStream.range(0, form.heads().size())
        .filter(
            i -> {
              HeadForm head = form.heads().get(i);
              People.Known person = known.get(head.person());
              return person != null && person.routine().occasion(head.occasion()).isPresent();
            })
        .boxed()
        .toList();
  }

  private static Sheet.Asked asked(Map<UUID, People.Known> known, HeadForm head, String place) {
    People.Known person =
        Optional.ofNullable(known.get(head.person()))
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of(
                            place + ".person", head.person(), "There is nobody like that here.")));
    Occasion occasion =
        person
            .routine()
            .occasion(head.occasion())
            .orElseThrow(
                () ->
                    Problem.invalid(
                        FieldProblem.of(
                            place + ".occasion", head.occasion(), "There is no such occasion.")));
    Map<Integer, Sheet.Wish> wishes = new LinkedHashMap<>();
    List<WishForm> told = Optional.ofNullable(head.wishes()).orElse(List.of());
    for (int i = 0; i < told.size(); i++) {
      WishForm wish = told.get(i);
      Double ml = wish.millilitres();
      if (ml != null && !(ml > 0 && ml <= MOST_ML)) {
        throw Problem.invalid(
            FieldProblem.range(
                place + ".wishes[" + i + "].millilitres",
                String.valueOf(ml),
                "Above 0 and up to 5 L.",
                0,
                MOST_ML));
      }
      wishes.put(
          wish.place(),
          new Sheet.Wish(
              Optional.ofNullable(wish.bottle()).map(UUID::toString),
              Boolean.TRUE.equals(wish.leftOut()),
              ml == null ? OptionalDouble.empty() : OptionalDouble.of(ml)));
    }
    return new Sheet.Asked(person.person(), occasion, person.uses(), wishes);
  }

  private static Instant start(
      SheetForm form, List<Sheet.Asked> asked, Household keeper, Instant now) {
    if (form.startsAt() != null) {
      return form.startsAt();
    }
    Instant usual =
        asked.stream()
            .map(each -> each.occasion().time())
            .min(java.util.Comparator.naturalOrder())
            .map(time -> form.day().atTime(time).atZone(keeper.zone()).toInstant())
            .orElse(now);
    return usual.isBefore(now) ? now : usual;
  }

  private static SheetView view(Sheet sheet, SheetForm form, Instant start) {
    return new SheetView(
        sheet.day(),
        start,
        IntStream.range(0, sheet.heads().size())
            .mapToObj(i -> HeadView.of(sheet.heads().get(i), form.heads().get(i).planned()))
            .toList(),
        sheet.before().stream().map(BeforeView::of).toList(),
        sheet.order().items().stream().map(ItemView::of).toList(),
        sheet.order().minutes(),
        sheet.cautions());
  }
}
