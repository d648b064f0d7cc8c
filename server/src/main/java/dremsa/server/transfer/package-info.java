/** Formulas out and in, in open formats. */
@NullMarked
package dremsa.server.transfer;

import org.jspecify.annotations.NullMarked;
