import type { SellsTo } from '../../../core/model/place.ts';
import type { Workbook } from '../workbook.ts';

/** Changes to where the shop sells at all. Each changes the workbook it is given, which is a draft of the state. */
export const reachEdits = {
  /** Opens or closes countries, whichever list the mode keeps. */
  openCountries: ({ book }: Workbook, { countries, open }: { countries: string[]; open: boolean }): void => {
    const { sellsTo } = book.store;
    const isListed = open === (sellsTo.mode === 'listed');
    const changed = new Set(countries);
    const others = sellsTo.countries.filter((country) => !changed.has(country));
    sellsTo.countries = isListed ? [...others, ...countries].sort() : others;
  },

  /** Goes from one list to the other without opening or closing a country: `all` are the world's countries. */
  setSellsMode: ({ book }: Workbook, { mode, all }: { mode: SellsTo['mode']; all: string[] }): void => {
    const { sellsTo } = book.store;
    if (sellsTo.mode === mode) return;
    const listed = new Set(sellsTo.countries);
    sellsTo.mode = mode;
    sellsTo.countries = all.filter((country) => !listed.has(country)).sort();
  },

  /** Opens or closes one subdivision inside its country. */
  openSubdivision: (
    { book }: Workbook,
    { subdivision, open }: { subdivision: string; open: boolean },
  ): void => {
    const { sellsTo } = book.store;
    const others = sellsTo.closedRegions.filter((region) => region.subdivision !== subdivision);
    const closed = open ? [] : [{ country: subdivision.slice(0, 2), subdivision }];
    sellsTo.closedRegions = [...others, ...closed];
  },

  setClosedRegions: ({ book }: Workbook, { closedRegions }: Pick<SellsTo, 'closedRegions'>): void => {
    book.store.sellsTo.closedRegions = closedRegions;
  },
};
