/**
 * Looks for whole numbers that make something best: how many doses a brew covers, whose turn it is.
 * The one place that knows the solver; what the numbers mean its callers say.
 */
@NullMarked
package dremsa.core.search;

import org.jspecify.annotations.NullMarked;
