/** A household's kitchen: hobs, vessels, strainers, measures and climate. */
@NullMarked
package dremsa.server.kitchens;

import org.jspecify.annotations.NullMarked;
