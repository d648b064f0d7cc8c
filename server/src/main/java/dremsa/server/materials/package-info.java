/** What a household knows of materials: the catalogue, overlaid by its own. */
@NullMarked
package dremsa.server.materials;

import org.jspecify.annotations.NullMarked;
