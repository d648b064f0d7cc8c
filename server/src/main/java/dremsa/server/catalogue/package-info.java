/** What can be read of formulas and methods: how they go in this kitchen, how they may vary. */
package dremsa.server.catalogue;
