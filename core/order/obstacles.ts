import type { Quote, Withheld } from '../model/quote.ts';
import { WithheldChoice } from '../quote/withheld.ts';
import { customerReason, type CustomerReason } from '../words/customer-reason.ts';
import type { Speech } from '../words/figure.ts';

/** What a customer is told about one choice that is not offered; the merchant's own words come first. */
export const toldReason = (withheld: Withheld, speech: Speech): CustomerReason => {
  if (withheld.message !== undefined) return { because: 'shop', why: withheld.message, help: '' };
  return withheld instanceof WithheldChoice
    ? customerReason(withheld.say, withheld.name, speech)
    : { because: 'shop', why: withheld.text, help: '' };
};

/**
 * Why a customer has no choice at all, each reason once. What the customer cannot do anything about is
 * left out where something else stands in the way too.
 */
export const obstacles = ({ choices, withheld }: Quote, speech: Speech): CustomerReason[] => {
  if (choices.length > 0) return [];
  const reasons = withheld.map((one) => toldReason(one, speech));
  const once = reasons.filter(({ why }, at) => reasons.findIndex((other) => other.why === why) === at);
  const helped = once.filter(({ because, help }) => because !== 'shop' || help === '');
  return helped.length > 0 ? helped : once;
};
