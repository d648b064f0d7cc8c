/**
 * A kitchen in which nothing is spoilt. What is kept is what a hand did and at which second of the
 * pot's time; how the pot looks is worked out whenever somebody looks.
 */
@NullMarked
package dremsa.server.practice;

import org.jspecify.annotations.NullMarked;
