/** The bottles, jars and trays that a household owns: how many are free, which are sterilised. */
package dremsa.server.containers;
