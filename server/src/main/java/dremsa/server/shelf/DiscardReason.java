package dremsa.server.shelf;

/** Why something was thrown away. */
public enum DiscardReason {
  DATE,
  MOULD,
  SMELL,
  SEPARATED,
  DISLIKED,
  SPILLED,
  OTHER
}
