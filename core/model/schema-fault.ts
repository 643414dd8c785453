import type { z } from 'zod';
import { fault } from './fault.ts';
import type { Fault, FaultCode, Result } from './fault.ts';

type Issue = z.core.$ZodIssue;

const CUSTOM_CODES: readonly string[] = [
  'region-both',
  'subdivision-elsewhere',
  'hours-reversed',
  'time-zone',
  'far-from-now',
  'priced-at-nothing',
];

const REGEX_NAMES: readonly [RegExp, string][] = [
  [/a-z0-9\._-/, 'slug'],
  [/\[A-Z\]\{2\}-/, 'subdivision'],
  [/\[A-Z\]\{2\}\$/, 'country'],
  [/\[A-Z\]\{3\}\$/, 'currency'],
  [/24:00/, 'time'],
  [/\\d\{1,12\}/, 'digits'],
  [/\{4\}-/, 'datetime'],
];

const formatName = (issue: Issue & { code: 'invalid_format' }): string => {
  if (issue.format !== 'regex') return issue.format;
  return REGEX_NAMES.find(([shape]) => shape.test(issue.pattern ?? ''))?.[1] ?? 'text';
};

const sized = (issue: Issue & { code: 'too_small' | 'too_big' }): Fault => {
  const counted = issue.origin === 'string' || issue.origin === 'array';
  const limit = Number(issue.code === 'too_small' ? issue.minimum : issue.maximum);
  const code: FaultCode =
    issue.code === 'too_small' ? (counted ? 'too-short' : 'too-small') : counted ? 'too-long' : 'too-big';
  return fault(code, issue.path as (string | number)[], { limit, of: issue.origin });
};

/** The codes by which a field that is not there shows; the reader hands in each input. */
const MISSING: readonly string[] = ['invalid_type', 'invalid_value', 'invalid_union'];

/** A field that is not there, with what kind of value it would hold where that is one of a few. */
const missing = (issue: Issue, path: (string | number)[]): Fault =>
  fault('missing', path, issue.code === 'invalid_type' ? { expected: issue.expected } : {});

/** One fault of a schema as faults of ours, located by path. */
const faultsOf = (issue: Issue): Fault[] => {
  const path = issue.path as (string | number)[];
  if (issue.input === undefined && MISSING.includes(issue.code)) return [missing(issue, path)];
  switch (issue.code) {
    case 'invalid_type':
      return [fault('wrong-type', path, { expected: issue.expected })];
    case 'too_small':
    case 'too_big':
      return [sized(issue)];
    case 'invalid_format':
      return [fault('malformed', path, { format: formatName(issue) })];
    case 'invalid_value':
      return [fault('not-one-of', path, { options: issue.values.map(String).join(', ') })];
    case 'unrecognized_keys':
      return issue.keys.map((key) => fault('unknown-field', [...path, key], { field: key }));
    case 'invalid_union':
      return unionFaults(issue, path);
    case 'custom':
      return CUSTOM_CODES.includes(issue.message)
        ? [fault(issue.message as FaultCode, path)]
        : [fault('no-shape-fits', path)];
    default:
      return [fault('no-shape-fits', path)];
  }
};

/** A union told by a field that names its kind gives the kinds; any other says that no shape fits. */
const unionFaults = (issue: Issue & { code: 'invalid_union' }, path: (string | number)[]): Fault[] => {
  if ('discriminator' in issue && typeof issue.discriminator === 'string') {
    const options =
      'options' in issue && Array.isArray(issue.options) ? issue.options.map(String).join(', ') : '';
    return [fault('not-one-of', path, { options })];
  }
  return [fault('no-shape-fits', path)];
};

const MOST_FAULTS = 50;

/** A value that a schema accepts, or every fault of it, at most fifty. */
export const parseWith = <T>(schema: z.ZodType<T>, value: unknown): Result<T> => {
  const parsed = schema.safeParse(value, { reportInput: true });
  if (parsed.success) return { ok: true, value: parsed.data };
  return { ok: false, faults: parsed.error.issues.flatMap(faultsOf).slice(0, MOST_FAULTS) };
};
