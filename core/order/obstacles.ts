import type { Quote, Withheld } from '../model/quote.ts';
import { customerReason, type CustomerReason } from '../words/customer/customer-reason.ts';
import type { CustomerWords } from '../words/customer/customer-words.ts';
import { messageOf } from '../words/message-of.ts';

/** What a customer is told about one choice that is not offered; the merchant's own words come first. */
export const toldReason = (withheld: Withheld, words: CustomerWords): CustomerReason => {
  if (withheld.message !== undefined) return { because: 'shop', why: withheld.message, help: '' };
  const say = messageOf(withheld);
  return say ? customerReason(say, withheld.name, words) : { because: 'shop', why: withheld.text, help: '' };
};

/** How much of a measure a service takes at most, where that is why it is withheld and what the customer is told. */
const most = (withheld: Withheld): { measure: string; limit: number } | null => {
  const say = withheld.message === undefined ? messageOf(withheld) : null;
  if (say?.code === 'above-limit') return { measure: say.measure, limit: say.limit };
  return say?.code === 'above-last-step' ? { measure: say.measure, limit: say.until } : null;
};

/** Whether another of its kind takes more of what this one has too much of: to come down to that is enough. */
const isOutdone = (withheld: Withheld, all: readonly Withheld[]): boolean => {
  const mine = most(withheld);
  return (
    mine !== null &&
    all.some((other) => {
      const theirs = other.kind === withheld.kind ? most(other) : null;
      return theirs !== null && theirs.measure === mine.measure && theirs.limit > mine.limit;
    })
  );
};

/** Reasons that only say that an address is not nearby. */
const ELSEWHERE: readonly string[] = ['outside-area', 'too-far'];

/**
 * Why a customer has no choice at all, each reason once. What the customer cannot do anything about, and that the
 * address is not nearby, is left out where something else stands in the way too.
 */
export const obstacles = (
  { choices, withheld }: Pick<Quote, 'choices' | 'withheld'>,
  words: CustomerWords,
): CustomerReason[] => {
  if (choices.length > 0) return [];
  const near = withheld.filter(({ code }) => !ELSEWHERE.includes(code));
  const apt = near.length > 0 ? near : withheld;
  const reasons = apt.filter((one) => !isOutdone(one, apt)).map((one) => toldReason(one, words));
  const once = reasons.filter(({ why }, at) => reasons.findIndex((other) => other.why === why) === at);
  const helped = once.filter(({ because, help }) => because !== 'shop' || help === '');
  return helped.length > 0 ? helped : once;
};
