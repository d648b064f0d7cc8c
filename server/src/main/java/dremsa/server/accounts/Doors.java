package dremsa.server.accounts;

import dremsa.server.http.Problem;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Which ways in there are, besides a name and its password. */
@Component
class Doors {
  /** Who may make a household. */
  enum SignUp {
    /** Everybody who reaches this server. */
    OPEN,
    /** The first who does; then it is closed. */
    FIRST,
    /** Nobody. */
    CLOSED
  }

  private final SignUp signUp;
  private final boolean demo;
  private final Households households;

  Doors(
      @Value("${dremsa.sign-up}") SignUp signUp,
      @Value("${dremsa.demo-door}") boolean demo,
      Households households) {
    this.signUp = signUp;
    this.demo = demo;
    this.households = households;
  }

  /** Whether a household can be made. */
  boolean signUp() {
    return switch (signUp) {
      case OPEN -> true;
      case FIRST -> !households.any();
      case CLOSED -> false;
    };
  }

  /**
   * Makes sure that a household can be made.
   *
   * @throws Problem 403
   */
  void requireSignUp() {
    if (!signUp()) {
      throw new Problem(
          HttpStatus.FORBIDDEN,
          "sign-up-closed",
          "No more households are made here. Ask a keeper of the household for an invitation.",
          List.of());
    }
  }

  /** Whether the demo kitchen may be entered, if there is one. */
  boolean demoOpen() {
    return demo;
  }

  /** Whether there is a demo kitchen that may be entered. */
  boolean demo() {
    return demo && households.demo().isPresent();
  }
}
