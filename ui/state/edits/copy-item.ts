import { t } from '../../../core/translate/translate.ts';
import { freeId } from '../../../core/model/ids.ts';

const LONGEST_NAME = 120;

/** One of a list once more, after itself: switched off, so that it can be changed first, and named as a copy. */
export const copyItem = <T extends { id: string; name: string; active: boolean }>(
  list: T[],
  id: string,
): void => {
  const at = list.findIndex((one) => one.id === id);
  const source = list[at];
  if (!source) return;
  const name = t('{source}, copy', { source: source.name }).slice(0, LONGEST_NAME);
  const copy = JSON.parse(JSON.stringify(source)) as T;
  list.splice(at + 1, 0, { ...copy, id: freeId(name, list), name, active: false });
};
