/**
 * Quantities as a kitchen knows them: sourced figures, household measures of five systems, and
 * rounding to the spoons, cups and jugs owned.
 *
 * <p>Definition: {@link dremsa.core.measure.KitchenMeasure}, {@link dremsa.core.measure.ScoopSet}.
 * Result: {@link dremsa.core.measure.ScoopedAmount}. Inside the model amounts are plain doubles in
 * grams and millilitres; units meet the outside only here, through a JSR 385 library.
 */
@NullMarked
package dremsa.core.measure;

import org.jspecify.annotations.NullMarked;
