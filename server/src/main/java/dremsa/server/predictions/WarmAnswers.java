package dremsa.server.predictions;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dremsa.server.accounts.Households;
import dremsa.server.wire.PredictionJson;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Keeps the last answers as they were sent. An answer hangs on the question, on what the household
 * has written, and on the time: whoever asks the same before the household writes anything, and
 * within the same minute, gets it again. A brew that begins now is then told to keep less than a
 * minute shorter, never longer.
 */
@Component
class WarmAnswers {
  private static final long MOST_BYTES = 16L << 20;

  /**
   * The revision is read before the answer is worked out: what somebody writes meanwhile may be in
   * the answer already, and nobody asks for it by this revision again.
   */
  private record Key(
      UUID household, long revision, Instant minute, PredictionController.Question question) {}

  private final Function<UUID, Households.Moment> moments;
  private final JsonMapper json;
  private final Cache<Key, byte[]> kept =
      Caffeine.newBuilder()
          .maximumWeight(MOST_BYTES)
          .weigher((Key key, byte[] answer) -> answer.length)
          .build();

  @Autowired
  WarmAnswers(Households households, JsonMapper json) {
    this(households::moment, json);
  }

  /**
   * @param moments how far a household has come
   */
  WarmAnswers(Function<UUID, Households.Moment> moments, JsonMapper json) {
    this.moments = moments;
    this.json = json;
  }

  /**
   * The answer, in JSON.
   *
   * @param work works it out; what it throws is kept by nobody
   */
  byte[] of(UUID household, PredictionController.Question question, Supplier<PredictionJson> work) {
    Households.Moment moment = moments.apply(household);
    Key key =
        new Key(
            household, moment.revision(), moment.now().truncatedTo(ChronoUnit.MINUTES), question);
    byte[] known = kept.getIfPresent(key);
    if (known != null) {
      return known;
    }
    byte[] answer = json.writeValueAsBytes(work.get());
    kept.put(key, answer);
    return answer;
  }
}
