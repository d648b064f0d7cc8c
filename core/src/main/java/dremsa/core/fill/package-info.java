/** Which containers a brew goes into: what suits it, how full, how many, and what is to be done. */
package dremsa.core.fill;
