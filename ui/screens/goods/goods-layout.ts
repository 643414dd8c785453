/** The measures of the table, known beforehand so that a row is placed without being drawn. */
export const ROW_HEIGHT = 38;
export const PHONE_ROW_HEIGHT = 64;
/** The height of a good that is opened under its row. */
export const OPEN_HEIGHT = 344;

export const COLUMN_WIDTHS = {
  tick: 36,
  name: null,
  price: 88,
  weight: 100,
  size: 156,
  more: 48,
} as const;

export interface Place {
  length: number;
  offset: number;
  index: number;
}

/** Where a row stands in the list, with the good that is opened, if one is, making its row taller. */
export const rowPlace = (index: number, height: number, openAt: number): Place => ({
  index,
  length: height + (index === openAt ? OPEN_HEIGHT : 0),
  offset: index * height + (openAt >= 0 && index > openAt ? OPEN_HEIGHT : 0),
});

/** The role of a cell of a grid, which React Native's list of roles lacks. */
export const GRIDCELL = 'gridcell' as 'cell';
