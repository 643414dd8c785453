import type { Erratum } from '../model/erratum.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import { erratumSentence } from '../words/erratum-sentence.ts';
import { dataFaults } from './data-faults.ts';
import { GRAVITIES, type Finding, type FindingCode, type Gravity } from './finding.ts';
import { Findings, judgeClass, judgeDrawn, triallingOf, type Found, type Trialling } from './judge.ts';
import { contextsOf, type Context } from './moments.ts';
import { oddBoxes } from './odd-boxes.ts';
import { oddCarriers } from './odd-carriers.ts';
import { limitsWithoutGoods } from './odd-goods.ts';
import { oddLists } from './odd-lists.ts';
import { oddPlaces } from './odd-places.ts';
import { oddRates } from './odd-rates.ts';
import { countsFrom, hasNearby } from './nearby-places.ts';
import { oddNearby } from './odd-nearby.ts';
import { placeClasses, reachWords, type PlaceClass } from './place-classes.ts';
import { stopFindings } from './stop-findings.ts';
import { Stops } from './stops.ts';
import { dayOf } from '../time/calendar.ts';

const ORDER: readonly Gravity[] = ['stops', 'leaks', 'odd', 'data'];
const gravityOf = ({ code, gravity = GRAVITIES[code] }: Finding): Gravity => gravity;

const anyLine = ({ goods }: CompiledBook) =>
  [...goods.values()]
    .filter(({ fulfilment }) => fulfilment === 'physical')
    .slice(0, 1)
    .map(({ sku }) => ({ sku, quantity: 1 }));

/** Places that are sold to and served by nothing: not on the postal list, or in no zone. */
const addUnserved = (
  { compiled, far }: Trialling,
  place: PlaceClass,
  context: Context,
  { stops }: Found,
): void => {
  const lines = anyLine(compiled);
  if (lines.length === 0) return;
  const destination = far ? { ...place.destination, point: far } : place.destination;
  const request = { destination, lines, ...context };
  const quoted = quote(compiled, request);
  const { country } = place.destination;
  if (!quoted.choices.some((choice) => countsFrom(compiled, choice, country)))
    stops.add({ place, request, quoted, isPlain: true });
};

/** A threshold that the least order that can be placed reaches, so that nothing is ever charged. */
const addAlwaysFree = (
  compiled: CompiledBook,
  classes: readonly PlaceClass[],
  context: Context,
  findings: Findings,
): void => {
  const cheapest = [...compiled.goods.values()]
    .filter(({ fulfilment, chargeFree }) => fulfilment === 'physical' && chargeFree !== true)
    .sort((a, b) => a.price - b.price)[0];
  if (!cheapest) return;
  const least = new Map(
    [...compiled.book.rates, ...compiled.book.areas].flatMap((one): [string, number][] => {
      const floor = 'minSubtotal' in one ? (one.minSubtotal ?? 0) : 0;
      const price = Math.max(cheapest.price, one.limits?.subtotal?.min ?? 0, floor);
      return one.freeFrom !== undefined && one.freeFrom <= price ? [[one.id, price]] : [];
    }),
  );
  if (least.size === 0) return;
  for (const place of classes)
    for (const [id, price] of least)
      for (const good of compiled.goods.values()) {
        const quantity = Math.max(1, Math.ceil(price / Math.max(good.price, 1)));
        const lines = [{ sku: good.sku, quantity }];
        const example = { destination: place.destination, lines, ...context };
        if (requestFaults(compiled, example).length > 0) continue;
        const free = quote(compiled, example, []).choices.find(
          ({ of, charge }) => charge === 0 && (of.rateId ?? of.areaId) === id,
        );
        if (!free) continue;
        findings.add({
          code: 'always-free',
          where: [{ kind: free.kind === 'delivery' ? 'area' : 'rate', id }],
          detail: { name: free.name, price },
          example,
          reach: reachWords(place),
        });
        break;
      }
};

const toErratum = (compiled: CompiledBook, finding: Finding): Erratum => {
  const { code, where, example, reach, goods = [], places = [], isVast = false } = finding;
  return {
    code,
    gravity: gravityOf(finding),
    text: erratumSentence(finding, compiled),
    where: where.map(({ kind, id }) => ({ kind, id })),
    ...(example ? { example } : {}),
    ...(reach === undefined ? {} : { reach }),
    ...(goods.length > 0 ? { goods: [...goods] } : {}),
    ...(places.length > 0 ? { places: [...places] } : {}),
    ...(isVast ? { isVast } : {}),
  };
};

/** The gravest first; what only very large orders show comes after all else. */
const sorted = (findings: readonly Finding[]): Finding[] =>
  [...findings].sort(
    (a, b) =>
      Number(a.isVast ?? false) - Number(b.isVast ?? false) ||
      ORDER.indexOf(gravityOf(a)) - ORDER.indexOf(gravityOf(b)),
  );

/** What is told of a good or a rule that stops orders is told once, as what stops them. */
const ONCE: readonly FindingCode[] = ['weight-missing', 'size-missing', 'limits-contradict', 'takes-no-good'];

const withoutTwice = (stops: readonly Finding[], others: readonly Finding[]): Finding[] => {
  const ruleOf = ({ where: [{ kind, id }] }: Finding): string => `${kind} ${id.split(':')[0]}`;
  const told = new Set(stops.map(ruleOf));
  return [...stops, ...others.filter((one) => !ONCE.includes(one.code) || !told.has(ruleOf(one)))];
};

/**
 * Every fault of a book, judged from a day on (YYYY-MM-DD). It cuts the world into the classes of places that
 * the book tells apart and judges, in each, orders that reach every step, limit and threshold; an order that
 * shows it goes with every fault that stops a customer or leaks money. What joint limits leave open is listed
 * as not settled. `onProgress` is told the share of classes judged, from 0 to 1.
 */
export const audit = (
  compiled: CompiledBook,
  on: string,
  onProgress: (share: number) => void = () => undefined,
): Erratum[] => {
  const { classes, deciding } = placeClasses(compiled);
  const { contexts } = contextsOf(compiled, on);
  const [plainest] = contexts;
  if (!plainest) return [];
  const found: Found = { findings: new Findings(), stops: new Stops(compiled) };
  const trialling = triallingOf(compiled, contexts, on);
  classes.forEach((place, at) => {
    if ((place.served && place.zone) || hasNearby(compiled, place)) judgeClass(trialling, place, found);
    else addUnserved(trialling, place, plainest, found);
    onProgress((at + 1) / classes.length);
  });
  const { findings, stops } = found;
  for (const area of compiled.areas) if (area.area.active) judgeDrawn(trialling, area, findings);
  addAlwaysFree(compiled, classes, plainest, findings);
  const others = [
    ...findings.all,
    ...oddRates(compiled.book),
    ...oddPlaces(compiled.book, deciding),
    ...oddLists(compiled.book, on),
    ...oddCarriers(compiled, classes, plainest),
    ...limitsWithoutGoods(compiled),
    ...oddBoxes(compiled),
    ...oddNearby(compiled, compiled.clock.moment(dayOf(on), 0)),
    ...dataFaults(compiled),
  ];
  const all = withoutTwice(stopFindings(compiled, stops.all, classes), others);
  return sorted(all).map((finding) => toErratum(compiled, finding));
};
