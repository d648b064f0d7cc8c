package dremsa.server.demo;

import dremsa.core.formula.Purpose;
import dremsa.core.people.AgeBand;
import dremsa.core.people.Condition;
import dremsa.core.people.Family;
import dremsa.core.people.Hair;
import dremsa.core.people.Occasion;
import dremsa.core.people.PatchTest;
import dremsa.core.people.Porosity;
import dremsa.core.people.Reaction;
import dremsa.core.people.Repeat;
import dremsa.core.people.Routine;
import dremsa.core.people.Slot;
import dremsa.core.people.SlotKind;
import dremsa.core.people.Worn;
import dremsa.core.scale.Dose;
import dremsa.server.people.People;
import dremsa.server.washdays.WashDays;
import dremsa.server.wire.HairJson;
import dremsa.server.wire.HairJson.UnsuitedJson;
import dremsa.server.wire.HairJson.WornJson;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The four heads of the plot: grey and fine, cropped and dry, long and thick, small and braided.
 */
@Component
class DemoPeople {
  /** Their routines are so old. */
  private static final int WEEKS = 13;

  private static final LocalTime MORNING = LocalTime.of(10, 0);
  private static final LocalTime EVENING = LocalTime.of(19, 0);

  private final People people;
  private final WashDays washDays;

  DemoPeople(People people, WashDays washDays) {
    this.people = people;
    this.washDays = washDays;
  }

  /** Whose head something is used on, and as what. */
  record Head(UUID person, Purpose purpose) {}

  /** The heads, by name, and what each of them uses. */
  record Heads(UUID maeve, UUID idris, UUID noor, UUID tully) {
    /** Who uses a brew: dice decide among those who like it. */
    Head of(String formula, Random dice) {
      return switch (formula) {
        case "lemon-balm-spray" -> new Head(dice.nextInt(3) == 0 ? maeve : tully, Purpose.LEAVE_IN);
        case "fennel-seed-rinse" -> new Head(dice.nextInt(3) == 0 ? tully : noor, Purpose.RINSE);
        case "linseed-gel" -> new Head(dice.nextInt(4) == 0 ? idris : noor, Purpose.STYLER);
        case "nettle-powder-spray" -> new Head(idris, Purpose.SCALP);
        case "birch-sage-decoction" -> new Head(idris, Purpose.RINSE);
        case "calendula-oil" -> new Head(dice.nextInt(2) == 0 ? tully : noor, Purpose.OIL);
        case "rice-water" -> new Head(noor, Purpose.RINSE);
        default -> new Head(maeve, Purpose.LEAVE_IN);
      };
    }
  }

  /** They come to live there. */
  Heads moveIn(UUID household, Instant now) {
    LocalDate today = now.atZone(DemoHistory.ZONE).toLocalDate();
    LocalDate first = today.minusWeeks(WEEKS).with(TemporalAdjusters.nextOrSame(DayOfWeek.SUNDAY));
    Heads heads =
        new Heads(
            add(household, "Maeve", maeve(), maeveDoes(first), now.minus(Duration.ofDays(150))),
            add(household, "Idris", idris(), idrisDoes(first), now.minus(Duration.ofDays(149))),
            add(household, "Noor", noor(), noorDoes(first), now.minus(Duration.ofDays(148))),
            add(
                household,
                "Tully",
                tully(today),
                tullyDoes(first, today),
                now.minus(Duration.ofDays(147))));
    return heads;
  }

  private UUID add(UUID household, String name, HairJson told, Routine routine, Instant at) {
    UUID id = people.add(household, name, told, false, at);
    people.keepTo(household, id, 0, routine, at);
    return id;
  }

