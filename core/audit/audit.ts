import type { Erratum } from '../model/erratum.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import { erratumSentence } from '../words/erratum-sentence.ts';
import { dataFaults } from './data-faults.ts';
import { GRAVITIES, type Finding, type Gravity } from './finding.ts';
import { Findings, judgeClass, judgeDrawn, triallingOf, type Found, type Trialling } from './judge.ts';
import { contextsOf, type Context } from './moments.ts';
import { oddBoxes } from './odd-boxes.ts';
import { oddCarriers } from './odd-carriers.ts';
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

/** A threshold that the cheapest good alone reaches, so that nothing is ever charged. */
const addAlwaysFree = (
  compiled: CompiledBook,
  classes: readonly PlaceClass[],
  context: Context,
  findings: Findings,
): void => {
  const cheapest = [...compiled.goods.values()]
    .filter(({ fulfilment }) => fulfilment === 'physical')
    .sort((a, b) => a.price - b.price)[0];
  if (!cheapest) return;
  const free = new Set(
    [...compiled.book.rates, ...compiled.book.areas].flatMap(({ id, freeFrom }) =>
      freeFrom !== undefined && freeFrom <= cheapest.price ? [id] : [],
    ),
  );
  if (free.size === 0) return;
  for (const place of classes) {
    for (const { sku } of compiled.goods.values()) {
      const example = { destination: place.destination, lines: [{ sku, quantity: 1 }], ...context };
      if (requestFaults(compiled, example).length > 0) continue;
      for (const { of, kind, charge, name } of quote(compiled, example).choices) {
        const id = of.rateId ?? of.areaId ?? '';
        if (free.has(id) && charge === 0)
          findings.add({
            code: 'always-free',
            where: [{ kind: kind === 'delivery' ? 'area' : 'rate', id }],
            detail: { name, price: cheapest.price },
            example,
            reach: reachWords(place),
          });
      }
    }
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

/** What stops orders for want of a figure is told once, as what stops them. */
const withoutTwice = (stops: readonly Finding[], others: readonly Finding[]): Finding[] => {
  const told = new Set(stops.map(({ code, where: [{ kind, id }] }) => `${code} ${kind} ${id}`));
  return [
    ...stops,
    ...others.filter(({ code, where: [{ kind, id }] }) => !told.has(`${code} ${kind} ${id}`)),
  ];
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
    ...oddBoxes(compiled),
    ...oddNearby(compiled, compiled.clock.moment(dayOf(on), 0)),
    ...dataFaults(compiled),
  ];
  const all = withoutTwice(stopFindings(compiled, stops.all, classes), others);
  return sorted(all).map((finding) => toErratum(compiled, finding));
};
