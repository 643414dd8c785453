import { GRAMS_A_POUND, METRES_A_MILE, MM3_A_CUBIC_INCH, MM_AN_INCH } from './imperial.ts';

/** A unit in which a figure may be written, the words that name it, and how many of the book's units it is. */
export interface WrittenUnit {
  name: string;
  words: readonly string[];
  factor: number;
}

/** What is measured in units. */
export type UnitKind = 'weight' | 'length' | 'volume' | 'distance';

const MM_A_FOOT = 304.8;

const unit = (name: string, factor: number, words: string): WrittenUnit => ({
  name,
  factor,
  words: words.split(' ').map((word) => word.replace('_', ' ')),
});

/** The one list of units: in grams, millimetres, cubic millimetres and metres. */
export const WRITTEN_UNITS: Record<UnitKind, readonly WrittenUnit[]> = {
  weight: [
    unit('g', 1, 'g gr gram grams'),
    unit('kg', 1_000, 'kg kgs kilo kilos kilogram kilograms'),
    unit('lb', GRAMS_A_POUND, 'lb lbs pound pounds'),
    unit('oz', GRAMS_A_POUND / 16, 'oz ounce ounces'),
  ],
  length: [
    unit('cm', 10, 'cm'),
    unit('mm', 1, 'mm'),
    unit('m', 1_000, 'm metre metres meter meters'),
    unit('in', MM_AN_INCH, 'in inch inches "'),
    unit('ft', MM_A_FOOT, "ft foot feet '"),
  ],
  volume: [
    unit('mm3', 1, 'mm3 mm³'),
    unit('ml', 1_000, 'ml'),
    unit('cm3', 1_000, 'cm3 cm³ ccm cc'),
    unit('L', 1_000_000, 'l litre litres liter liters'),
    unit('m3', 1_000_000_000, 'm3 m³'),
    unit('cu in', MM3_A_CUBIC_INCH, 'cu_in cuin in3 in³'),
  ],
  distance: [
    unit('m', 1, 'm metre metres meter meters'),
    unit('km', 1_000, 'km kilometre kilometres kilometer kilometers'),
    unit('mi', METRES_A_MILE, 'mi mile miles'),
    unit('ft', MM_A_FOOT / 1_000, 'ft foot feet'),
  ],
};

/** How many of the book's units one of a unit is, by the unit's name or a word for it; undefined where it is none. */
export const unitFactor = (kind: UnitKind, word: string): number | undefined =>
  WRITTEN_UNITS[kind].find(({ name, words }) => name === word || words.includes(word))?.factor;
