import type { Fault, FaultCode } from '../../../core/model/fault.ts';
import type { CustomerWords } from '../../../core/words/customer/customer-words.ts';
import type { MessageId } from '../../../core/words/customer/english.ts';

const SAID: Partial<Record<FaultCode, MessageId>> = {
  'choice-gone': 'fault.choice-gone',
  'payment-gone': 'fault.payment-gone',
  'charge-changed': 'fault.charge-changed',
  'slot-needed': 'fault.slot-needed',
  'slot-gone': 'fault.slot-gone',
};

/** Why an order cannot be placed, as its customer is told. */
export const orderFault = ({ code }: Fault, say: CustomerWords['say']): string =>
  say(SAID[code] ?? 'fault.other');
