/**
 * Reads a note in plain words as a formula, and writes a formula as such a note.
 *
 * <p>Definition: the text, a {@link dremsa.core.reading.NoteReader} made of a household's materials
 * and measures, and the {@link dremsa.core.reading.Answers} given so far. Result: a {@link
 * dremsa.core.reading.Reading}, which says of every stretch of the text what it was taken for, how
 * sure that is and what else it could be. A grammar over a word list ({@code words.csv} here, the
 * names beside the catalogue): the same text always reads the same, no number is made up, and what
 * the method fills in is told as filled in.
 *
 * <p>On the way: tokens, {@link dremsa.core.reading.Item}s (the scanner), {@link
 * dremsa.core.reading.Clause}s (what is said to be done), {@link dremsa.core.reading.Stage}s (steps
 * in the making), the formula.
 */
@NullMarked
package dremsa.core.reading;

import org.jspecify.annotations.NullMarked;
