/** A household's kitchen: hobs, vessels, strainers, measures and climate. */
package dremsa.server.kitchens;
