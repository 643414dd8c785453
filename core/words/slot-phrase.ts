import { t } from '../translate/translate.ts';
import type { Choice } from '../model/quote.ts';
import { momentFigure } from './moment-figure.ts';

type Slot = NonNullable<Choice['slots']>[number];

/** 'Tue 24 Nov, 14:30 to 15:30', as the clocks of the shop show it. */
export const slotFigure = ({ start, end }: Pick<Slot, 'start' | 'end'>): string =>
  t('{moment} to {end}', { moment: momentFigure(start), end: end.slice(11, 16) });

/** The first time that can be chosen, and how many there are; '' where there is nothing to choose. */
export const slotsPhrase = (slots: Choice['slots']): string => {
  const [first, ...more] = slots ?? [];
  if (!first) return '';
  const others =
    more.length > 0
      ? t(', {count, plural, one {# more time} other {# more times}}', { count: more.length })
      : '';
  return t('first {slot}{others}', { slot: slotFigure(first), others });
};
