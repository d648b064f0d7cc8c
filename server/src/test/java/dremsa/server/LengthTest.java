package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How long hair is, through HTTP. */
class LengthTest {
  private final Visitor owner = Visitor.withHousehold();
  private final LocalDate today = LocalDate.parse(owner.get("/api/people").text("/today"));
  private final String ada = somebody("Ada");

  private String somebody(String name) {
    return owner.post("/api/people", Map.of("name", name, "usual", false)).text("/person/id");
  }

  private Visitor.Answer read(int daysAgo, String section, double cm) {
    return owner.post(
        "/api/people/" + ada + "/lengths",
        Map.of("day", today.minusDays(daysAgo).toString(), "section", section, "cm", cm));
  }

  private Visitor.Answer lengths() {
    return owner.get("/api/people/" + ada + "/lengths");
  }

  @Test
  void lengthsBecomeALineWithItsInterval() {
    for (int month = 0; month < 8; month++) {
      Visitor.Answer kept = read(30 * (7 - month), "BACK", 30 + 1.1 * month);
      assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
    }
    read(3, "LEFT", 28);

    Visitor.Answer seen = lengths();

    assertThat(seen.text("/name")).isEqualTo("Ada");
    assertThat(seen.at("/sections")).hasSize(2);
    assertThat(seen.text("/sections/0/section")).isEqualTo("LEFT");
    assertThat(seen.text("/sections/0/words")).startsWith("This cannot be told yet: ");
    assertThat(seen.text("/sections/1/words")).startsWith("1.12 cm a month, 95 % likely between");
    assertThat(seen.at("/sections/1/settled").asBoolean()).isTrue();
    assertThat(seen.at("/sections/1/readings")).hasSize(8);
    assertThat(seen.at("/sections/1/lines/0/0/cm").asDouble()).isBetween(29.9, 30.1);
  }

  @Test
  void aCutBeginsANewLineAndIsTakenBack() {
    read(90, "BACK", 30);
    read(60, "BACK", 31);
    read(30, "BACK", 22);
    read(0, "BACK", 23);
    Visitor.Answer cut =
        owner.post("/api/people/" + ada + "/cuts", Map.of("day", today.minusDays(45).toString()));
    assertThat(cut.at("/cuts")).hasSize(1);
    assertThat(cut.at("/sections/0/lines")).hasSize(2);
    // The same cut once more changes nothing.
    assertThat(
            owner
                .post("/api/people/" + ada + "/cuts", Map.of("day", today.minusDays(45).toString()))
                .at("/cuts"))
        .hasSize(1);

    Visitor.Answer back = owner.delete("/api/people/" + ada + "/lengths/" + cut.text("/cuts/0/id"));

    assertThat(back.status()).isEqualTo(200);
    assertThat(back.at("/cuts")).isEmpty();
    assertThat(back.at("/sections/0/lines")).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource({"BACK, 0, cm", "BACK, -3, cm", "BACK, 301, cm", ", 30, section", "BACK, , cm"})
  void whatCannotBeIsRefusedAtItsField(String section, Double cm, String field) {
    Map<String, Object> form = new HashMap<>();
    form.put("section", section);
    form.put("cm", cm);

    Visitor.Answer refused = owner.post("/api/people/" + ada + "/lengths", form);

    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.text("/errors/0/field")).isEqualTo(field);
    assertThat(lengths().at("/sections")).isEmpty();
  }

  @Test
  void twoOnOneDayAndTheFutureAreRefused() {
    read(5, "BACK", 30);

    Visitor.Answer twice = read(5, "BACK", 31);
    assertThat(twice.status()).isEqualTo(400);
    assertThat(twice.text("/errors/0/field")).isEqualTo("day");
    assertThat(read(5, "CROWN", 31).status()).isEqualTo(200);
    Visitor.Answer future = read(-1, "BACK", 31);
    assertThat(future.text("/errors/0/message")).isEqualTo("That day has not come yet.");
    assertThat(lengths().at("/sections")).hasSize(2);
  }

  @Test
  void nobodyElsesHead() {
    String bo = somebody("Bo");
    String reading = read(0, "BACK", 30).text("/sections/0/readings/0/id");

    for (String path :
        List.of(
            "/api/people/" + bo + "/lengths/" + reading,
            "/api/people/" + ada + "/lengths/" + UUID.randomUUID())) {
      assertThat(owner.delete(path).status()).as(path).isEqualTo(404);
    }
    assertThat(Visitor.withHousehold().get("/api/people/" + ada + "/lengths").status())
        .isEqualTo(404);
    assertThat(lengths().at("/sections/0/readings")).hasSize(1);
  }

  @Test
  void lengthsLeftToThemselvesArePairedWithAndWithoutAProduct() {
    for (int pair = 0; pair < 3; pair++) {
      loose(60 - 20 * pair, 24, null);
      loose(57 - 20 * pair, 28, "Gel");
    }
    Visitor.Answer seen = lengths();
    assertThat(seen.at("/sections/0/readings/0/looseCm").asDouble()).isEqualTo(24);
    assertThat(seen.text("/sections/0/readings/1/product")).isEqualTo("Gel");
    assertThat(seen.text("/sections/0/shrinkage/0"))
        .startsWith("Gel: it draws itself together less with it");
    Visitor.Answer wrong = loose(0, 41, "Gel");
    assertThat(wrong.status()).isEqualTo(400);
    assertThat(wrong.text("/errors/0/field")).isEqualTo("looseCm");
  }

  private Visitor.Answer loose(int daysAgo, double cm, String product) {
    Map<String, Object> form = new java.util.HashMap<>();
    form.put("day", today.minusDays(daysAgo).toString());
    form.put("section", "BACK");
    form.put("cm", 40);
    form.put("looseCm", cm);
    form.put("product", product);
    return owner.post("/api/people/" + ada + "/lengths", form);
  }
}
