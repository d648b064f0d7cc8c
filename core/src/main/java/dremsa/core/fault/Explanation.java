package dremsa.core.fault;

/**
 * What may have caused something.
 *
 * @param step its index; -1 where it is no step
 * @param words what was otherwise, with its numbers
 * @param recorded whether it was written down, not only supposed
 * @param weight how well it explains what is seen, 0 to 1: to be ranked by, not told
 * @param now what can be done with this batch
 * @param next what to do next time, with what the model then gives
 */
public record Explanation(
    int step, String words, boolean recorded, double weight, String now, String next) {}
