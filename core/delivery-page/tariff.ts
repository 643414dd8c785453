import type { CustomerWords } from '../words/customer/customer-words.ts';
import type { DeliveryPage, PageLine } from './delivery-page.ts';

/** A piece of a printed tariff, set one under the other. */
export type TariffBlock =
  | { kind: 'part'; text: string }
  | { kind: 'place'; text: string }
  | { kind: 'price'; name: string; price: string }
  | { kind: 'note'; text: string };

const note = (text: string): TariffBlock[] => (text === '' ? [] : [{ kind: 'note', text }]);

const priced = ({ name, price, notes }: PageLine): TariffBlock[] => [
  { kind: 'price', name, price },
  ...note(notes.join(' · ')),
];

const part = (text: string, blocks: readonly TariffBlock[]): TariffBlock[] =>
  blocks.length === 0 ? [] : [{ kind: 'part', text }, ...blocks];

const place = (text: string): TariffBlock => ({ kind: 'place', text });

/** The delivery page as a printed tariff: every price that it says, without the words around them. */
export const tariffBlocks = (
  { zones, areas, points, duties, closed }: DeliveryPage,
  { say }: CustomerWords,
): TariffBlock[] => [
  ...part(
    say('page.shipped'),
    zones.flatMap(({ places, lines }) => [place(places), ...lines.flatMap(priced)]),
  ),
  ...part(
    say('page.delivered'),
    areas.flatMap(({ name, where, lines, notes }) => [
      place(name),
      ...note(where),
      ...lines.flatMap(priced),
      ...note(notes.join(' · ')),
    ]),
  ),
  ...part(
    say('page.collected'),
    points.flatMap(({ name, price, notes, address, week }): TariffBlock[] => [
      place(name),
      ...note(address.join(', ')),
      { kind: 'price', name: say('page.collecting'), price },
      ...note(notes.join(' · ')),
      ...note(week === '' ? '' : say('page.open', { hours: week })),
    ]),
  ),
  ...part(
    say('page.abroad'),
    duties.flatMap((text) => note(text)),
  ),
  ...part(
    say('page.closed'),
    closed.flatMap(({ name, days }) => [place(name), ...note(days.join(', '))]),
  ),
];
