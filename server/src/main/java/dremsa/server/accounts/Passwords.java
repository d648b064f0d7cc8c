package dremsa.server.accounts;

import com.nulabinc.zxcvbn.Zxcvbn;
import dremsa.server.http.FieldProblem;
import dremsa.server.http.Problem;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Refuses passwords that are among the first that anybody guesses: common ones, names, dates and
 * patterns of the keyboard, by the word lists and the reckoning of a library.
 */
@Component
class Passwords {
  /** Fewer guesses than this are made within hours even where they are slowed down. */
  private static final double LEAST_GUESSES = 1e6;

  private final Zxcvbn estimator = new Zxcvbn();

  /**
   * @param own words that belong to this household and are no secret
   * @throws Problem when it is guessed too easily
   */
  void check(String password, List<String> own) {
    if (estimator.measure(password, own).getGuesses() < LEAST_GUESSES) {
      throw Problem.invalid(
          FieldProblem.of(
              "password",
              null,
              "This password is among the first that are guessed. Three or four words that do not"
                  + " belong together are better, and easy to remember."));
    }
  }
}
