package dremsa.core.keep;

/**
 * What a brew counts as, and why.
 *
 * @param keepingClass the class
 * @param why what in its composition or steps makes it so, a short phrase
 */
public record Classification(KeepingClass keepingClass, String why) {}
