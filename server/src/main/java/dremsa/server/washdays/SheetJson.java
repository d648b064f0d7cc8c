package dremsa.server.washdays;

import dremsa.core.people.Contact;
import dremsa.core.people.Sheet;
import dremsa.core.people.SlotKind;
import dremsa.core.people.WashOrder;
import dremsa.core.people.WashStep;
import dremsa.server.wire.FigureJson;
import dremsa.server.wire.LimitJson;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The forms of a wash day's sheet. */
final class SheetJson {
  /** More heads than one evening has hours for. */
  static final int MOST_HEADS = 8;

  private SheetJson() {}

  /**
   * Whose wash day a sheet is for.
   *
   * @param occasion its key in their routine
   * @param planned the day that the routine says
   */
  record HeadForm(
      @NotNull(message = "Say whose head.") UUID person,
      @NotNull(message = "Say which occasion.") @Size(max = 60, message = "At most 60 characters.")
          String occasion,
      @NotNull(message = "Say of which day.") LocalDate planned,
      @Nullable @Valid @Size(max = 40, message = "At most 40.") List<WishForm> wishes) {}

  /**
   * Something to be otherwise.
   *
   * @param place its number in the occasion, from 0
   * @param bottle this one instead of the one proposed
   * @param leftOut nothing there
   * @param millilitres so much instead of the dose
   */
  record WishForm(
      int place, @Nullable UUID bottle, @Nullable Boolean leftOut, @Nullable Double millilitres) {}

  /**
   * A sheet that is asked for.
   *
   * @param startsAt when it begins; the usual time of the day, or now, where nobody says
   */
  record SheetForm(
      @NotNull(message = "Say for which day.") LocalDate day,
      @Nullable Instant startsAt,
      @NotNull(message = "Say whose heads.")
          @Valid
          @Size(min = 1, max = MOST_HEADS, message = "One to eight heads.")
          List<HeadForm> heads) {}

  /** How long something stays on, min. */
  record ContactJson(double least, double usual, double most, String then) {
    static @Nullable ContactJson of(@Nullable Contact contact) {
      return contact == null
          ? null
          : new ContactJson(contact.least(), contact.usual(), contact.most(), contact.then());
    }
  }

  /** Some of a bottle. */
  record PortionView(UUID bottle, String name, double millilitres, double leftAfter, String why) {
    static PortionView of(Sheet.Portion portion) {
      return new PortionView(
          UUID.fromString(portion.bottle()),
          portion.name(),
          portion.millilitres(),
          portion.leftAfter(),
          portion.why());
    }
  }

  /** Another bottle that would do. */
  record OtherView(
      UUID bottle, String name, double leftMl, LocalDate lastDay, List<LimitJson> limits) {
    static OtherView of(Sheet.Other other) {
      return new OtherView(
          UUID.fromString(other.bottle()),
          other.name(),
          other.leftMl(),
          other.lastDay(),
          other.limits().stream().map(LimitJson::of).toList());
    }
  }

  /**
   * A place on a head.
   *
   * @param doseWords where the dose comes from
   * @param without why nothing, or too little, is there, and what to do; empty else
   */
  record PlaceView(
      SlotKind slot,
      @Nullable FigureJson dose,
      String doseWords,
      List<PortionView> portions,
      @Nullable ContactJson contact,
      List<LimitJson> limits,
      List<OtherView> others,
      @Nullable String bought,
      boolean leftOut,
      String without,
      double shortMl) {
    static PlaceView of(Sheet.Place place) {
      return new PlaceView(
          place.slot(),
          place.dose().map(dose -> FigureJson.of(dose.millilitres())).orElse(null),
          place.dose().map(dose -> dose.words()).orElse(""),
          place.portions().stream().map(PortionView::of).toList(),
          ContactJson.of(place.contact().orElse(null)),
          place.limits().stream().map(LimitJson::of).toList(),
          place.others().stream().map(OtherView::of).toList(),
          place.bought().orElse(null),
          place.leftOut(),
          place.without(),
          place.shortMl());
    }
  }

  /**
   * Something to do on a head.
   *
   * @param place which place it belongs to, from 0
   * @param hands minutes of work
   * @param rest how long it then rests
   */
  record StepView(int place, String words, double hands, @Nullable ContactJson rest) {
    static StepView of(WashStep step) {
      return new StepView(
          step.place(), step.words(), step.hands(), ContactJson.of(step.rest().orElse(null)));
    }
  }

