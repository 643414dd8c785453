import { makeAsker, type Asked, type Asker } from '../../carriers/asking.ts';
import { askHere } from '../../carriers/ask-here.ts';
import { Troubles } from '../../carriers/misbehaviour.ts';
import type { TrackedStep } from '../../carriers/shipment.ts';
import type { CarrierShipment } from '../../core/model/shipment.ts';
import { carrierById } from '../../carriers/stand-ins.ts';
import type { CarrierAnswer, CarrierQuestion } from '../../core/model/carrier.ts';

/** The troubles of the stand-ins that answer in this page, where there is no server. */
export const troublesHere = new Troubles();

/** Whether the server answers at all: a carrier that is down is not a server that is gone. */
const hasServer = async (): Promise<boolean> => {
  try {
    return (await fetch('/health', { cache: 'no-store' })).ok;
  } catch {
    return false;
  }
};

const refused = async (question: CarrierQuestion, response: Response): Promise<unknown> => {
  const { error } = (await response.json()) as { error?: string };
  return { key: question.key, ok: false, error: 'refused', text: error ?? '' };
};

const send = async (question: CarrierQuestion, signal: AbortSignal): Promise<unknown> => {
  let response: Response;
  try {
    response = await fetch(`/api/carriers/${question.carrier}/rates`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(question),
      signal,
    });
  } catch (error) {
    if (signal.aborted || (await hasServer())) throw error;
    return askHere(troublesHere)(question, signal);
  }
  return response.ok ? response.json() : refused(question, response);
};

/** The carriers, asked over HTTP, or in this page where no server answers. */
export const asker: Asker = makeAsker({ send, now: () => performance.now(), random: Math.random });

/** Each question's answer, asked at once. */
export const askCarriers = (asked: readonly Asked[], signal: AbortSignal): Promise<CarrierAnswer[]> =>
  asker.ask(asked, signal);

/** Forgets what carriers said and that they failed, so that they are asked again. */
export const forgetAnswers = (): void => asker.forget();

/** The carriers that are left alone for a while. */
export const restingCarriers = (): string[] => [...asker.resting().keys()];

/** Where a shipment is by a day, as its carrier says. */
export const trackShipment = (shipment: CarrierShipment, on: string): TrackedStep[] =>
  carrierById(shipment.carrier)?.track(shipment, on) ?? [];
