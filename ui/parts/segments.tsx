import { useLayoutEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { SegmentedButtons, Text } from 'react-native-paper';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import { memoizedByLooks } from './memoized-by-looks.tsx';
import { textWidth } from '../theme/text-width.ts';
import { SANS_STRONG, type Inks } from '../theme/tokens.ts';

interface Option<V extends string> {
  value: V;
  label: string;
}

interface Props<V extends string> {
  /** What is chosen, above the segments and for who does not see them. */
  label: string;
  hideLabel?: boolean;
  value: V;
  options: readonly Option<V>[];
  onChange: (value: V) => void;
  width?: number;
}

const styles = (inks: Inks) => ({
  all: { gap: 4 },
  label: { ...note(inks), marginBottom: -4 },
});

const SIZE = 13;
/** What stands beside the label of a segment, in pixels. */
const BESIDE = 34;

/** The options in as few even rows as let every label be read; `widest` is how wide the widest segment has to be. */
export const rowsOf = <T,>(options: readonly T[], widest: number, room: number): T[][] => {
  const most = Math.min(options.length, Math.max(1, Math.floor(room / widest)));
  const each = Math.ceil(options.length / Math.ceil(options.length / most));
  return Array.from({ length: Math.ceil(options.length / each) }, (_, row) =>
    options.slice(row * each, (row + 1) * each),
  );
};

const widestOf = (options: readonly { label: string }[]): number =>
  Math.max(...options.map(({ label }) => textWidth(label, SANS_STRONG, SIZE))) + BESIDE;

/** Tells who does not see it which segment is chosen: Paper's buttons say so by their colour alone. */
const markPressed = <V extends string>(
  all: Element | null,
  options: readonly Option<V>[],
  value: V,
): void => {
  const chosen = options.findIndex((option) => option.value === value);
  all?.querySelectorAll?.('button').forEach((button, at) => {
    button.setAttribute('aria-pressed', String(at === chosen));
  });
};

const Drawn = <V extends string>({ label, hideLabel = false, value, options, onChange, width }: Props<V>) => {
  const style = useStyles(styles);
  const [room, setRoom] = useState(Number.POSITIVE_INFINITY);
  const all = useRef<View>(null);
  // With the buttons, not after them: a reader never meets one that does not say it.
  useLayoutEffect(() => markPressed(all.current as unknown as Element | null, options, value));
  return (
    <View
      ref={all}
      role="group"
      aria-label={label}
      style={[style.all, width === undefined ? null : { width, alignSelf: 'flex-end' }]}
      onLayout={({ nativeEvent: { layout } }) => setRoom(layout.width)}
    >
      {hideLabel ? null : <Text style={style.label}>{label}</Text>}
      {rowsOf(options, widestOf(options), room).map((row) => (
        <SegmentedButtons
          key={row[0]?.value ?? ''}
          value={value}
          onValueChange={(chosen) => onChange(chosen as V)}
          buttons={row.map((option) => ({
            ...option,
            labelStyle: { fontFamily: SANS_STRONG, fontSize: SIZE, lineHeight: 22, marginHorizontal: -12 },
            // One that is alone in its row is the first of it, which has no edge towards a second.
            style: { minWidth: 0, borderRadius: 2, ...(row.length === 1 ? { borderEndWidth: 1 } : {}) },
          }))}
        />
      ))}
    </View>
  );
};

/** One of a few, side by side; in several rows where there is no room for all labels in one. */
export const Segments = memoizedByLooks(Drawn) as typeof Drawn;
