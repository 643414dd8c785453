/**
 * The floors of the core, from the ground up: a folder imports from itself and from those before it, types included.
 * What each holds is in docs/core.md.
 */
export const FLOORS = [
  'memo',
  'translate',
  'model',
  'place',
  'time',
  'words',
  'goods',
  'basket',
  'pack',
  'price',
  'duty',
  'adjust',
  'faults',
  'quote',
  'coverage',
  'formats',
  'order',
  'replay',
  'costs',
  'check',
  'audit',
  'delivery-page',
  'publish',
  'repair',
  'begin',
];

/** For ESLint: each folder with those it may not import from. */
export const FLOOR_WALLS = FLOORS.slice(0, -1).map((folder, at) => ({
  target: `./core/${folder}`,
  from: FLOORS.slice(at + 1).map((above) => `./core/${above}`),
  message: `core/${folder} is below that folder: it imports from the floors under it (eslint.floors.mjs).`,
}));

/** The floors of the interface, from the ground up; CONTRIBUTING says what each holds. */
export const UI_FLOORS = [
  'language',
  'time',
  'theme',
  'places',
  'state',
  'customer-words',
  'files',
  'carriers',
  'workers',
  'parts',
  'fields',
  'page',
  'list-import',
  'preview',
  'find',
  'screens',
  'shell',
  'gallery',
];

export const UI_FLOOR_WALLS = UI_FLOORS.slice(0, -1).map((folder, at) => ({
  target: `./ui/${folder}`,
  from: UI_FLOORS.slice(at + 1).map((above) => `./ui/${above}`),
  message: `ui/${folder} is below that folder: it imports from the floors under it (eslint.floors.mjs).`,
}));
