import type { Book } from '../model/book.ts';
import type { Region, Zone } from '../model/place.ts';
import { parsePattern } from '../place/postal.ts';
import { contestedEntries } from '../coverage/contested.ts';
import type { Finding, RuleRef } from './finding.ts';

const zoneAt = (id: string, part?: string): RuleRef => ({
  kind: 'zone',
  id: part === undefined ? id : `${id}:${part}`,
});

const entriesOf = ({ country, subdivision, postal }: Region): string[] => postal ?? [subdivision ?? country];

/** Zones that decide no place at all, and entries that decide none while their zone does. */
const idlePlaces = ({ zones }: Book, deciding: ReadonlySet<string>): Finding[] =>
  zones
    .filter(({ active }) => active)
    .flatMap((zone): Finding[] => {
      const isAnywhere = [...deciding].some((key) => key.startsWith(`${zone.id}/`));
      if (!isAnywhere)
        return [{ code: 'zone-never-decides', where: [zoneAt(zone.id)], detail: { zone: zone.name } }];
      const entries = [...new Set(zone.includes.flatMap(entriesOf))];
      return entries
        .filter((entry) => !deciding.has(`${zone.id}/${entry}`))
        .map((entry) => ({
          code: 'entry-never-decides',
          where: [zoneAt(zone.id, entry)],
          detail: { entry, zone: zone.name },
        }));
    });

const contests = (zones: readonly Zone[]): Finding[] =>
  contestedEntries(zones).flatMap(({ entry, winner, losers }) =>
    losers
      .filter((loser) => loser.includes.some((region) => entriesOf(region).includes(entry)))
      .filter(() => winner.includes.some((region) => entriesOf(region).includes(entry)))
      .map((loser): Finding => ({
        code: 'zones-contest',
        where: [zoneAt(winner.id, entry), zoneAt(loser.id, entry)],
        detail: { entry, winner: winner.name, loser: loser.name },
      })),
  );

/** Zones that are switched off while the zone of everywhere else takes their customers. */
const switchedOff = ({ zones }: Book): Finding[] => {
  const rest = zones.find(({ active, remainder }) => active && remainder);
  if (!rest) return [];
  return zones
    .filter(({ active, includes }) => !active && includes.length > 0)
    .map((zone) => ({
      code: 'zone-off',
      where: [zoneAt(zone.id), zoneAt(rest.id)],
      detail: { zone: zone.name, rest: rest.name },
    }));
};

/** Patterns of one letter or none that outrank a subdivision which another active zone names. */
const widePatterns = ({ zones }: Book): Finding[] => {
  const active = zones.filter((zone) => zone.active);
  return active.flatMap((zone) =>
    zone.includes.flatMap(({ country, postal = [] }) => {
      const outranked = active.find(
        (other) => other !== zone && other.includes.some((one) => one.subdivision?.startsWith(`${country}-`)),
      );
      const wide = postal.filter((text) => {
        const pattern = parsePattern(country, text);
        return pattern?.kind === 'shape' && pattern.open && pattern.fixed <= 1;
      });
      return outranked
        ? wide.map((entry): Finding => ({
            code: 'wide-pattern',
            where: [zoneAt(zone.id, entry), zoneAt(outranked.id)],
            detail: { entry, zone: zone.name, other: outranked.name },
          }))
        : [];
    }),
  );
};

/** An entry that two zones name never decides for one of them: that is told once, of both, or of a zone that takes no place. */
const toldOnce = (idle: readonly Finding[], contested: readonly Finding[]): Finding[] => {
  const losers = new Set(contested.flatMap(({ where: [, loser] }) => (loser ? [loser.id] : [])));
  const takesNothing = new Set(
    idle.flatMap(({ code, where: [zone] }) => (code === 'zone-never-decides' ? [zone.id] : [])),
  );
  return [
    ...idle.filter(({ code, where: [entry] }) => code !== 'entry-never-decides' || !losers.has(entry.id)),
    ...contested.filter(({ where: [, loser] }) => !takesNothing.has(loser?.id.split(':')[0] ?? '')),
  ];
};

/** What is odd about the zones; `deciding` are the entries that decide some place, as 'zone id/entry'. */
export const oddPlaces = (book: Book, deciding: ReadonlySet<string>): Finding[] => [
  ...toldOnce(idlePlaces(book, deciding), contests(book.zones)),
  ...switchedOff(book),
  ...widePatterns(book),
];
