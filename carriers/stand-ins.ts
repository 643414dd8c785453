import type { CarrierAnswer, CarrierQuestion } from '../core/model/carrier.ts';
import type { Carrier } from './carrier.ts';
import { carrierIdOf, TARIFFS } from './directory.ts';
import { ratesBy } from './rates.ts';
import { bookBy, cancelBy, trackBy } from './shipment.ts';
import type { Tariff } from './tariff.ts';

/** A made-up carrier that answers by its tariff at once, wherever it runs. */
export interface StandIn extends Carrier {
  rate: (question: CarrierQuestion) => CarrierAnswer;
  book: (booking: Parameters<Carrier['book']>[0]) => ReturnType<typeof bookBy>;
  cancel: typeof cancelBy;
  track: typeof trackBy;
}

const standIn = (tariff: Tariff): StandIn => ({
  id: tariff.id,
  name: tariff.name,
  rate: (question) => ratesBy(tariff, question),
  book: (booking) => bookBy(tariff, booking),
  cancel: cancelBy,
  track: trackBy,
});

/** The carriers there are. */
export const STAND_INS: readonly StandIn[] = TARIFFS.map(standIn);

export const carrierById = (id: string): StandIn | undefined =>
  STAND_INS.find((carrier) => carrier.id === carrierIdOf(id));

/** The answers to questions, at once and without a network: what test orders, audits and replays are worked out with. */
export const answersAtOnce = (questions: readonly CarrierQuestion[]): CarrierAnswer[] =>
  questions.map(
    (question) =>
      carrierById(question.carrier)?.rate(question) ?? {
        key: question.key,
        ok: false,
        error: 'unreachable',
        text: `there is no carrier ${question.carrier}`,
      },
  );
