/** What stayed in a strainer and is good for a second use: for a short while, then compost. */
package dremsa.server.leftovers;
