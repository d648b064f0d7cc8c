package dremsa.server;

import java.util.Map;
import java.util.UUID;

/** People who come into a household that somebody else made. */
final class Housemates {
  static final String PASSWORD = "plum jam and rain";

  private Housemates() {}

  /** The code of an invitation made just now. */
  static String invited(Visitor keeper, String role) {
    Visitor.Answer made = keeper.post("/api/invitations", Map.of("role", role, "hours", 24));
    if (made.status() != 201) {
      throw new AssertionError(made);
    }
    return made.text("/code");
  }

  static Map<String, Object> form(String code, String called, String signIn) {
    return Map.of("code", code, "called", called, "signIn", signIn, "password", PASSWORD);
  }

  static String newName() {
    return "m" + UUID.randomUUID().toString().substring(0, 12);
  }

  /** Somebody invited and come in, on a device of their own. */
  static Visitor join(Visitor keeper, String role, String called) {
    Visitor one = new Visitor();
    Visitor.Answer in = one.post("/api/joining", form(invited(keeper, role), called, newName()));
    if (in.status() != 201) {
      throw new AssertionError(in);
    }
    return one;
  }

  /** The id of somebody, as the keeper sees them. */
  static String id(Visitor keeper, String called) {
    return keeper
        .get("/api/members")
        .body()
        .valueStream()
        .filter(one -> one.get("called").asString().equals(called))
        .map(one -> one.get("id").asString())
        .findFirst()
        .orElseThrow();
  }
}
