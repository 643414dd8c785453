import type { Edition } from '../core/formats/edition.ts';
import { sha256 } from './read-edition.ts';
import { ServedEdition, type EditionSource } from './served-edition.ts';

/** Editions of shops that lie in no folder, by shop. */
export const heldEditions = (shops: Record<string, readonly Edition[]>): EditionSource => ({
  shops: new Map(
    Object.entries(shops).map(([shop, list]) => [
      shop,
      list.map((edition) => new ServedEdition(edition, sha256(JSON.stringify(edition)))),
    ]),
  ),
  refused: [],
});
