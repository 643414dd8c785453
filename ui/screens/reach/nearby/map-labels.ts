/** A word on the map: where it may stand, by preference; the first that is free is taken. */
export interface Label {
  key: string;
  text: string;
  size: number;
  /** The left end of the line the word stands on, for each place it may have. */
  places: readonly (readonly [x: number, y: number])[];
  /** One that is always written, even over others. */
  isNeeded: boolean;
}

export interface PlacedLabel {
  key: string;
  text: string;
  size: number;
  x: number;
  y: number;
}

type Box = readonly [left: number, top: number, right: number, bottom: number];

const LETTER = 0.6;

const boxOf = ({ text, size }: Label, [x, y]: readonly [number, number]): Box => [
  x - 2,
  y - size,
  x + text.length * size * LETTER + 2,
  y + size * 0.3,
];

const meet = (a: Box, b: Box): boolean => a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];

/** The words that have room, those listed first before the others; marks, as points, are kept free. */
export const placedLabels = (
  labels: readonly Label[],
  marks: readonly (readonly [x: number, y: number])[],
): PlacedLabel[] => {
  const taken: Box[] = marks.map(([x, y]) => [x - 5, y - 5, x + 5, y + 5]);
  return labels.flatMap((label) => {
    const free = label.places.find((place) => !taken.some((box) => meet(box, boxOf(label, place))));
    const place = free ?? (label.isNeeded ? label.places[0] : undefined);
    if (!place) return [];
    taken.push(boxOf(label, place));
    return [{ key: label.key, text: label.text, size: label.size, x: place[0], y: place[1] }];
  });
};
