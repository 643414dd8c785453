import type { Size } from '../../core/model/good.ts';
import type { LimitMeasure, Measure } from '../../core/model/price.ts';
import {
  measureFigure,
  moneyFigure,
  numberFigure,
  percentFigure,
  sizeFigure,
  type DisplayFormat,
} from '../../core/words/figure.ts';
import { selectDisplayFormat } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import { DraftField, type DraftFieldProps, type Read } from './draft-field.tsx';
import {
  optional,
  readCountWithin,
  readDate,
  readMeasure,
  readMoney,
  readName,
  readPercent,
  readRoom,
  readSeconds,
  readTime,
  readTokens,
  readWords,
} from './readers.ts';

/** Fields of the draft by what they hold: each knows how its value is written and read. */

/** What a field of any kind may be given beside its value. */
type Shown = Omit<DraftFieldProps<never>, 'text' | 'read' | 'onChange'>;

/** A field of one value. */
type FieldOf<T, More = unknown> = (props: Shown & ValueProps<T> & More) => React.JSX.Element;

interface ValueProps<T> {
  value: T;
  onChange: (value: T, visit: string) => void;
}

/** How a value is written in a field and read again; `more` is what the field is told about it. */
export interface FieldKind<T, More> {
  write: (value: T, display: DisplayFormat, more: More) => string;
  /** The keys that a phone shows for it; all of them where a unit or words may be written. */
  keys?: Shown['inputMode'];
  read: (display: DisplayFormat, more: More) => (text: string) => Read<T>;
}

export const fieldOf =
  <T, More = unknown>({ write, read, keys }: FieldKind<T, More>): FieldOf<T, More> =>
  ({ value, onChange, ...more }) => {
    const display = useAppSelector(selectDisplayFormat);
    const told = more as Shown & More;
    return (
      <DraftField
        {...(keys ? { inputMode: keys } : {})}
        {...told}
        text={write(value, display, told)}
        read={read(display, told)}
        onChange={onChange}
      />
    );
  };

/** The same for an optional value: an empty field is no value. */
export const optionalFieldOf = <T, More = unknown>({
  write,
  read,
  ...kind
}: FieldKind<T, More>): FieldOf<T | undefined, More> =>
  fieldOf<T | undefined, More>({
    ...kind,
    write: (value, display, more) => (value === undefined ? '' : write(value, display, more)),
    read: (display, more) => optional<T>(read(display, more)),
  });

const MONEY: FieldKind<number, unknown> = {
  write: (value, { decimals }) => moneyFigure(value, decimals),
  read: readMoney,
  keys: 'decimal',
};
/** An amount in minor units. */
export const MoneyField = fieldOf(MONEY);
export const OptionalMoneyField = optionalFieldOf(MONEY);

interface Measured {
  measure: Measure | LimitMeasure;
}
const MEASURE: FieldKind<number, Measured> = {
  write: (value, display, { measure }) => measureFigure(measure, value, display),
  read: (display, { measure }) => readMeasure(measure, display),
};
/** A weight, length, volume, distance or count, in the shop's units. */
export const MeasureField = fieldOf(MEASURE);
export const OptionalMeasureField = optionalFieldOf(MEASURE);

/** The inside of a box; no side is 0. */
export const SizeField = fieldOf<Size>({
  write: (value, { units }) => sizeFigure(value, units),
  read: readRoom,
});

interface Signed {
  /** Whether the sign stands in the field, as where the label does not say that it is a percentage. */
  sign?: boolean;
}
const PERCENT: FieldKind<number, Signed> = {
  write: (value, _, { sign = false }) => (sign ? percentFigure(value) : numberFigure(value / 100)),
  read: () => readPercent,
  keys: 'decimal',
};
/** A percentage in hundredths of a percent. */
export const PercentField = fieldOf(PERCENT);
export const OptionalPercentField = optionalFieldOf(PERCENT);

interface Within {
  least: number;
  most: number;
}
const COUNT: FieldKind<number, Within> = {
  write: (value) => String(value),
  read: (_, { least, most }) => readCountWithin(least, most),
  keys: 'numeric',
};
/** A whole number between two others. */
export const CountField = fieldOf(COUNT);
export const OptionalCountField = optionalFieldOf(COUNT);

/** A time of milliseconds, written in seconds. */
export const SecondsField = fieldOf<number, Within>({
  write: (value) => numberFigure(value / 1_000),
  read: (_, { least, most }) => readSeconds(least, most),
  keys: 'decimal',
});

const NAME: FieldKind<string, unknown> = { write: (value) => value, read: () => readName };
/** A name people read. */
export const NameField = fieldOf(NAME);
export const OptionalNameField = optionalFieldOf(NAME);

interface Longest {
  most: number;
}
/** Words of at most so many characters, which may be none. */
export const WordsField = fieldOf<string, Longest>({
  write: (value) => value,
  read: (_, { most }) => readWords(most),
});

const DATE: FieldKind<string, unknown> = { write: (value) => value, read: () => readDate };
/** A date. */
export const DateField = fieldOf(DATE);
export const OptionalDateField = optionalFieldOf(DATE);

/** A time of day. */
export const TimeField = fieldOf<string>({ write: (value) => value, read: () => readTime });

/** Words separated by commas. */
export const TokensField = fieldOf<string[]>({
  write: (value) => value.join(', '),
  read: () => readTokens,
});
