import { t } from '../../../../core/translate/translate.ts';
import { labelled } from '../../../../core/words/labelled.ts';
import { readShapes, type ReadShape } from '../../../../core/formats/area-geojson.ts';
import { faultSentence } from '../../../../core/words/fault-sentence.ts';
import { openFile } from '../../../files/files.ts';

/** The shapes of a file that a person picks, or why there are none; null where no file was picked. */
export type OpenedShapes = { ok: true; name: string; shapes: ReadShape[] } | { ok: false; reason: string };

const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
};

/** Asks for a GeoJSON file and reads its polygons. */
export const openShapes = async (): Promise<OpenedShapes | null> => {
  const file = await openFile('geojson');
  if (!file) return null;
  const { name, text } = file;
  if (text === null) return { ok: false, reason: t('{name} is too large to be read.', { name }) };
  const value = parsed(text);
  if (value === undefined) return { ok: false, reason: t('{name} is not JSON.', { name }) };
  const read = readShapes(value);
  if (read.ok) return { ok: true, name, shapes: read.value };
  const [first] = read.faults;
  return { ok: false, reason: labelled(name, first ? faultSentence(first) : '') };
};

/** What a shape is called where its file does not say. */
export const shapeName = ({ name }: ReadShape, at: number): string =>
  name ?? t('Shape {count}', { count: at + 1 });

/** What is said of shapes whose holes are left out; empty where there are no holes. */
export const holesNote = (shapes: readonly ReadShape[]): string =>
  shapes.some(({ hasHoles }) => hasHoles) ? t('Holes were left out: an area has none.') : '';
