import type { Asked } from '../../carriers/asking.ts';
import type { Misbehaviour } from '../../carriers/misbehaviour.ts';
import type { TrackedStep } from '../../carriers/shipment.ts';
import type { CarrierShipment } from '../../core/model/shipment.ts';
import type { CarrierAnswer } from '../../core/model/carrier.ts';

/** The one way to what asks carriers: it is loaded with the first question, and by nothing else. */
const asking = () => import('./ask-carriers.ts');

const PATH = '/api/carriers/troubles';

/** Each question's answer, asked at once. */
export const askCarriers = async (asked: readonly Asked[], signal: AbortSignal): Promise<CarrierAnswer[]> =>
  (await asking()).askCarriers(asked, signal);

/** Forgets what carriers said and that they failed, so that they are asked again. */
export const forgetAnswers = async (): Promise<void> => (await asking()).forgetAnswers();

/** The carriers that are left alone for a while after failing again and again. */
export const restingCarriers = async (): Promise<string[]> => (await asking()).restingCarriers();

/** Where a shipment is by a day, as its carrier says. */
export const trackShipment = async (shipment: CarrierShipment, on: string): Promise<TrackedStep[]> =>
  (await asking()).trackShipment(shipment, on);

/** The carriers' troubles as they are set, on the server or, without one, in this page. */
export const readTroublesSet = async (): Promise<Misbehaviour[]> => {
  try {
    const response = await fetch(PATH, { cache: 'no-store' });
    return ((await response.json()) as { troubles: Misbehaviour[] }).troubles;
  } catch {
    return (await asking()).troublesHere.list();
  }
};

/** Sets the carriers' troubles, on the server and in this page. */
export const setTroubles = async (troubles: readonly Misbehaviour[]): Promise<void> => {
  (await asking()).troublesHere.set(troubles);
  await fetch(PATH, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ troubles }),
  }).catch(() => undefined);
};
