import { withSingleBlanks } from '../model/blanks.ts';
import type { OpeningHours } from '../model/time.ts';

/** The spans of one day. */
export type Span = Pick<OpeningHours, 'from' | 'to'>;
export type TypedSpans =
  { ok: true; spans: Span[] } | { ok: false; why: 'unread' | 'reversed' | 'overlap'; text: string };

const TIME = String.raw`(\d{1,2})(?:[:.h]?([0-5]\d))?\s*(am|pm)?`;
const SPAN = new RegExp(String.raw`^${TIME}\s*(?:-|–|—|\bto\b)\s*${TIME}$`, 'i');

const timeOf = (
  hours: string | undefined,
  minutes: string | undefined,
  half: string | undefined,
): string | null => {
  const typed = Number(hours);
  const afternoon = half?.toLowerCase() === 'pm';
  if (half && (typed < 1 || typed > 12)) return null;
  const hour = half ? (typed % 12) + (afternoon ? 12 : 0) : typed;
  const time = `${String(hour).padStart(2, '0')}:${minutes ?? '00'}`;
  return hour < 24 || time === '24:00' ? time : null;
};

const spanOf = (text: string): Span | null => {
  const found = SPAN.exec(text);
  if (!found) return null;
  const from = timeOf(found[1], found[2], found[3]);
  const to = timeOf(found[4], found[5], found[6]);
  return from === null || to === null ? null : { from, to };
};

/** '9-12, 13:00–17:30' or '9am to 5pm' as the spans of a day, in order; nothing, or 'closed', is a day without any. */
export const typedSpans = (text: string): TypedSpans => {
  const bare = text.trim();
  if (bare === '' || /^closed$/i.test(bare)) return { ok: true, spans: [] };
  const spans: Span[] = [];
  for (const part of bare.split(/[,;&]|\band\b/i).map(withSingleBlanks)) {
    const span = spanOf(part);
    if (!span) return { ok: false, why: 'unread', text: part };
    if (span.from >= span.to) return { ok: false, why: 'reversed', text: part };
    spans.push(span);
  }
  spans.sort((a, b) => (a.from < b.from ? -1 : 1));
  const clash = spans.find((span, at) => at > 0 && span.from < (spans[at - 1]?.to ?? ''));
  return clash ? { ok: false, why: 'overlap', text: `${clash.from}–${clash.to}` } : { ok: true, spans };
};

/** The spans of one day as they are typed: '09:00–12:00, 13:00–17:30'; empty where it is closed. */
export const spansText = (hours: readonly OpeningHours[], day: number): string =>
  hours
    .filter((span) => span.day === day)
    .sort((a, b) => (a.from < b.from ? -1 : 1))
    .map(({ from, to }) => `${from}–${to}`)
    .join(', ');

/** A week with the spans of one day replaced. */
export const withDay = (
  hours: readonly OpeningHours[],
  day: OpeningHours['day'],
  spans: readonly Span[],
): OpeningHours[] =>
  [...hours.filter((span) => span.day !== day), ...spans.map((span) => ({ day, ...span }))].sort(
    (a, b) => a.day - b.day || (a.from < b.from ? -1 : 1),
  );