  private static HairJson hair(
      AgeBand age,
      double stretched,
      @Nullable Double unstretched,
      Dose.Density density,
      Hair.Strand strand,
      Porosity porosity,
      Hair.Pattern pattern,
      Hair.Scalp scalp,
      boolean light,
      WornJson worn,
      List<Condition> conditions,
      List<UnsuitedJson> unsuited) {
    return new HairJson(
        age,
        null,
        stretched,
        unstretched,
        null,
        density,
        strand,
        porosity,
        pattern,
        scalp,
        light,
        worn,
        conditions,
        unsuited,
        null,
        null);
  }

  private static WornJson loose() {
    return new WornJson(Worn.Style.LOOSE, null, null);
  }

  private static HairJson maeve() {
    return hair(
        AgeBand.ADULT,
        46,
        null,
        Dose.Density.FINE,
        Hair.Strand.FINE,
        Porosity.LOW,
        Hair.Pattern.STRAIGHT,
        Hair.Scalp.SENSITIVE,
        true,
        loose(),
        List.of(Condition.ASTHMA),
        List.of(new UnsuitedJson(null, Family.ALOE)));
  }

  private static HairJson idris() {
    return hair(
        AgeBand.ADULT,
        6,
        3.5,
        Dose.Density.DENSE,
        Hair.Strand.COARSE,
        Porosity.NORMAL,
        Hair.Pattern.COILED,
        Hair.Scalp.DRY,
        false,
        loose(),
        List.of(),
        List.of());
  }

  private static HairJson noor() {
    return hair(
        AgeBand.FROM_13,
        64,
        48.0,
        Dose.Density.DENSE,
        Hair.Strand.MEDIUM,
        Porosity.HIGH,
        Hair.Pattern.CURLY,
        Hair.Scalp.ORDINARY,
        false,
        loose(),
        List.of(),
        List.of(new UnsuitedJson("coconut-oil", null)));
  }

  private static HairJson tully(LocalDate today) {
    return hair(
        AgeBand.FROM_3,
        28,
        11.0,
        Dose.Density.USUAL,
        Hair.Strand.FINE,
        Porosity.HIGH,
        Hair.Pattern.TIGHTLY_COILED,
        Hair.Scalp.ORDINARY,
        false,
        new WornJson(Worn.Style.CORNROWS, today.minusDays(12), today.plusDays(9)),
        List.of(),
        List.of());
  }

  private static Occasion occasion(
      String key,
      Occasion.Kind kind,
      String name,
      LocalDate first,
      String rule,
      @Nullable LocalDate last,
      LocalTime time,
      Slot... slots) {
    return new Occasion(
        key,
        kind,
        name,
        new Repeat.ByRule(first, rule, Optional.ofNullable(last)),
        time,
        List.of(slots));
  }

  private static Slot liked(SlotKind kind, String... formulas) {
    return new Slot(
        kind, java.util.Arrays.stream(formulas).<Slot.Choice>map(Slot.Choice.Brewed::new).toList());
  }

  private static Slot bought(SlotKind kind, String name) {
    return new Slot(kind, List.of(new Slot.Choice.Bought(name)));
  }

  private static Routine maeveDoes(LocalDate first) {
    return new Routine(
        List.of(
            occasion(
                "wash",
                Occasion.Kind.WASH_DAY,
                "Wash day",
                first,
                "FREQ=WEEKLY;BYDAY=WE,SU",
                null,
                MORNING,
                bought(SlotKind.SHAMPOO, "the mild one in the blue bottle"),
                bought(SlotKind.CONDITION, "a little plain conditioner"),
                liked(SlotKind.LEAVE_IN, "lemon-balm-spray", "calendula-water"),
                Slot.of(SlotKind.DRY))));
  }

  private static Routine idrisDoes(LocalDate first) {
    return new Routine(
        List.of(
            occasion(
                "wash",
                Occasion.Kind.WASH_DAY,
                "Wash day",
                first,
                "FREQ=WEEKLY;BYDAY=SU",
                null,
                MORNING,
                bought(SlotKind.SHAMPOO, "bar of soap"),
                liked(SlotKind.RINSE, "birch-sage-decoction", "fennel-seed-rinse"),
                liked(SlotKind.STYLER, "linseed-gel"),
                Slot.of(SlotKind.DRY)),
            occasion(
                "scalp",
                Occasion.Kind.MIDWEEK,
                "Scalp evening",
                first,
                "FREQ=WEEKLY;BYDAY=TH",
                null,
                EVENING,
                liked(SlotKind.SCALP, "nettle-powder-spray"))));
  }

