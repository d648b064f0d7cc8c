package dremsa.core.keep;

import dremsa.core.brew.Contents;
import java.time.Instant;

/**
 * The age that a brew brings along when it is poured into another.
 *
 * @param name as told to the maker
 * @param contents what was poured, in its amount
 * @param keepingClass what it counted as
 * @param spentShare of its life budget, 0 to 1; 0 where it has none
 * @param strained the moment its cap is counted from
 * @param runsOut the moment its own clock would have ended
 * @param frozen whether it, or a part of it, was ever frozen: then the mixture was too
 */
public record Inherited(
    String name,
    Contents contents,
    KeepingClass keepingClass,
    double spentShare,
    Instant strained,
    Instant runsOut,
    boolean frozen) {

  /** What a brew brings along that was judged at the moment of pouring. */
  public static Inherited of(String name, Contents poured, Keeping keeping, Verdict verdict) {
    return new Inherited(
        name,
        poured,
        verdict.keepingClass(),
        verdict.spentShare(),
        verdict.strained(),
        verdict.runsOut(),
        keeping.wasFrozen());
  }
}
