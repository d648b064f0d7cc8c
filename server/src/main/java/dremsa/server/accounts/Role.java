package dremsa.server.accounts;

/** What somebody may do in their household; each may do what those below may. */
public enum Role {
  /** Everything. */
  KEEPER,
  /** Brews, uses, looks. */
  HELPER,
  /** Looks at the bench. */
  GUEST
}
