package dremsa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Taps that are sent again with the key that they had. */
class RepeatedTapTest {
  private final Visitor owner = Visitor.withHousehold();
  private final String run =
      "/api/batches/"
          + owner
              .post(
                  "/api/batches",
                  Map.of(
                      "formulaId",
                      "lemon-balm-spray",
                      "target",
                      Map.of("kind", "VOLUME", "amount", Map.of("value", 400, "unit", "ml"))))
              .text("/id");

  private Visitor.Answer note(String words, String key) {
    return owner.post(run + "/entries", Map.of("kind", "NOTE", "words", words), key);
  }

  private List<String> notes() {
    return owner.get(run).at("/log").valueStream().map(e -> e.get("words").asString()).toList();
  }

  @Test
  void keysAreComparedByTheirBytes() {
    // To the database's usual order these four are one and the same.
    for (String key : List.of("tap", "Tap", "táp", "TAP")) {
      assertThat(note(key, key).status()).isEqualTo(200);
    }
    assertThat(notes()).containsExactly("tap", "Tap", "táp", "TAP");
  }

  @Test
  void theSameTapAtTheSameMomentIsDoneOnceAndAnsweredAlike() throws Exception {
    ExecutorService hands = Executors.newFixedThreadPool(8);
    List<Future<Visitor.Answer>> answers = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      answers.add(hands.submit(() -> note("once", "one key")));
    }
    for (Future<Visitor.Answer> answer : answers) {
      assertThat(answer.get().status()).as(answer.get().body().toString()).isEqualTo(200);
      assertThat(answer.get().at("/log").size()).isEqualTo(1);
    }
    hands.shutdown();
    assertThat(notes()).containsExactly("once");
  }

  @Test
  void theOrderOfFieldsIsNoOtherRequest() {
    Map<String, Object> one = new LinkedHashMap<>();
    one.put("kind", "NOTE");
    one.put("words", "the same");
    Map<String, Object> other = new LinkedHashMap<>();
    other.put("words", "the same");
    other.put("kind", "NOTE");
    assertThat(owner.post(run + "/entries", one, "k").status()).isEqualTo(200);
    assertThat(owner.post(run + "/entries", other, "k").status()).isEqualTo(200);
    assertThat(note("another", "k").status()).as("another request").isEqualTo(409);
    assertThat(notes()).containsExactly("the same");
  }

  @ParameterizedTest
  @ValueSource(ints = {81, 500})
  void aKeyThatIsTooLongIsRefused(int length) {
    Visitor.Answer no = note("x", "k".repeat(length));
    assertThat(no.status()).isEqualTo(400);
    assertThat(no.fields()).containsExactly("Idempotency-Key");
  }

  /** Two phones that tap at the same moment, each its own tap: both are taken. */
  @Test
  void twoPhonesAtTheSameMomentAreBothTaken() throws Exception {
    ExecutorService hands = Executors.newFixedThreadPool(4);
    List<Future<Integer>> answers = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      String words = "tap " + i;
      answers.add(hands.submit(() -> note(words, UUID.randomUUID().toString()).status()));
    }
    for (Future<Integer> answer : answers) {
      assertThat(answer.get()).isEqualTo(200);
    }
    hands.shutdown();
    assertThat(notes()).hasSize(40).doesNotHaveDuplicates();
  }
}
