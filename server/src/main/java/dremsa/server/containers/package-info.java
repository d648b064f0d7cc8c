/** The bottles, jars and trays that a household owns: how many are free, which are sterilised. */
@NullMarked
package dremsa.server.containers;

import org.jspecify.annotations.NullMarked;
