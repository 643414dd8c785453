/** The maps, loaded together: they are drawn by the same library. */
export { default as WorldMap } from './world-map.tsx';
export { default as NearbyMap } from './nearby/nearby-map.tsx';
export { default as RoundMap } from './nearby/round-map.tsx';
