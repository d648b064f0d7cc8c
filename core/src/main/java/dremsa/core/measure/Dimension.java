package dremsa.core.measure;

/** What a measure counts. */
public enum Dimension {
  /** Grams. */
  MASS,
  /** Millilitres; of a dry herb its bulk volume, lightly settled. */
  VOLUME,
  /** Pieces, each with a stated size. */
  COUNT
}
