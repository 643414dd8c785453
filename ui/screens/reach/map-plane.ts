/** The plane of the world map, in its own units; the map is as wide as its place, and as tall as that makes it. */
export const MAP_WIDTH = 720;
export const MAP_HEIGHT = 360;
