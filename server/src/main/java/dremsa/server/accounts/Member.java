package dremsa.server.accounts;

import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;

/** Who is signed in. Kept in the session. */
public record Member(UUID accountId, UUID household, String signIn)
    implements Principal, Serializable {
  @Override
  public String getName() {
    return accountId.toString();
  }
}
