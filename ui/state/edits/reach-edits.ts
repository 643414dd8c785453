import type { Region, SellsTo } from '../../../core/model/place.ts';
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
    workbook: Workbook,
    { subdivision, open }: { subdivision: string; open: boolean },
  ): void => {
    const { sellsTo } = workbook.book.store;
    const country = subdivision.slice(0, 2);
    const isOther = (region: Region): boolean => region.subdivision !== subdivision;
    const only = sellsTo.onlyRegions?.filter(isOther) ?? [];
    if (sellsTo.onlyRegions?.some((region) => region.country === country)) {
      // The last of them closed would open the whole country: it is closed instead.
      if (!open && !only.some((region) => region.country === country))
        reachEdits.openCountries(workbook, { countries: [country], open: false });
      else sellsTo.onlyRegions = open ? [...only, { country, subdivision }] : only;
      return;
    }
    const others = sellsTo.closedRegions.filter(isOther);
    sellsTo.closedRegions = open ? others : [...others, { country, subdivision }];
  },

  /** Opens some subdivisions of a country and closes others. */
  setRegions: (workbook: Workbook, { open, close }: { open: string[]; close: string[] }): void => {
    // Opened first: where only some are open, the last one closed would close the country.
    for (const subdivision of open) reachEdits.openSubdivision(workbook, { subdivision, open: true });
    for (const subdivision of close) reachEdits.openSubdivision(workbook, { subdivision, open: false });
  },

  /**
   * Says of a country's regions which are open, or which are closed, without opening or closing any: `all` are the
   * codes of its subdivisions.
   */
  setRegionMode: (
    { book }: Workbook,
    { country, only, all }: { country: string; only: boolean; all: string[] },
  ): void => {
    const { sellsTo } = book.store;
    const isHere = (region: Region): boolean =>
      region.country === country && region.subdivision !== undefined;
    const listed = new Set(
      (only ? sellsTo.closedRegions : (sellsTo.onlyRegions ?? []))
        .filter(isHere)
        .map(({ subdivision }) => subdivision),
    );
    const others = all
      .filter((subdivision) => !listed.has(subdivision))
      .map((subdivision) => ({ country, subdivision }));
    const elsewhere = (sellsTo.onlyRegions ?? []).filter((region) => region.country !== country);
    sellsTo.closedRegions = [
      ...sellsTo.closedRegions.filter((region) => !isHere(region)),
      ...(only ? [] : others),
    ];
    const open = [...elsewhere, ...(only ? others : [])];
    if (open.length > 0) sellsTo.onlyRegions = open;
    else delete sellsTo.onlyRegions;
  },

  /** Whether what does not travel is sold to every country. */
  setDigitalEverywhere: ({ book }: Workbook, { on }: { on: boolean }): void => {
    if (on) book.store.sellsTo.digitalEverywhere = true;
    else delete book.store.sellsTo.digitalEverywhere;
  },

  setClosedRegions: ({ book }: Workbook, { closedRegions }: Pick<SellsTo, 'closedRegions'>): void => {
    book.store.sellsTo.closedRegions = closedRegions;
  },
};
