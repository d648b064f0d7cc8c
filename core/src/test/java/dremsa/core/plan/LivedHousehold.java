package dremsa.core.plan;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * Twelve weeks of a made-up household: four heads, six products that keep for 2 to 180 days, three
 * evenings a week of which one in ten is missed, yields that scatter by 8 %, thawed portions that
 * keep for 48 h, and a fridge that was warm once. What happens hangs on the dice alone, so that
 * different ways to plan live through the same days.
 */
public final class LivedHousehold {
  private static final LocalDate FIRST = LocalDate.of(2026, 3, 2);
  private static final int DAYS = 84;
  private static final double EVENING = 150;

  /** How the brews of an evening are chosen. */
  public interface Way {
    /** What is brewed this evening. */
    List<Batch> brews(World world);

    /** Whether anything is frozen at all. */
    default boolean freezes() {
      return true;
    }
  }

  /**
   * A brew.
   *
   * @param fresh so much of it is kept out of the freezer, mL
   */
  public record Batch(String formula, double millilitres, double fresh) {}

  /**
   * What came of it.
   *
   * @param thrown share of what was brewed
   * @param served share of the places
   */
  public record Record(
      double thrown, double served, int brews, int sessions, double hands, int pastDate) {}

  /** Something that stands. */
  public static final class Bottle {
    final String id;
    final String formula;
    final LocalDate from;
    final double portion;
    LocalDate last;
    double ml;

    Bottle(String id, String formula, LocalDate from, LocalDate last, double portion, double ml) {
      this.id = id;
      this.formula = formula;
      this.from = from;
      this.last = last;
      this.portion = portion;
      this.ml = ml;
    }

    Supply supply() {
      return Supply.standing(id, formula, ml, from, last, portion);
    }
  }

  /** What a way to plan can see. */
  public static final class World {
    final LocalDate today;
    final List<Bottle> bottles;
    final List<Brewable> brewables;
    final double freezerMl;
    List<Agreed> agreed;

    World(
        LocalDate today,
        List<Bottle> bottles,
        List<Brewable> brewables,
        double freezerMl,
        List<Agreed> agreed) {
      this.today = today;
      this.bottles = bottles;
      this.brewables = brewables;
      this.freezerMl = freezerMl;
      this.agreed = agreed;
    }

    Situation situation(int days) {
      return new Situation(
          today,
          days,
          brewables,
          needs(today, days),
          bottles.stream().map(Bottle::supply).toList(),
          evenings(today, days),
          agreed,
          freezerMl,
          8000,
          PlanWeights.USUAL);
    }
  }

  private final Way way;
  private final Random missed;
  private final Random yields;
  private final int warmDay;
  private final double freezerMl;
  private final List<Bottle> bottles = new ArrayList<>();
  private List<Agreed> agreed = List.of();
  private int numbers;
  private int needs;
  private int served;
  private int brews;
  private int sessions;
  private int pastDate;
  private double hands;
  private double brewedMl;
  private double thrownMl;

  private LivedHousehold(Way way, long seed, double freezerMl) {
    this.way = way;
    this.freezerMl = freezerMl;
    missed = new Random(seed);
    yields = new Random(seed + 1000);
    warmDay = 14 + new Random(seed + 2000).nextInt(56);
  }

  /** Lives twelve weeks through. */
  public static Record live(Way way, long seed, double freezerMl) {
    return new LivedHousehold(way, seed, freezerMl).live();
  }

  /** Planned anew each day, around what was agreed on. */
  public static final class Planned implements Way {
    @Override
    public List<Batch> brews(World world) {
      BrewPlan plan = Planner.first(world.situation(28));
      world.agreed = plan.agreed();
      return plan.brews().stream()
          .filter(brew -> brew.day().equals(world.today))
          .map(
              brew ->
                  new Batch(
                      brew.formula(), brew.millilitres(), brew.millilitres() - brew.frozenMl()))
          .toList();
    }
  }

  /** A pint when it runs out. */
  public static final class Pint implements Way {
    @Override
    public List<Batch> brews(World world) {
      List<Batch> all = new ArrayList<>();
      for (Brewable brewable : world.brewables) {
        double there = usable(world, brewable.formula(), world.today.plusDays(1));
        if (there < 60) {
          all.add(new Batch(brewable.formula(), 500, 500));
        }
      }
      return all;
    }

    @Override
    public boolean freezes() {
      return false;
    }
  }

