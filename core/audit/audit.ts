import type { Problem } from '../model/problem.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { problemSentence } from './problem-sentence.ts';
import { dataFaults } from './data-faults.ts';
import { GRAVITIES, type Finding, type FindingCode, type Gravity } from './finding.ts';
import { addAlwaysFree } from './always-free.ts';
import { Findings } from './findings.ts';
import { judgeClass, type Found } from './judge-class.ts';
import { judgeDrawn } from './judge-drawn.ts';
import { auditContext, type AuditContext } from './audit-context.ts';
import { AuditMemory } from './memory.ts';
import type { Context } from './moments.ts';
import { oddBoxes } from './odd-boxes.ts';
import { oddCarriers } from './odd-carriers.ts';
import { limitsWithoutGoods } from './odd-goods.ts';
import { oddLists } from './odd-lists.ts';
import { oddPlaces } from './odd-places.ts';
import { oddRates } from './odd-rates.ts';
import { countsFrom, hasNearby } from './nearby-places.ts';
import { oddNearby } from './odd-nearby.ts';
import {
  placeClasses,
  placesTurnOn,
  placeWords,
  type PlaceClass,
  type PlacesFound,
} from './place-classes.ts';
import { Refused } from './refused.ts';
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
  { compiled, far }: AuditContext,
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
    stops.add({ place, refused: new Refused(request, quoted), isPlain: true });
};

const toProblem = (compiled: CompiledBook, finding: Finding): Problem => {
  const { code, where, example, reach, goods = [], places = [], isVast = false } = finding;
  return {
    code,
    gravity: gravityOf(finding),
    text: problemSentence(finding, compiled),
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

/** How far an audit is: so many of the classes of places are judged, and the one that is next. */
export interface AuditProgress {
  done: number;
  all: number;
  place: string;
}

const nameOf = (place: PlaceClass, { display }: CompiledBook): string =>
  place.zone?.zone.name ?? placeWords(place, display);

const others = (
  shop: AuditContext,
  { classes, deciding }: PlacesFound,
  on: string,
  plainest: Context,
): Finding[] => {
  const { compiled, memory } = shop;
  const { book } = compiled;
  return [
    ...oddRates(book),
    ...memory.kept('odd-places', [book.zones, deciding], () => oddPlaces(book, deciding)),
    ...oddLists(compiled, on),
    ...oddCarriers(compiled, classes, plainest),
    ...limitsWithoutGoods(compiled),
    ...oddBoxes(compiled),
    ...oddNearby(compiled, compiled.clock.moment(dayOf(on), 0)),
    ...dataFaults(compiled),
  ];
};

/**
 * The audit in steps, one for each class of places, so that it can be stopped between them; it ends with every fault.
 * `memory` is what audits of the same shop before it found: only what was edited since is judged again.
 */
export function* auditInSteps(
  compiled: CompiledBook,
  on: string,
  memory: AuditMemory = new AuditMemory(),
): Generator<AuditProgress, Problem[]> {
  memory.begin(compiled, on);
  const places = memory.kept('places', placesTurnOn(compiled.book), () => placeClasses(compiled));
  const { classes } = places;
  const shop = auditContext(compiled, on, memory);
  const [plainest] = shop.contextsFor([]);
  if (!plainest) return [];
  const found: Found = { findings: new Findings(), stops: new Stops(compiled) };
  for (const [done, place] of classes.entries()) {
    yield { done, all: classes.length, place: nameOf(place, compiled) };
    if ((place.served && place.zone) || hasNearby(compiled, place)) judgeClass(shop, place, found);
    else addUnserved(shop, place, plainest.context, found);
  }
  const { findings, stops } = found;
  for (const area of compiled.areas) if (area.area.active) judgeDrawn(shop, area, findings);
  addAlwaysFree(compiled, classes, plainest.context, findings);
  const rest = [...findings.all, ...others(shop, places, on, plainest.context)];
  const all = withoutTwice(stopFindings(compiled, stops.all, classes), rest);
  memory.end();
  return sorted(all).map((finding) => toProblem(compiled, finding));
}

/**
 * Every fault of a book, judged from a day on (YYYY-MM-DD). It cuts the world into the classes of places that
 * the book tells apart and judges, in each, orders that reach every step, limit and threshold; an order that
 * shows it goes with every fault that stops a customer or leaks money. What joint limits leave open is listed
 * as not settled. `memory` is as for `auditInSteps`.
 */
export const audit = (compiled: CompiledBook, on: string, memory?: AuditMemory): Problem[] => {
  const steps = auditInSteps(compiled, on, memory);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
};
