package dremsa.server.wire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dremsa.core.Members;
import dremsa.core.keep.DiscardReason;
import dremsa.core.keep.KeepEvent;
import dremsa.core.keep.School;
import dremsa.core.kitchen.Place;
import dremsa.server.history.Told;
import dremsa.server.http.Problem;
import jakarta.validation.Validation;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What happened to bottles, and what lines of the record tell, stay readable. */
class StoredEventTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Instant AT = Instant.parse("2026-11-24T10:00:00Z");
  private static final KeepEvent.Rules CAREFUL = new KeepEvent.Rules(School.CAREFUL, false);
  private static final KeepEvent.Rules PRACTICE = new KeepEvent.Rules(School.PRACTICE, true);

  private static final List<KeepEvent> EVENTS =
      List.of(
          new KeepEvent.Moved(AT, Place.ROOM),
          new KeepEvent.Moved(AT, Place.FREEZER, LocalDate.of(2026, 12, 3)),
          new KeepEvent.Warmed(AT, 2.5, 21, "Left out"),
          new KeepEvent.FridgeWarmed(AT, 6, 12, "Power cut"),
          new KeepEvent.Opened(AT),
          new KeepEvent.Joined(AT, 80, StoredExamples.pouredIn().toCore()),
          new KeepEvent.KeptBy(AT, CAREFUL, PRACTICE),
          new KeepEvent.KeptBy(AT, PRACTICE, null));

  private static final List<Told> TOLD =
      List.of(
          new Told.Words("rinse"),
          new Told.Discarded(DiscardReason.SMELL, "sour: like milk"),
          new Told.Brewed("L26-031"),
          new Told.LeftOut(2.5, Place.ROOM),
          new Told.Moved(Place.FRIDGE, Place.FREEZER, LocalDate.of(2026, 12, 3)),
          new Told.Portions(4, 30, true),
          new Told.Poured("Mint rinse 2", false),
          new Told.KeptBy(School.PRACTICE, true),
          new Told.Labelled(LocalDate.of(2026, 12, 3)));

  private final Stored stored =
      new Stored(Validation.buildDefaultValidatorFactory().getValidator(), List.of());

  private static List<String> golden(String name) throws IOException {
    try (InputStream in = StoredEventTest.class.getResourceAsStream("/golden/v2/" + name)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    }
  }

  /** As it is written today, but for the version. */
  private JsonNode written(Object form) {
    return withoutVersion(stored.write(form));
  }

  private static JsonNode withoutVersion(String row) {
    ObjectNode tree = (ObjectNode) JSON.readTree(row);
    tree.remove("schemaVersion");
    return tree;
  }

  @Test
  void everyEventReadsAsItWasWritten() throws IOException {
    Members.allIn(KeepEvent.class, EVENTS);
    List<String> rows = golden("keep-events.jsonl");
    assertThat(EVENTS.stream().map(event -> written(KeepEventJson.of(event))))
        .isEqualTo(rows.stream().map(StoredEventTest::withoutVersion).toList());
    assertThat(rows.stream().map(row -> stored.read(row, KeepEventJson.class).toCore(AT)))
        .isEqualTo(EVENTS);
  }

  @Test
  void whatALineTellsReadsAsItWasWritten() throws IOException {
    Members.allIn(Told.class, TOLD);
    List<String> rows = golden("told.jsonl");
    assertThat(TOLD.stream().map(this::written))
        .isEqualTo(rows.stream().map(StoredEventTest::withoutVersion).toList());
    assertThat(rows.stream().map(row -> stored.read(row, Told.class))).isEqualTo(TOLD);
  }

  @Test
  void itIsToldInPartsOfSentences() {
    assertThat(TOLD.stream().map(Told::inWords))
        .containsExactly(
            "rinse",
            "smell: sour: like milk",
            "poured into L26-031",
            "about 2.5 h at room temperature",
            "the fridge to the freezer; its label said 2026-12-03: label it anew",
            "into 4 portions of 30 mL",
            "from Mint rinse 2",
            "practice, worked clean",
            "last day 2026-12-03");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{'kind':'MOVED'} | place",
        "{'kind':'WARMED','celsius':20} | hours",
        "{'kind':'WARMED','hours':0,'celsius':20} | hours",
        "{'kind':'WARMED','hours':9601,'celsius':20} | hours",
        "{'kind':'WARMED','hours':3} | celsius",
        "{'kind':'FRIDGE_WARMED','hours':3,'celsius':101} | celsius",
        "{'kind':'JOINED','ownMl':3} | other",
        "{'kind':'JOINED','ownMl':0} | ownMl",
        "{'kind':'SCHOOL'} | before",
        "{'kind':'SCHOOL','before':{'cleanWorking':true}} | school",
        "{} | kind"
      })
  void whatIsMissingOrCannotBeNamesItsField(String row, String field) {
    KeepEventJson form = stored.read(row.replace('\'', '"'), KeepEventJson.class);
    Problem problem = catchThrowableOfType(Problem.class, () -> form.toCore(AT));
    assertThat(problem.errors()).singleElement().extracting("field").isEqualTo(field);
  }
}