  /** What is used until the evening after next; what is left over goes into the freezer. */
  public static final class Careful implements Way {
    @Override
    public List<Batch> brews(World world) {
      List<Batch> all = new ArrayList<>();
      List<Evening> coming = evenings(world.today.plusDays(1), 14);
      LocalDate until = coming.get(1).day();
      for (Brewable brewable : world.brewables) {
        double wanted =
            needs(world.today.plusDays(1), 14).stream()
                .filter(need -> !need.day().isAfter(until))
                .filter(need -> need.accepted().get(0).formula().equals(brewable.formula()))
                .mapToDouble(Need::millilitres)
                .sum();
        double there = usable(world, brewable.formula(), until);
        if (there < wanted) {
          double ml = Math.max(brewable.leastMl(), (wanted - there) * 1.05);
          all.add(new Batch(brewable.formula(), ml, wanted - there));
        }
      }
      return all;
    }
  }

  private static double usable(World world, String formula, LocalDate on) {
    return world.bottles.stream()
        .filter(bottle -> bottle.formula.equals(formula) && !bottle.last.isBefore(on))
        .mapToDouble(bottle -> bottle.ml)
        .sum();
  }

  /** An empty shelf and so many days to plan for. */
  public static Situation situation(int days, List<Agreed> agreed) {
    return new World(FIRST, List.of(), brewables(true), 3000, agreed).situation(days);
  }

  static List<Brewable> brewables(boolean freezer) {
    return List.of(
        brewable("rice-water", 2, 60, 1000, 16, freezer ? 30 : 0, 30),
        brewable("linseed-gel", 5, 75, 900, 25, freezer ? 60 : 0, 30),
        brewable("balm-spray", 6, 75, 1000, 18, freezer ? 60 : 0, 25),
        brewable("sage-rinse", 7, 150, 2000, 20, freezer ? 60 : 0, 50),
        brewable("leave-in", 60, 100, 1000, 25, 0, 0),
        brewable("nettle-oil", 180, 50, 500, 15, 0, 0));
  }

  private static Brewable brewable(
      String name, int life, double least, double most, double hands, int frozen, double portion) {
    return new Brewable(
        name,
        name,
        1,
        life,
        least,
        most,
        hands,
        hands + 20,
        frozen > 0 ? Optional.of(new Brewable.Freezing(frozen, portion)) : Optional.empty(),
        0.01);
  }

  /** Four heads with their usual days. */
  static List<Need> needs(LocalDate from, int days) {
    List<Need> all = new ArrayList<>();
    for (int i = 0; i < days; i++) {
      LocalDate day = from.plusDays(i);
      long week = Math.floorDiv(day.toEpochDay() - FIRST.toEpochDay(), 7);
      if (day.isBefore(FIRST.plusDays(3))) {
        continue;
      }
      switch (day.getDayOfWeek()) {
        case SUNDAY -> {
          need(all, day, "a", "rice-water", 60);
          need(all, day, "a", "linseed-gel", 45);
          need(all, day, "a", "balm-spray", 25);
          need(all, day, "b", "sage-rinse", 200);
          need(all, day, "b", "linseed-gel", 30);
          need(all, day, "b", "leave-in", 15);
          if (week % 2 == 0) {
            need(all, day, "c", "sage-rinse", 300);
            need(all, day, "c", "leave-in", 20);
            need(all, day, "c", "nettle-oil", 8);
          }
        }
        case WEDNESDAY -> {
          need(all, day, "a", "balm-spray", 25);
          need(all, day, "c", "balm-spray", 30);
          need(all, day, "c", "nettle-oil", 5);
        }
        case THURSDAY -> {
          need(all, day, "d", "sage-rinse", 150);
          need(all, day, "d", "linseed-gel", 30);
        }
        case FRIDAY -> need(all, day, "b", "leave-in", 15);
        default -> {}
      }
    }
    return all;
  }

  private static void need(
      List<Need> all, LocalDate day, String person, String formula, double ml) {
    all.add(
        new Need(
            day + person + formula,
            day,
            person,
            formula,
            List.of(new Need.Accepted(formula, 0)),
            ml,
            true));
  }

  /** Tuesdays, Thursdays and Saturdays. */
  static List<Evening> evenings(LocalDate from, int days) {
    List<Evening> all = new ArrayList<>();
    for (int i = 0; i < days; i++) {
      DayOfWeek day = from.plusDays(i).getDayOfWeek();
      if (day == DayOfWeek.TUESDAY || day == DayOfWeek.THURSDAY || day == DayOfWeek.SATURDAY) {
        all.add(new Evening(from.plusDays(i), EVENING));
      }
    }
    return all;
  }

