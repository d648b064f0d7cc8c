package dremsa.server.journal;

import dremsa.core.learn.Criterion;
import dremsa.core.learn.Mean;
import dremsa.core.material.Materials;
import dremsa.core.material.OtherNames;
import dremsa.core.measure.Said;
import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.bench.Runs;
import dremsa.server.journal.JournalJson.EntryView;
import dremsa.server.journal.JournalJson.JournalPage;
import dremsa.server.journal.JournalJson.JournalView;
import dremsa.server.journal.JournalJson.MeanView;
import dremsa.server.journal.JournalJson.PageKind;
import dremsa.server.journal.JournalJson.PhotoLine;
import dremsa.server.journal.JournalJson.ScoredView;
import dremsa.server.journal.JournalJson.TimelinePoint;
import dremsa.server.journal.JournalJson.TimelineView;
import dremsa.server.people.People;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lays the pages of the journal out: what was brewed and used, with what was said of it. */
@Service
class JournalLayout {
  /** So many days are told at once. */
  private static final int WINDOW = 60;

  private final JournalRepository repository;
  private final HeadPhotoRepository photos;
  private final Journal journal;
  private final Runs runs;
  private final People people;
  private final Households households;

  JournalLayout(
      JournalRepository repository,
      HeadPhotoRepository photos,
      Journal journal,
      Runs runs,
      People people,
      Households households) {
    this.repository = repository;
    this.photos = photos;
    this.journal = journal;
    this.runs = runs;
    this.people = people;
    this.households = households;
  }

  /**
   * What is looked for.
   *
   * @param until the last day of the window; null for today
   * @param person whose pages; null for everybody's
   * @param formula whose batches, and days on which they were used; null for all
   * @param words that stand in it; null for any
   */
  record Look(
      @Nullable LocalDate until,
      @Nullable UUID person,
      @Nullable String formula,
      @Nullable String words) {
    boolean searches() {
      return words != null && !words.isBlank();
    }
  }

  /** The pages that are looked for. */
  @Transactional(readOnly = true)
  public JournalView of(UUID id, Look look) {
    Household household = households.of(id);
    LocalDate today = households.today(household);
    Gathered gathered =
        look.searches()
            ? found(household, Objects.requireNonNull(look.words()).strip())
            : within(household, look, today);
    LocalDate last = look.until() == null ? today : look.until();
    return new JournalView(
        today,
        gathered.pages(look),
        look.searches() ? null : last.minusDays(WINDOW),
        timelines(household, look),
        Arrays.stream(Criterion.values())
            .map(each -> new ScoredView(each, each.least(), each.most(), each.lessIsBetter()))
            .toList());
  }

  private Gathered within(Household household, Look look, LocalDate today) {
    LocalDate last = look.until() == null ? today : look.until();
    LocalDate first = last.minusDays(WINDOW - 1);
    Instant from = first.atStartOfDay(household.zone()).toInstant();
    Instant to = last.plusDays(1).atStartOfDay(household.zone()).toInstant();
    return new Gathered(
        household,
        runs.brewedBetween(household.id(), from, to),
        people.onHeads(household, from, to),
        repository.findByHouseholdIdAndDayBetweenOrderByDayDescId(household.id(), first, last),
        photos.lines(household.id(), first, last));
  }

  private Gathered found(Household household, String words) {
    List<String> names = OtherNames.of(words, Materials.standard());
    List<People.OnHead> used = by(names, name -> people.onHeadsCalled(household, name), use -> use);
    List<EntryRow> entries =
        by(names, name -> repository.saying(household.id().toString(), name), EntryRow::id);
    List<LocalDate> days =
        Stream.concat(used.stream().map(People.OnHead::day), entries.stream().map(EntryRow::day))
            .sorted()
            .toList();
    return new Gathered(
        household,
        by(names, name -> runs.called(household.id(), name), Runs.Brewed::id),
        used,
        entries,
        days.isEmpty()
            ? List.of()
            : photos.lines(household.id(), days.get(0), days.get(days.size() - 1)));
  }

  /** What is found by any of several names; what one found another does not find again. */
  private static <T> List<T> by(
      List<String> names, Function<String, List<T>> find, Function<T, Object> id) {
    List<T> all = new ArrayList<>();
    Set<Object> found = new HashSet<>();
    for (String name : names) {
      List<T> more = find.apply(name).stream().filter(t -> !found.contains(id.apply(t))).toList();
      more.forEach(each -> found.add(id.apply(each)));
      all.addAll(more);
    }
    return all;
  }

  /** What was brewed, used and written down, to be laid out as pages. */
  private final class Gathered {
    private final Household household;
    private final List<Runs.Brewed> brewed;
    private final List<People.OnHead> used;
    private final List<EntryRow> entries;
    private final List<HeadPhotoRepository.Line> taken;
    private final Map<UUID, String> names;
    private final Map<UUID, Runs.Brewed> batches = new HashMap<>();

    Gathered(
        Household household,
        List<Runs.Brewed> brewed,
        List<People.OnHead> used,
        List<EntryRow> entries,
        List<HeadPhotoRepository.Line> taken) {
      this.taken = taken;
      this.household = household;
      this.used = used;
      this.entries = entries;
      this.names = people.names(household.id());
      List<Runs.Brewed> all = new ArrayList<>(brewed);
      Set<UUID> there =
          brewed.stream().map(Runs.Brewed::id).collect(Collectors.toCollection(LinkedHashSet::new));
      Set<UUID> missing = new LinkedHashSet<>();
      entries.forEach(
          row -> {
            if (row.batchId() != null && !there.contains(row.batchId())) {
              missing.add(row.batchId());
            }
          });
      all.addAll(runs.brewed(household.id(), missing));
      this.brewed = all;
      all.forEach(batch -> batches.put(batch.id(), batch));
    }

