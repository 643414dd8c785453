import { t } from '../translate/translate.ts';
import { labelled } from './labelled.ts';
import { moneyFigure, percentFigure, type DisplayFormat } from './figure.ts';
import type { Message } from './message.ts';

type Per = 'order' | 'parcel' | 'unit' | 'line';

/** '1 parcel', '3 units'. */
export const countOf = (count: number, per: Per): string =>
  t(
    '{per, select, parcel {{count, plural, one {# parcel} other {# parcels}}} unit {{count, plural, one {# unit} other {# units}}} line {{count, plural, one {# line} other {# lines}}} other {{count, plural, one {# order} other {# orders}}}}',
    { per, count },
  );

/** Whether a change takes off or adds. */
export const wayOf = (change: number): 'off' | 'more' => (change < 0 ? 'off' : 'more');

/** '2.50 off', '2.50 more'. */
export const changeFigure = (change: number, decimals: number): string =>
  t('{amount} {way, select, off {off} other {more}}', {
    amount: moneyFigure(Math.abs(change), decimals),
    way: wayOf(change),
  });

/** What an adjustment did to a charge. */
export const adjustedWords = (
  { name, effect, change, count, of }: Extract<Message, { code: 'adjusted' }>,
  { decimals }: DisplayFormat,
): string => {
  const money = (amount: number): string => moneyFigure(Math.abs(amount), decimals);
  switch (effect.do) {
    case 'free':
      return t('{name}: free', { name });
    case 'set':
      return t('{name}: set to {amount}', { name, amount: money(effect.amount) });
    case 'bounds':
      return change === 0
        ? t('{name}: within its bounds', { name })
        : change > 0
          ? t('{name}: raised to {amount}', { name, amount: money(effect.min ?? 0) })
          : t('{name}: cut to {amount}', { name, amount: money(effect.max ?? 0) });
    case 'percent':
      return t(
        '{name}: {percent} of {basis, select, charge {} other {the subtotal }}{amount} {way, select, off {off} other {more}}',
        {
          name,
          percent: percentFigure(Math.abs(effect.points)),
          basis: effect.of,
          amount: moneyFigure(of, decimals),
          way: wayOf(effect.points),
        },
      );
    case 'add':
      return effect.per === 'order'
        ? labelled(name, changeFigure(change, decimals))
        : t('{name}: {counted} at {amount}{way, select, off { off} other {}}', {
            name,
            counted: countOf(count, effect.per),
            amount: money(effect.amount),
            way: wayOf(effect.amount),
          });
    default:
      return name;
  }
};
