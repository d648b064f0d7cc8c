package dremsa.server.history;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import dremsa.core.keep.DiscardReason;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Place;
import dremsa.core.measure.Said;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What a line of the record tells beside its kind and its amount: as data for those who reckon with
 * it, and in words for those who read it. Nobody reads the words again to find the data.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Told.Words.class, name = "WORDS"),
  @JsonSubTypes.Type(value = Told.Discarded.class, name = "DISCARDED"),
  @JsonSubTypes.Type(value = Told.Brewed.class, name = "BREWED"),
  @JsonSubTypes.Type(value = Told.LeftOut.class, name = "LEFT_OUT"),
  @JsonSubTypes.Type(value = Told.Moved.class, name = "MOVED"),
  @JsonSubTypes.Type(value = Told.Portions.class, name = "PORTIONS"),
  @JsonSubTypes.Type(value = Told.Poured.class, name = "POURED"),
  @JsonSubTypes.Type(value = Told.KeptBy.class, name = "KEPT_BY"),
  @JsonSubTypes.Type(value = Told.Labelled.class, name = "LABELLED")
})
public sealed interface Told {
  /** Nothing more is to be told. */
  Told NOTHING = new Words("");

  /** What is told, as a part of a sentence. */
  String inWords();

  /** Words alone: there is nothing in them to reckon with. */
  record Words(String words) implements Told {
    @Override
    public String inWords() {
      return words;
    }
  }

  /**
   * It was thrown away.
   *
   * @param note of the maker; may be empty
   */
  record Discarded(DiscardReason reason, String note) implements Told {
    @Override
    public String inWords() {
      return reason.words() + (note.isBlank() ? "" : ": " + note);
    }
  }

  /**
   * It went into a brew and not onto a head.
   *
   * @param code of that batch
   */
  record Brewed(String code) implements Told {
    @Override
    public String inWords() {
      return "poured into " + code;
    }
  }

  /**
   * It stood warm for a while.
   *
   * @param hours above 0
   */
  record LeftOut(double hours, Place place) implements Told {
    @Override
    public String inWords() {
      return Said.of(
          "about %s h %s %s", Said.tenths(hours), place == Place.ROOM ? "at" : "in", place.words());
    }
  }

  /**
   * It was put elsewhere.
   *
   * @param promised the day that its label said and that counts no more; null where none did
   */
  record Moved(Place from, Place to, @Nullable LocalDate promised) implements Told {
    @Override
    public String inWords() {
      return from.words()
          + " to "
          + to.words()
          + (promised == null ? "" : Said.of("; its label said %s: label it anew", promised));
    }
  }

  /**
   * Some of it was frozen in portions.
   *
   * @param millilitres of one
   * @param partedFrom whether it is told of the bottle that they came from
   */
  record Portions(int count, double millilitres, boolean partedFrom) implements Told {
    @Override
    public String inWords() {
      return Said.of("%s%d portions of %.0f mL", partedFrom ? "into " : "", count, millilitres);
    }
  }

  /**
   * Poured from one bottle into another.
   *
   * @param bottle the other one's name
   * @param into whether the other one was poured into
   */
  record Poured(String bottle, boolean into) implements Told {
    @Override
    public String inWords() {
      return (into ? "into " : "from ") + bottle;
    }
  }

  /** It is kept by other rules. */
  record KeptBy(School school, boolean cleanWorking) implements Told {
    @Override
    public String inWords() {
      return new KeepEvent.Rules(school, cleanWorking).words();
    }
  }

  /** Its label was printed. */
  record Labelled(LocalDate lastDay) implements Told {
    @Override
    public String inWords() {
      return "last day " + lastDay;
    }
  }
}