  private Record live() {
    for (int i = 0; i < DAYS; i++) {
      LocalDate today = FIRST.plusDays(i);
      if (i == warmDay) {
        warm(today);
      }
      for (Need need : needs(today, 1)) {
        use(need, today);
      }
      World world =
          new World(
              today,
              List.copyOf(bottles),
              brewables(freezerMl > 0 && way.freezes()),
              freezerMl,
              agreed);
      boolean evening = !evenings(today, 1).isEmpty();
      boolean falls = evening && missed.nextInt(10) == 0 && i > 2;
      if (evening && !falls) {
        brew(world, way.brews(world));
        agreed = world.agreed;
      }
      agreed = agreed.stream().filter(each -> each.day().isAfter(today)).toList();
      throwAway(today);
    }
    return new Record(
        thrownMl / brewedMl, (double) served / needs, brews, sessions, hands, pastDate);
  }

  /** A night without current takes two days off what stands in the fridge. */
  private void warm(LocalDate today) {
    for (Bottle bottle : bottles) {
      if (bottle.portion == 0) {
        bottle.last = bottle.last.minusDays(2);
      }
    }
  }

  /** As the sheet of a wash day would have it: what goes off first, the range of the dose. */
  private void use(Need need, LocalDate today) {
    needs++;
    World world =
        new World(today, List.copyOf(bottles), brewables(freezerMl > 0), freezerMl, List.of());
    Situation now =
        new Situation(
            today,
            14,
            world.brewables,
            needs(today, 14).stream()
                .filter(other -> other.day().isAfter(today) || !before(other, need))
                .toList(),
            bottles.stream().map(Bottle::supply).toList(),
            List.of(),
            List.of(),
            freezerMl,
            8000,
            PlanWeights.USUAL);
    BrewPlan plan = Planner.judge(now, List.of());
    Map<String, Bottle> byId = new HashMap<>();
    bottles.forEach(bottle -> byId.put(bottle.id, bottle));
    boolean any = false;
    for (BrewPlan.Serving serving : plan.servings()) {
      if (!serving.need().id().equals(need.id())) {
        continue;
      }
      Bottle bottle = byId.get(serving.source().supply().orElseThrow());
      pastDate += bottle.last.isBefore(today) ? 1 : 0;
      double out = serving.millilitres();
      if (serving.thawed()) {
        out = Math.min(bottle.ml, Math.ceil(out / bottle.portion - 1e-9) * bottle.portion);
        if (out - serving.millilitres() > 0.5) {
          LocalDate last = today.plusDays(1);
          bottles.add(
              new Bottle(
                  "t" + numbers++,
                  bottle.formula,
                  today,
                  bottle.last.isBefore(last) ? bottle.last : last,
                  0,
                  out - serving.millilitres()));
        }
      }
      bottle.ml -= out;
      any = true;
    }
    served += any ? 1 : 0;
    bottles.removeIf(bottle -> bottle.ml < 0.5);
  }

  /** Needs of one day come in their order. */
  private static boolean before(Need other, Need need) {
    List<Need> all = needs(need.day(), 1);
    List<String> ids = all.stream().map(Need::id).toList();
    return ids.indexOf(other.id()) < ids.indexOf(need.id());
  }

  private void brew(World world, List<Batch> all) {
    double minutes = 0;
    for (Batch batch : all) {
      Brewable brewable =
          world.brewables.stream()
              .filter(each -> each.formula().equals(batch.formula()))
              .findFirst()
              .orElseThrow();
      if (minutes + brewable.hands() + 20 > EVENING) {
        continue;
      }
      minutes += brewable.hands();
      double scatter = 1 + 0.08 * Math.max(-2.5, Math.min(2.5, yields.nextGaussian()));
      double ml = batch.millilitres() * scatter;
      brews++;
      brewedMl += ml;
      double frozen = 0;
      if (brewable.freezing().isPresent() && way.freezes()) {
        double portion = brewable.freezing().get().portionMl();
        frozen = ml - batch.fresh() < 5 ? 0 : ml - batch.fresh();
        bottles.add(
            new Bottle(
                "f" + numbers++,
                batch.formula(),
                world.today.plusDays(1),
                world.today.plusDays(brewable.freezing().get().life()),
                portion,
                frozen));
        hands += frozen > 0 ? PlanWeights.USUAL.freeze() : 0;
      }
      bottles.add(
          new Bottle(
              "b" + numbers++,
              batch.formula(),
              world.today.plusDays(1),
              world.today.plusDays(brewable.life()),
              0,
              ml - frozen));
    }
    bottles.removeIf(bottle -> bottle.ml < 0.5);
    if (minutes > 0) {
      sessions++;
      hands += minutes + PlanWeights.USUAL.session();
    }
  }

  private void throwAway(LocalDate today) {
    for (Bottle bottle : bottles) {
      if (!bottle.last.isAfter(today)) {
        thrownMl += bottle.ml;
      }
    }
    bottles.removeIf(bottle -> !bottle.last.isAfter(today));
  }
}
