package dremsa.server.wire;

import dremsa.core.keep.Inherited;
import dremsa.server.wire.SurroundingsJson.AgeJson;

/** A brew that was poured into a bottle, as it is kept: what it was, and how old. */
public record PouredInJson(String name, ContentsJson contents, AgeJson age) {
  public static PouredInJson of(Inherited other) {
    return new PouredInJson(other.name(), ContentsJson.of(other.contents()), AgeJson.of(other));
  }

  public Inherited toCore() {
    return age.toCore(name, contents);
  }
}
