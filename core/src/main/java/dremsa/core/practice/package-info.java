/**
 * A kitchen in which nothing is spoilt. An {@link dremsa.core.practice.Exercise} and the {@link
 * dremsa.core.practice.Act}s of a hand become a {@link dremsa.core.practice.PracticeRun}: how the
 * pot looks now, and in the end what each difference from a good brew cost. It is the same model:
 * what a hand did are {@link dremsa.core.brew.Facts} of the steps.
 */
@NullMarked
package dremsa.core.practice;

import org.jspecify.annotations.NullMarked;