  /** A head. */
  record HeadView(
      UUID person,
      String name,
      String occasion,
      String occasionName,
      LocalDate planned,
      List<PlaceView> places,
      List<StepView> steps) {
    static HeadView of(Sheet.Head head, LocalDate planned) {
      return new HeadView(
          UUID.fromString(head.person()),
          head.name(),
          head.occasion().key(),
          head.occasion().name(),
          planned,
          head.places().stream().map(PlaceView::of).toList(),
          head.steps().stream().map(StepView::of).toList());
    }
  }

  /** Something to do beforehand. */
  record BeforeView(Sheet.Before.Kind kind, UUID bottle, String name, Instant at, String words) {
    static BeforeView of(Sheet.Before before) {
      return new BeforeView(
          before.kind(),
          UUID.fromString(before.bottle()),
          before.name(),
          before.at(),
          before.words());
    }
  }

  /** A piece of work; minutes since the beginning. */
  record ItemView(int head, int step, double start, double end) {
    static ItemView of(WashOrder.Item item) {
      return new ItemView(item.head(), item.step(), item.start(), item.end());
    }
  }

  /**
   * A sheet.
   *
   * @param order all steps in one common time
   * @param minutes until everybody is done
   */
  record SheetView(
      LocalDate day,
      Instant startsAt,
      List<HeadView> heads,
      List<BeforeView> before,
      List<ItemView> order,
      double minutes,
      List<String> cautions) {}

  /**
   * What is left of a rest.
   *
   * @param from when it began
   * @param early sooner it does little
   * @param right usual
   * @param late from then on it is too long
   */
  record RestView(Instant from, Instant early, Instant right, Instant late, String then) {}

  /**
   * How far a head is.
   *
   * @param done so many steps
   * @param rest what it rests under; null where nothing is
   */
  record ProgressView(int done, @Nullable RestView rest) {}

  /**
   * A wash day under way.
   *
   * @param progress of each head, as in the sheet
   * @param order of what is still to be done, minutes since the beginning
   */
  record WashRunView(
      UUID id,
      long version,
      Instant now,
      Instant beganAt,
      SheetView sheet,
      List<ProgressView> progress,
      List<ItemView> order) {}

  /**
   * A step is done.
   *
   * @param step its number on this head, from 0
   * @param secondsAgo when it was tapped, where the tap comes later
   */
  record StepTap(int head, int step, @Nullable Double secondsAgo) {}

  /** Which version was seen. */
  record SeenRun(@NotNull(message = "Say which version you saw.") Long version) {}

  /** Taps of a run, as they are kept. */
  record Taps(List<Tap> taps) {
    /** A step ended. */
    record Tap(int head, int step, Instant at) {}
  }

  /**
   * Something that was taken.
   *
   * @param amount as typed, instead of millilitres
   */
  record TakeForm(
      @NotNull(message = "Say which bottle.") UUID bottle,
      @Nullable Double millilitres,
      @Nullable @Size(max = 60, message = "At most 60 characters.") String amount) {}

  /**
   * What was done in a place.
   *
   * @param minutes that it stayed on
   */
  record PlaceDone(
      int place,
      @Nullable @Valid @Size(max = 6, message = "At most 6 bottles.") List<TakeForm> takes,
      @Nullable Double minutes) {}

  /** What was done on a head. */
  record HeadDone(
      @NotNull(message = "Say whose head.") UUID person,
      @NotNull(message = "Say which occasion.") @Size(max = 60, message = "At most 60 characters.")
          String occasion,
      @NotNull(message = "Say of which day.") LocalDate planned,
      @NotNull(message = "Say what was done.")
          @Valid
          @Size(max = 16, message = "At most 16 places.")
          List<PlaceDone> places,
      @Nullable @Size(max = 400, message = "At most 400 characters.") String note) {}

  /**
   * A wash day that was done.
   *
   * @param run the one under way, which it ends
   * @param hoursAgo when; now where nobody says
   * @param secondsAgo when it was tapped, where the tap comes later
   */
  record DoneForm(
      @Nullable UUID run,
      @Nullable Double hoursAgo,
      @Nullable Double secondsAgo,
      @NotNull(message = "Say whose heads.")
          @Valid
          @Size(min = 1, max = MOST_HEADS, message = "One to eight heads.")
          List<HeadDone> heads) {}

  /** What was kept; each can be taken back. */
  record DoneView(List<UUID> washDays) {}

  /**
   * An occasion is put on another day.
   *
   * @param to the day; missing where it is left out
   * @param back as the routine says again
   */
  record MoveForm(
      @NotNull(message = "Say whose.") UUID person,
      @NotNull(message = "Say which occasion.") @Size(max = 60, message = "At most 60 characters.")
          String occasion,
      @NotNull(message = "Say of which day.") LocalDate planned,
      @Nullable LocalDate to,
      @Nullable Boolean back) {}
}
