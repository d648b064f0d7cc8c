/** Households, who may sign in to them, and whose request this is. */
@NullMarked
package dremsa.server.accounts;

import org.jspecify.annotations.NullMarked;
