/** The measures and inks of the interface: a well-set printed book of rates. */

export interface Inks {
  ground: string;
  raised: string;
  ink: string;
  quiet: string;
  hairline: string;
  control: string;
  /** A fault, or the one main action of a page; nothing else. */
  rubric: string;
  sound: string;
  doubt: string;
}

export const PAPER: Inks = {
  ground: '#FBF8F1',
  raised: '#FFFDF8',
  ink: '#1D1B18',
  quiet: '#5E574D',
  hairline: '#D8D0C0',
  control: '#8C8272',
  rubric: '#A8321A',
  sound: '#2C6650',
  doubt: '#8A5A00',
};

export const LAMP: Inks = {
  ground: '#191714',
  raised: '#221F1B',
  ink: '#EFE8DA',
  quiet: '#B5AC9D',
  hairline: '#3A352E',
  control: '#7D7465',
  rubric: '#F08A6C',
  sound: '#7FC3A4',
  doubt: '#E2B45C',
};

export const SERIF = 'SourceSerif';
export const SERIF_ITALIC = 'SourceSerifItalic';
export const SERIF_STRONG = 'SourceSerifSemibold';
export const SANS = 'PublicSans';
export const SANS_STRONG = 'PublicSansSemibold';

/** Spacing, in fours. */
export const SPACE = { hair: 4, small: 8, medium: 12, large: 16, wide: 24, page: 36 } as const;

/** From which width the page stands beside a rail, and from which the preview stands beside the page. */
export const MEDIUM_FROM = 700;
export const WIDE_FROM = 1_100;
/** From which width what is opened stands beside what it was opened from, and how wide it is at least. */
export const BESIDE_FROM = 1_600;
export const BESIDE_WIDTH = 380;
export const RAIL_WIDTH = 104;
export const PAGE_WIDTH = 760;
export const SLIP_WIDTH = 384;
/** A row that a finger hits, and the least of a field or a button. */
export const TOUCH = 44;
export const FINGER = 40;
