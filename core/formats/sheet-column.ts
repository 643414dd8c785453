/** A column of a list as a spreadsheet has it, with what it holds in a sentence. */
export interface SheetColumn {
  heading: string;
  about: string;
  isNumber: boolean;
}

/** What a column holds, without its heading. */
export type ColumnAbout = Omit<SheetColumn, 'heading'>;

/** A column whose cells are numbers. */
export const numbers = (about: string): ColumnAbout => ({ about, isNumber: true });
/** A column whose cells are read as they stand. */
export const words = (about: string): ColumnAbout => ({ about, isNumber: false });
