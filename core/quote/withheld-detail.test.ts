import type { Message } from '../words/message.ts';
import { withheldDetail } from './withheld-detail.ts';

test.each<[string, Message, Record<string, unknown>]>([
  [
    'a rate that is off names its service and zone',
    { code: 'rate-off', service: 'Parcel', zone: 'West' },
    { what: 'rate', name: 'Parcel', zone: 'West' },
  ],
  [
    'an area that is off has no zone',
    { code: 'area-off', area: 'Ring' },
    { what: 'area', name: 'Ring', zone: null },
  ],
  [
    'a pickup point that is off has no zone',
    { code: 'pickup-off', point: 'Counter' },
    { what: 'pickup', name: 'Counter', zone: null },
  ],
  [
    'a product that is too heavy has no size',
    { code: 'does-not-pack', good: 'urn', weight: 31_000, most: 30_000 },
    { good: 'urn', weight: 31_000, most: 30_000, size: null },
  ],
  [
    'a product that goes into no box has no greatest weight',
    { code: 'fits-no-box', good: 'cane', weight: 400, size: { length: 2_100, width: 20, height: 20 } },
    { good: 'cane', weight: 400, most: null, size: { length: 2_100, width: 20, height: 20 } },
  ],
  [
    'a carrier that offers none of its services has no area',
    { code: 'carrier-none', account: 'Fulmar', services: ['ground'] },
    { account: 'Fulmar', services: ['ground'], area: null },
  ],
  [
    'an area that a carrier prices has neither account nor services',
    { code: 'area-by-carrier', area: 'Ring' },
    { account: null, services: [], area: 'Ring' },
  ],
  [
    'every other reason has its own figures',
    { code: 'below-minimum', subtotal: 900, least: 1_000 },
    { subtotal: 900, least: 1_000 },
  ],
])('%s', (_, say, detail) => {
  expect(withheldDetail(say)).toEqual(detail);
});
