/**
 * The catalogue of what goes into a brew: herbs, seeds, liquids, oils and additives with their
 * common and INCI names and the figures that the model needs, each with its provenance.
 *
 * <p>Definition: {@link dremsa.core.material.Material}. Surroundings passed to everything that
 * resolves a formula: {@link dremsa.core.material.Materials}.
 */
@NullMarked
package dremsa.core.material;

import org.jspecify.annotations.NullMarked;
