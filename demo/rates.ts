import type { Price, Step } from '../core/model/price.ts';
import type { Rate, Service } from '../core/model/rate.ts';
import { byCairn, byGannet, byFulmar } from './carriers.ts';

export const demoServices: Service[] = [
  { id: 'seed-mail', name: 'Seed mail', note: 'A letter, without tracking' },
  { id: 'parcel', name: 'Parcel' },
  { id: 'express', name: 'Express', note: 'Signed for on delivery' },
  { id: 'pallet', name: 'Pallet', note: 'To the kerb, by appointment' },
];

const KG = 1_000;

const rate = (serviceId: string, zoneId: string, price: Price, part: Partial<Rate>): Rate => ({
  id: `${serviceId}-${zoneId}`,
  serviceId,
  zoneId,
  active: true,
  price,
  whenWithheld: 'hide',
  taxable: true,
  ...part,
});

const byWeight = (...pairs: [from: number, amount: number][]): Price => ({
  kind: 'steps',
  basis: 'weight',
  per: 'order',
  steps: pairs.map(([from, amount]) => ({ from, amount })),
});

const seedMail = (zoneId: string, amount: number, min: number, max: number): Rate =>
  rate(
    'seed-mail',
    zoneId,
    { kind: 'flat', amount, per: 'order' },
    {
      limits: { weight: { max: 400 }, longestSide: { max: 240 } },
      transit: { min, max },
    },
  );

const parcel = (zoneId: string, price: Price, min: number, max: number, part: Partial<Rate> = {}): Rate =>
  rate('parcel', zoneId, price, {
    limits: { weight: { max: 30 * KG }, longestSide: { max: 1_500 } },
    handling: { amount: 180, per: 'order' },
    transit: { min, max },
    whenWithheld: 'tell',
    ...part,
  });

const express = (zoneId: string, first: number, eachKg: number, min: number, max: number): Rate => {
  const step: Step = { from: 0, amount: first, each: { size: KG, amount: eachKg, count: 'started' } };
  return rate(
    'express',
    zoneId,
    { kind: 'steps', basis: 'weight', per: 'order', steps: [step], until: 12 * KG },
    {
      limits: { longestSide: { max: 1_000 } },
      transit: { min, max },
    },
  );
};

/** Express by a carrier's own prices, with one of the shop's for when it does not answer. */
const expressBy = (zoneId: string, price: Price): Rate =>
  rate('express', zoneId, price, { limits: { longestSide: { max: 1_200 } } });

const pallet = (zoneId: string, amount: number, min: number, max: number): Rate =>
  rate(
    'pallet',
    zoneId,
    { kind: 'flat', amount, per: 'order' },
    {
      limits: { weight: { min: 5 * KG, max: 450 * KG } },
      handling: { points: 400, per: 'order' },
      transit: { min, max },
      whenWithheld: 'tell',
      message: 'For long or heavy orders, from 5 kg.',
    },
  );

/**
 * The cells of the board. Parcel has no rate in the North, and in the West it costs less from 10 kg
 * than from 5 kg: both as a merchant would leave them by mistake.
 */
export const demoRates: Rate[] = [
  seedMail('maritimes', 210, 2, 5),
  seedMail('newfoundland', 210, 3, 6),
  seedMail('central', 210, 3, 6),
  seedMail('west', 210, 4, 8),
  seedMail('north', 210, 6, 14),
  seedMail('united-states', 340, 6, 12),
  seedMail('europe', 480, 8, 16),
  seedMail('remaining', 620, 10, 30),
  parcel('maritimes', byWeight([0, 850], [2 * KG, 1_100], [5 * KG, 1_550], [10 * KG, 2_400]), 2, 4, {
    freeFrom: 8_500,
  }),
  parcel('newfoundland', byWeight([0, 1_100], [2 * KG, 1_480], [5 * KG, 2_260], [10 * KG, 3_850]), 4, 7),
  parcel('central', byWeight([0, 1_050], [2 * KG, 1_390], [5 * KG, 2_080], [10 * KG, 3_400]), 3, 6, {
    freeFrom: 14_000,
  }),
  parcel(
    'west',
    byWeight([0, 1_250], [2 * KG, 1_690], [5 * KG, 2_640], [10 * KG, 2_390], [20 * KG, 5_150]),
    5,
    9,
  ),
  parcel('united-states', byWeight([0, 1_690], [2 * KG, 2_450], [5 * KG, 3_980], [10 * KG, 6_900]), 6, 11, {
    limits: { weight: { max: 20 * KG }, longestSide: { max: 1_050 } },
    bounds: { max: 6_500 },
  }),
  expressBy('maritimes', byFulmar(2_400)),
  express('newfoundland', 2_150, 310, 1, 2),
  expressBy('central', byFulmar(3_200)),
  expressBy('west', byFulmar(4_500)),
  express('north', 3_900, 780, 2, 5),
  expressBy('united-states', byGannet(5_400)),
  pallet('maritimes', 6_400, 2, 5),
  pallet('newfoundland', 11_800, 5, 9),
  { ...pallet('central', 0, 3, 7), price: byCairn },
  { ...pallet('west', 0, 6, 12), price: { kind: 'table', tableId: 'pallets-west' } },
];
