import { parseArgs } from 'node:util';
import { t } from '../core/translate/translate.ts';
import { CannotRun } from './files.ts';
import { auditCommand, checkCommand, replayCommand } from './check-commands.ts';
import { quoteCommand, type QuoteOptions, type Write } from './quote-command.ts';

const USAGE = [
  t('Usage:'),
  '  emporos quote --book FILE --catalogue FILE --request FILE [--answers FILE]',
  '  emporos quote --book FILE --catalogue FILE --requests FILE.jsonl',
  '  emporos check --book FILE --catalogue FILE --test-orders FILE',
  '  emporos replay --book FILE [--against FILE] --catalogue FILE --orders FILE',
  '  emporos audit --book FILE --catalogue FILE [--on YYYY-MM-DD]',
  t(
    'With --complete, quote gives an address without its region or point those of its postal code, as checkout does.',
  ),
  t(
    'With --stand-ins, the made-up carriers answer where no answers are handed in; without, a carrier counts as not reached.',
  ),
  t(
    'Exit: 0 well; 1 it found something wrong, such as a failed test order or an unusable line; 2 it could not run.',
  ),
].join('\n');

const OPTIONS = {
  book: { type: 'string' },
  catalogue: { type: 'string' },
  request: { type: 'string' },
  requests: { type: 'string' },
  answers: { type: 'string' },
  'test-orders': { type: 'string' },
  orders: { type: 'string' },
  against: { type: 'string' },
  on: { type: 'string' },
  'stand-ins': { type: 'boolean' },
  complete: { type: 'boolean' },
  help: { type: 'boolean', short: 'h' },
} as const;

const parse = (argv: readonly string[]) => {
  try {
    return parseArgs({ args: [...argv], options: OPTIONS, allowPositionals: true });
  } catch (error) {
    throw new CannotRun(error instanceof Error ? error.message : String(error), USAGE);
  }
};

type Values = ReturnType<typeof parse>['values'];
type Option = keyof typeof OPTIONS;

/** What a command is given: all that it needs, and of the others what was said. */
type Taken<N extends Option, M extends Option> = Record<N, string> & Pick<Values, M | 'stand-ins'>;

/** The options that a command needs and those it may have; any other is refused, as one that would be ignored. */
const taken = <N extends Option, M extends Option = never>(
  command: string,
  values: Values,
  needed: readonly N[],
  may: readonly M[] = [],
): Taken<N, M> => {
  const missing = needed.filter((name) => values[name] === undefined);
  if (missing.length > 0)
    throw new CannotRun(
      t('{command} needs {list}.', { command, list: missing.map((name) => `--${name}`).join(' and ') }),
      USAGE,
    );
  const allowed: readonly Option[] = [...needed, ...may, 'stand-ins'];
  const other = (Object.keys(values) as Option[]).find((name) => !allowed.includes(name));
  if (other !== undefined) throw new CannotRun(t('{command} takes no --{other}.', { command, other }), USAGE);
  return values as Taken<N, M>;
};

const quoteOptions = (values: Values): QuoteOptions => {
  const {
    book,
    catalogue,
    request,
    requests,
    answers,
    complete,
    'stand-ins': standIns,
  } = taken('quote', values, ['book', 'catalogue'], ['request', 'requests', 'answers', 'complete']);
  if ((request === undefined) === (requests === undefined)) {
    throw new CannotRun(t('quote needs either --request or --requests.'), USAGE);
  }
  if (answers !== undefined && request === undefined) {
    throw new CannotRun(t('--answers goes with --request; a line of --requests carries its own.'), USAGE);
  }
  return {
    book,
    catalogue,
    ...(request ? { request } : {}),
    ...(requests ? { requests } : {}),
    ...(answers ? { answers } : {}),
    ...(standIns ? { 'stand-ins': true } : {}),
    ...(complete ? { complete: true } : {}),
  };
};

const COMMANDS: Record<string, (values: Values, out: Write) => number | Promise<number>> = {
  quote: (values, out) => quoteCommand(quoteOptions(values), out),
  audit: (values, out) => auditCommand(taken('audit', values, ['book', 'catalogue'], ['on']), out),
  check: (values, out) => checkCommand(taken('check', values, ['book', 'catalogue', 'test-orders']), out),
  replay: (values, out) =>
    replayCommand(taken('replay', values, ['book', 'catalogue', 'orders'], ['against']), out),
};

const dispatch = async (argv: readonly string[], out: Write): Promise<number> => {
  const { values, positionals } = parse(argv);
  if (values.help) {
    out(`${USAGE}\n`);
    return 0;
  }
  const [command, ...rest] = positionals;
  const work = rest.length === 0 ? COMMANDS[command ?? ''] : undefined;
  if (!work) {
    throw new CannotRun(
      command === undefined
        ? t('No command given.')
        : t('Unknown command: {list}', { list: positionals.join(' ') }),
      USAGE,
    );
  }
  return work(values, out);
};

/** Runs a command line, writing to the two outputs; gives the exit code and never throws for bad input. */
export const run = async (argv: readonly string[], out: Write, err: Write): Promise<number> => {
  try {
    return await dispatch(argv, out);
  } catch (error) {
    if (!(error instanceof CannotRun)) throw error;
    err(`${error.lines.join('\n')}\n`);
    return 2;
  }
};