    List<JournalPage> pages(Look look) {
      List<JournalPage> pages = new ArrayList<>();
      Map<String, List<EntryView>> written = new HashMap<>();
      for (EntryRow row : entries) {
        written.computeIfAbsent(place(row), key -> new ArrayList<>()).add(view(row));
      }
      for (Runs.Brewed batch : brewed) {
        pages.add(batchPage(batch, written.getOrDefault(batch.id().toString(), List.of())));
      }
      Map<String, List<People.OnHead>> days = new LinkedHashMap<>();
      used.forEach(
          use ->
              days.computeIfAbsent(use.person() + "/" + use.day(), key -> new ArrayList<>())
                  .add(use));
      days.forEach((key, uses) -> pages.add(headPage(uses, written.getOrDefault(key, List.of()))));
      written.forEach(
          (key, entry) -> {
            EntryView first = entry.get(0);
            if (first.batch() == null && !days.containsKey(key)) {
              pages.add(notePage(first, entry));
            }
          });
      return pages.stream()
          .filter(page -> fits(page, look))
          .sorted(Comparator.comparing(JournalPage::day).reversed())
          .toList();
    }

    /** The page that an entry stands on: its batch's, else its day's. */
    private String place(EntryRow row) {
      return row.batchId() != null
          ? row.batchId().toString()
          : Objects.toString(row.personId(), "") + "/" + row.day();
    }

    private boolean fits(JournalPage page, Look look) {
      boolean hers =
          look.person() == null
              || look.person().equals(page.person())
              || page.entries().stream().anyMatch(entry -> look.person().equals(entry.person()));
      return hers && (look.formula() == null || isOf(page, look.formula()));
    }

    private boolean isOf(JournalPage page, String formula) {
      Runs.Brewed batch = page.batch() == null ? null : batches.get(page.batch());
      return batch != null
          ? batch.formula().equals(formula)
          : used.stream()
              .anyMatch(
                  use ->
                      use.formula().equals(formula)
                          && use.person().equals(page.person())
                          && use.day().equals(page.day()));
    }

    private JournalPage batchPage(Runs.Brewed batch, List<EntryView> entries) {
      Double ml = batch.bottledMl();
      String says =
          switch (batch.status()) {
            case "BOTTLED" -> ml == null ? "bottled" : Said.of("%.0f mL bottled", ml);
            case "RUNNING" -> "under way";
            default -> "came to no bottle";
          };
      return new JournalPage(
          PageKind.BATCH,
          batch.startedAt().atZone(household.zone()).toLocalDate(),
          batch.id(),
          batch.code(),
          null,
          batch.name(),
          says,
          entries,
          List.of());
    }

    private JournalPage headPage(List<People.OnHead> uses, List<EntryView> entries) {
      People.OnHead first = uses.get(0);
      return new JournalPage(
          PageKind.HEAD,
          first.day(),
          null,
          "",
          first.person(),
          names.getOrDefault(first.person(), ""),
          uses.stream().map(People.OnHead::name).distinct().collect(Collectors.joining(", ")),
          entries,
          photos(first.person(), first.day()));
    }

    private JournalPage notePage(EntryView first, List<EntryView> entries) {
      return new JournalPage(
          PageKind.NOTE,
          first.day(),
          null,
          "",
          first.person(),
          first.name(),
          "",
          entries,
          first.person() == null ? List.of() : photos(first.person(), first.day()));
    }

    private List<PhotoLine> photos(UUID person, LocalDate day) {
      return taken.stream()
          .filter(photo -> photo.person().equals(person) && photo.day().equals(day))
          .map(photo -> new PhotoLine(photo.id(), photo.caption()))
          .toList();
    }

    private EntryView view(EntryRow row) {
      Runs.Brewed batch = row.batchId() == null ? null : batches.get(row.batchId());
      return journal.view(row, names, batch == null ? "" : batch.code());
    }
  }

  /** How the person or formula that is looked for was scored over time. */
  private List<TimelineView> timelines(Household household, Look look) {
    List<EntryRow> rows;
    Map<UUID, Runs.Brewed> batches = new HashMap<>();
    if (look.formula() != null) {
      runs.brewedFrom(household.id(), look.formula())
          .forEach(batch -> batches.put(batch.id(), batch));
      rows =
          repository.findByHouseholdIdAndBatchIdInOrderByDayAscId(household.id(), batches.keySet());
    } else if (look.person() != null) {
      rows = repository.findByHouseholdIdAndPersonIdOrderByDayAscId(household.id(), look.person());
    } else {
      return List.of();
    }
    Map<Criterion, List<TimelinePoint>> each = new EnumMap<>(Criterion.class);
    for (EntryRow row : rows) {
      if (look.person() == null || look.person().equals(row.personId())) {
        Runs.Brewed batch = row.batchId() == null ? null : batches.get(row.batchId());
        journal
            .kept(row)
            .scores()
            .forEach(
                (criterion, score) ->
                    each.computeIfAbsent(criterion, key -> new ArrayList<>())
                        .add(
                            new TimelinePoint(
                                row.day(), score, batch == null ? "" : batch.code())));
      }
    }
    return each.entrySet().stream()
        .map(
            line ->
                new TimelineView(
                    line.getKey(),
                    line.getValue(),
                    MeanView.of(
                        Mean.of(line.getValue().stream().map(TimelinePoint::score).toList()))))
        .toList();
  }
}
