package dremsa.core.fault;

/**
 * Something that went, or may have gone, otherwise than usual.
 *
 * @param step its index; -1 where it is no step
 * @param words what was otherwise
 * @param other the batch with it put right where it was recorded; with it done where it is only
 *     supposed
 * @param recorded whether it was written down
 * @param likely how often makers do it, 0 to 1; our estimate, 1 where it was written down
 * @param next what to do next time
 */
record Departure(
    int step, String words, Brewed other, boolean recorded, double likely, String next) {}
