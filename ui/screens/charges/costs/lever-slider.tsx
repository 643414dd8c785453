import { createElement } from 'react';
import { useInks } from '../../../theme/theme.ts';
import { TOUCH } from '../../../theme/tokens.ts';

interface Props {
  label: string;
  /** The values it stops at, rising. */
  stops: readonly number[];
  value: number | null;
  /** What a value is called, for those who hear it. */
  text: string;
  onChange: (value: number) => void;
}

const nearest = (stops: readonly number[], value: number): number =>
  stops.reduce(
    (best, stop, at) => (Math.abs(stop - value) < Math.abs((stops[best] ?? 0) - value) ? at : best),
    0,
  );

/** A lever moved along its values, by hand or with the arrow keys. */
export const LeverSlider = ({ label, stops, value, text, onChange }: Props) => {
  const inks = useInks();
  return createElement('input', {
    type: 'range',
    min: 0,
    max: Math.max(stops.length - 1, 0),
    step: 1,
    value: nearest(stops, value ?? 0),
    'aria-label': label,
    'aria-valuetext': text,
    onChange: ({ target }: { target: { value: string } }) => {
      const stop = stops[Number(target.value)];
      if (stop !== undefined) onChange(stop);
    },
    style: { width: '100%', height: TOUCH, margin: 0, accentColor: inks.ink },
  });
};
