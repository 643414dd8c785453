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

/** Of a word's places the one that stands over the fewest words, then the fewest marks. */
const leastOver = (
  label: Label,
  points: readonly Box[],
  words: readonly Box[],
): Label['places'][number] | undefined => {
  const over = (boxes: readonly Box[], place: Label['places'][number]): number =>
    boxes.filter((box) => meet(box, boxOf(label, place))).length;
  const cost = (place: Label['places'][number]): number => over(words, place) * 1_000 + over(points, place);
  return [...label.places].sort((a, b) => cost(a) - cost(b))[0];
};

/**
 * The words that have room, those listed first before the others; marks, as points, are kept free. A needed word
 * stands over marks before it stands over another word.
 */
export const placedLabels = (
  labels: readonly Label[],
  marks: readonly (readonly [x: number, y: number])[],
): PlacedLabel[] => {
  const points = marks.map(([x, y]): Box => [x - 5, y - 5, x + 5, y + 5]);
  const words: Box[] = [];
  return labels.flatMap((label) => {
    const isClear = (of: readonly Box[]) => (place: Label['places'][number]) =>
      !of.some((box) => meet(box, boxOf(label, place)));
    const free = label.places.find(isClear([...points, ...words]));
    const needed = label.isNeeded ? leastOver(label, points, words) : undefined;
    const place = free ?? needed;
    if (!place) return [];
    words.push(boxOf(label, place));
    return [{ key: label.key, text: label.text, size: label.size, x: place[0], y: place[1] }];
  });
};
