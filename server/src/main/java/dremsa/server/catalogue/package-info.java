/** What can be read of formulas and methods: how they go in this kitchen, how they may vary. */
@NullMarked
package dremsa.server.catalogue;

import org.jspecify.annotations.NullMarked;