  private static Routine noorDoes(LocalDate first) {
    Occasion wash =
        occasion(
            "wash",
            Occasion.Kind.WASH_DAY,
            "Wash day",
            first,
            "FREQ=WEEKLY;BYDAY=SU",
            null,
            MORNING,
            Slot.of(SlotKind.DETANGLE),
            bought(SlotKind.SHAMPOO, "shampoo for curls"),
            bought(SlotKind.CONDITION, "conditioner for curls"),
            liked(SlotKind.RINSE, "fennel-seed-rinse"),
            liked(SlotKind.STYLER, "linseed-gel"),
            liked(SlotKind.SEAL, "calendula-oil"),
            Slot.of(SlotKind.DRY));
    Occasion protein =
        new Occasion(
            "grain",
            Occasion.Kind.WASH_DAY,
            "Grain water",
            new Repeat.With("wash", 2, first),
            MORNING.plusHours(1),
            List.of(liked(SlotKind.RINSE, "rice-water", "barley-ferment")));
    return new Routine(List.of(wash, protein));
  }

  private static Routine tullyDoes(LocalDate first, LocalDate today) {
    return new Routine(
        List.of(
            occasion(
                "wash",
                Occasion.Kind.WASH_DAY,
                "Wash day",
                first,
                "FREQ=WEEKLY;INTERVAL=2;BYDAY=SU",
                null,
                MORNING,
                bought(SlotKind.SHAMPOO, "baby shampoo"),
                bought(SlotKind.CONDITION, "conditioner for curls"),
                liked(SlotKind.RINSE, "fennel-seed-rinse"),
                Slot.of(SlotKind.DRY)),
            occasion(
                "braids",
                Occasion.Kind.BETWEEN_BRAIDS,
                "Between the braids",
                first,
                "FREQ=WEEKLY;BYDAY=TU,FR",
                today.plusDays(9),
                EVENING,
                liked(SlotKind.BETWEEN_BRAIDS, "lemon-balm-spray"),
                liked(SlotKind.SCALP_OIL, "calendula-oil"))));
  }

  /** What is told of the last months beside what was used: wash days, a test, a reaction. */
  void tell(UUID household, Heads heads, Instant now) {
    LocalDate today = now.atZone(DemoHistory.ZONE).toLocalDate();
    Random dice = new Random(17);
    for (UUID person : List.of(heads.maeve(), heads.idris(), heads.noor(), heads.tully())) {
      Routine routine = people.get(household, person).routine();
      for (Occasion occasion : routine.occasions()) {
        if (occasion.repeat() instanceof Repeat.ByRule rule) {
          for (LocalDate day : rule.between(rule.first(), today.minusDays(1), List.of())) {
            // A maker misses days.
            if (dice.nextInt(9) > 0) {
              Instant at = day.atTime(occasion.time()).atZone(DemoHistory.ZONE).toInstant();
              washDays.wasDone(household, person, occasion, day, at);
            }
          }
        }
      }
    }
    UUID seen =
        people.test(household, heads.maeve(), "nettle-powder", now.minus(Duration.ofDays(40)), now);
    people.testSeen(household, seen, 0, PatchTest.Result.NOTHING, now);
    people.test(household, heads.maeve(), "linseed", now.minus(Duration.ofHours(20)), now);
    people.reacted(
        household,
        heads.maeve(),
        new Reaction(
            now.minus(Duration.ofDays(33)),
            Optional.of("birch-sage-decoction"),
            "Birch and sage decoction",
            Set.of("birch-leaf", "sage"),
            Reaction.Sign.IRRITATION),
        now);
  }
}
