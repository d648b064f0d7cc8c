package dremsa.core.search;

/**
 * How good an answer is; of two the lower one is better.
 *
 * @param hard by how much it cannot be done, 0 where it can
 * @param medium what it is judged by first
 * @param soft what it is judged by where that is the same
 */
public record Weight(long hard, long medium, long soft) {}
