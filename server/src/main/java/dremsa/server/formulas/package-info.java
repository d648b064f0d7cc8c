/** The formulas a household can brew from. */
@NullMarked
package dremsa.server.formulas;

import org.jspecify.annotations.NullMarked;
