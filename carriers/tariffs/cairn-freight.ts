import { marked } from '../../core/translate/translate.ts';
import type { Tariff } from '../tariff.ts';

/** Pallets by road: all that leaves together is one price, by weight or by the room it takes. */
export const cairnFreight: Tariff = {
  id: 'cairn',
  name: 'Cairn Freight',
  about: marked('Pallets and long goods, by road only'),
  currency: 'CAD',
  collectsIn: 'CA',
  zones: [
    { name: 'Short haul', countries: ['CA'], upTo: 300_000 },
    { name: 'Middle haul', countries: ['CA'], upTo: 1_300_000 },
    { name: 'Long haul', countries: ['CA'], upTo: 3_500_000 },
    { name: 'Coast to coast', countries: ['CA'] },
    { name: 'United States', countries: ['US'], upTo: 2_500_000 },
  ],
  services: [
    {
      code: 'pallet',
      name: 'Cairn pallet',
      each: 'shipment',
      dimensional: 3_000,
      greatest: { weight: 900_000, longestSide: 3_600 },
      steps: [
        { upTo: 50_000, amounts: [6_900, 9_400, 13_900, 18_600, 15_800] },
        { upTo: 100_000, amounts: [8_400, 12_100, 18_800, 26_200, 21_700] },
        { upTo: 250_000, amounts: [12_200, 18_900, 31_400, 45_700, 37_200] },
        { upTo: 500_000, amounts: [18_300, 29_900, 51_800, 77_300, 62_000] },
      ],
      beyond: [22, 38, 70, 108, 85],
      days: [
        { min: 1, max: 3 },
        { min: 3, max: 6 },
        { min: 6, max: 10 },
        { min: 8, max: 14 },
        { min: 6, max: 12 },
      ],
      notTo: [
        'CA:A',
        'CA:X',
        'CA:Y',
        'CA:V0T',
        'CA:G4T',
        'US:967',
        'US:968',
        'US:995',
        'US:996',
        'US:997',
        'US:998',
        'US:999',
      ],
    },
    {
      code: 'pallet-timed',
      name: 'Cairn timed pallet',
      each: 'shipment',
      dimensional: 3_000,
      greatest: { weight: 900_000, longestSide: 3_600 },
      steps: [
        { upTo: 100_000, amounts: [12_900, 18_800, 29_200, 40_100, 34_000] },
        { upTo: 500_000, amounts: [26_400, 43_500, 74_800, 111_000, 90_000] },
      ],
      beyond: [32, 55, 102, 155, 124],
      days: [{ min: 1, max: 1 }, { min: 2, max: 3 }, { min: 4, max: 5 }, { min: 5, max: 7 }, null],
      notTo: ['CA:A', 'CA:X', 'CA:Y', 'CA:V0T', 'CA:G4T'],
    },
  ],
  surcharges: [
    { name: 'Tail lift', when: { kind: 'residential' }, amount: 4_500, each: 'shipment' },
    {
      name: 'Remote area',
      when: {
        kind: 'remote',
        areas: ['CA:B0', 'CA:E0', 'CA:G0', 'CA:J0', 'CA:P0', 'CA:R0', 'CA:S0', 'CA:T0', 'CA:V0'],
      },
      amount: 6_500,
      each: 'shipment',
    },
    { name: 'Long goods', when: { kind: 'long-side', over: 2_400 }, amount: 3_800, each: 'shipment' },
  ],
  fuel: [2_100, 2_150, 2_200, 2_150],
  cover: { included: 50_000, step: 50_000, amount: 650 },
  accounts: [{ number: 'CF-3120', secret: 'drystone', off: 1_500 }],
};
