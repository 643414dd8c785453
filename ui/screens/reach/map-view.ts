/** What part of a map is shown: its upper left corner on the map's plane, and how much larger than whole. */
export interface MapView {
  x: number;
  y: number;
  zoom: number;
}

export const WHOLE_WORLD: MapView = { x: 0, y: 0, zoom: 1 };
const MOST_ZOOM = 12;

const between = (value: number, least: number, most: number): number =>
  Math.min(Math.max(value, least), most);

/** A view kept within the map. */
export const clampView = ({ x, y, zoom }: MapView, width: number, height: number): MapView => {
  const kept = between(zoom, 1, MOST_ZOOM);
  return {
    zoom: kept,
    x: between(x, 0, width - width / kept),
    y: between(y, 0, height - height / kept),
  };
};

/** A view so many times larger about its middle. */
export const zoomedView = (view: MapView, by: number, width: number, height: number): MapView => {
  const zoom = between(view.zoom * by, 1, MOST_ZOOM);
  const middle = { x: view.x + width / view.zoom / 2, y: view.y + height / view.zoom / 2 };
  return clampView({ zoom, x: middle.x - width / zoom / 2, y: middle.y - height / zoom / 2 }, width, height);
};

/** A view moved by so many of the screen's units. */
export const movedView = (view: MapView, dx: number, dy: number, width: number, height: number): MapView =>
  clampView({ ...view, x: view.x + dx / view.zoom, y: view.y + dy / view.zoom }, width, height);
