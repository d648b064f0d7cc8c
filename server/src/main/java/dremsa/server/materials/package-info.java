/** What a household knows of materials: the catalogue, overlaid by its own. */
package dremsa.server.materials;
