import type { Effect } from '../model/adjustment.ts';
import type { CarrierFailure } from '../model/carrier.ts';
import type { Size } from '../model/good.ts';
import type { Each } from '../model/price.ts';
import type { MeasureName } from './figure.ts';

type Per = 'order' | 'parcel' | 'unit' | 'line';

/** What a line of the working, a reason or a notice says, as a code and figures; `sentence.ts` has the words. */
export type Message =
  | { code: 'flat'; amount: number }
  | {
      code: 'flat-count';
      per: 'parcel' | 'unit' | 'line';
      count: number;
      amount: number;
      first?: number | undefined;
    }
  | {
      code: 'percent-price';
      points: number;
      subtotal: number;
      min?: number | undefined;
      max?: number | undefined;
    }
  | { code: 'good-price'; good: string; per: 'unit' | 'line'; count: number; each: number; own: boolean }
  | { code: 'parcels-tier'; count: number; tier: Extract<Message, { code: 'tier' }> }
  | { code: 'goes-free' }
  | { code: 'nothing-travels' }
  | {
      code: 'tier';
      measure: MeasureName;
      value: number;
      from: number;
      amount: number;
      each?: Each | undefined;
      added: number;
      percent?: number | undefined;
      share: number;
    }
  | { code: 'once-fee'; good: string; amount: number }
  | {
      code: 'handling';
      whose: 'rate' | 'store';
      points: number;
      of: number;
      share: number;
      amount: number;
      count: number;
      per: Per;
    }
  | { code: 'free-reached'; subtotal: number; from: number }
  | { code: 'rounded'; to: number; mode: 'nearest' | 'up' }
  | { code: 'raised'; min: number }
  | { code: 'cut'; max: number }
  | { code: 'not-below-zero' }
  /** `change`: what the effect came to; `count`: how many times an amount was added; `of`: what a percentage is of. */
  | { code: 'adjusted'; name: string; effect: Effect; change: number; count: number; of: number }
  | { code: 'carrier-price'; account: string; service: string; amount: number; sandbox: boolean }
  | { code: 'carrier-points'; points: number; of: number }
  | { code: 'carrier-amount'; amount: number }
  | { code: 'carrier-override'; asked: number; amount: number }
  | {
      code: 'fallback';
      why: 'error' | 'none';
      account: string;
      amount: number;
      per: 'order' | 'parcel';
      count: number;
    }
  | { code: 'carrier-error'; account: string; error: CarrierFailure; text: string }
  | { code: 'carrier-none'; account: string; services: readonly string[] }
  | { code: 'duty-unknown'; country: string; goods: readonly string[] }
  | { code: 'fallback-used'; services: readonly string[] }
  | { code: 'sandbox-rates'; accounts: readonly string[] }
  | { code: 'prices-exclude-duty'; country: string }
  | { code: 'adjustment'; name: string; message: string }
  | { code: 'distance-unknown' }
  | { code: 'postal-not-served'; place: string; line: string | null }
  | {
      code: 'table-row';
      table: string;
      row: number;
      measure: MeasureName;
      value: number;
      place: string | null;
      from: number;
      to?: number | undefined;
      amount: number;
      each?: Each | undefined;
      added: number;
    }
  | { code: 'no-table-row'; table: string; measure: MeasureName; value: number; place: string | null }
  | { code: 'store-paused'; message: string }
  | { code: 'address-needed' }
  | { code: 'not-sold-there'; place: string }
  | { code: 'no-zone'; place: string }
  | { code: 'no-rate'; service: string; zone: string; meant: boolean }
  | { code: 'rate-off'; service: string; zone: string }
  | { code: 'channel'; channel: string | null; channels: readonly string[] }
  | { code: 'below-limit'; measure: MeasureName; value: number; limit: number }
  | { code: 'above-limit'; measure: MeasureName; value: number; limit: number }
  | { code: 'below-first-step'; measure: MeasureName; value: number; first: number }
  | { code: 'above-last-step'; measure: MeasureName; value: number; until: number }
  | { code: 'weight-unknown'; goods: readonly string[] }
  | { code: 'size-unknown'; goods: readonly string[] }
  | {
      code: 'goods-not-allowed';
      goods: readonly string[];
      group: string;
      by: 'service' | 'zone' | 'delivery' | 'pickup';
      to: string;
    }
  | { code: 'does-not-pack'; good: string; weight: number; most: number }
  | { code: 'fits-no-box'; good: string; size: Size; weight: number }
  | { code: 'price-unknown'; goods: readonly string[] }
  | { code: 'method'; method: string; amount: number }
  | { code: 'service-fee'; name: string; amount: number }
  | { code: 'area-free'; subtotal: number; from: number; taken: number; left: number }
  | { code: 'pickup-charge'; amount: number }
  | { code: 'area-off'; area: string }
  | { code: 'area-by-carrier'; area: string }
  | { code: 'pickup-off'; point: string }
  /** `beyond`: metres to the edge, where known; `instead`: the area of the location that takes the place. */
  | {
      code: 'outside-area';
      area: string;
      beyond: number | null;
      instead: string | null;
      pointless: boolean;
    }
  | { code: 'below-minimum'; subtotal: number; least: number }
  | { code: 'too-far'; distance: number; most: number }
  /** `next`: the first date or moment there would be, past what may be chosen. */
  | { code: 'no-time-left'; next: string | null }
  | { code: 'weight-assumed'; weight: number; goods: readonly string[] };

export type MessageCode = Message['code'];
