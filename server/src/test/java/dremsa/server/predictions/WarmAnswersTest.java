package dremsa.server.predictions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dremsa.server.accounts.Households;
import dremsa.server.http.Problem;
import dremsa.server.wire.TargetJson;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** The same is not worked out twice, and nothing is told that is not so any more. */
class WarmAnswersTest {
  private static final UUID HOME = UUID.randomUUID();
  private static final Instant TEN = Instant.parse("2030-03-05T10:00:00Z");

  private Households.Moment moment = new Households.Moment(1, TEN);
  private int worked;
  private final WarmAnswers answers =
      new WarmAnswers(household -> moment, JsonMapper.builder().build());

  private static PredictionController.Question about(String formula) {
    return new PredictionController.Question(
        formula,
        null,
        null,
        null,
        null,
        null,
        TargetJson.volume(400),
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null);
  }

  private String ask(UUID household, String formula) {
    return new String(
        answers.of(
            household,
            about(formula),
            () -> {
              worked++;
              return null;
            }),
        StandardCharsets.UTF_8);
  }

  @Test
  void theSameAskedAgainIsWorkedOutOnce() {
    assertThat(ask(HOME, "nettle-tea")).isEqualTo("null");
    moment = new Households.Moment(1, TEN.plusSeconds(59));
    ask(HOME, "nettle-tea");
    assertThat(worked).isEqualTo(1);
  }

  @Test
  void anotherQuestionAnotherHouseholdAWriterOrAMinuteMakesItAnew() {
    ask(HOME, "nettle-tea");
    ask(HOME, "rice-water");
    assertThat(worked).as("another question").isEqualTo(2);
    ask(UUID.randomUUID(), "nettle-tea");
    assertThat(worked).as("another household").isEqualTo(3);
    moment = new Households.Moment(2, TEN);
    ask(HOME, "nettle-tea");
    assertThat(worked).as("something was written").isEqualTo(4);
    moment = new Households.Moment(2, TEN.plusSeconds(60));
    ask(HOME, "nettle-tea");
    assertThat(worked).as("a minute later").isEqualTo(5);
  }

  @Test
  void aRefusalIsKeptByNobody() {
    assertThatThrownBy(
            () ->
                answers.of(
                    HOME,
                    about("nettle-tea"),
                    () -> {
                      throw Problem.conflict("Not now.");
                    }))
        .isInstanceOf(Problem.class);
    ask(HOME, "nettle-tea");
    assertThat(worked).isEqualTo(1);
  }
}
