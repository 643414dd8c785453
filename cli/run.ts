import { parseArgs } from 'node:util';
import { CannotRun } from './files.ts';
import { quoteCommand, type QuoteOptions, type Write } from './quote-command.ts';

const USAGE = [
  'Usage:',
  '  emporos quote --book FILE --catalogue FILE --request FILE [--answers FILE]',
  '  emporos quote --book FILE --catalogue FILE --requests FILE.jsonl',
  'Exit: 0 well; 1 a line of the requests was unusable; 2 the command could not run.',
].join('\n');

const OPTIONS = {
  book: { type: 'string' },
  catalogue: { type: 'string' },
  request: { type: 'string' },
  requests: { type: 'string' },
  answers: { type: 'string' },
  help: { type: 'boolean', short: 'h' },
} as const;

const parse = (argv: readonly string[]) => {
  try {
    return parseArgs({ args: [...argv], options: OPTIONS, allowPositionals: true });
  } catch (error) {
    throw new CannotRun(error instanceof Error ? error.message : String(error), USAGE);
  }
};

const quoteOptions = (values: ReturnType<typeof parse>['values']): QuoteOptions => {
  const { book, catalogue, request, requests, answers } = values;
  if (book === undefined || catalogue === undefined)
    throw new CannotRun('quote needs --book and --catalogue.', USAGE);
  if ((request === undefined) === (requests === undefined)) {
    throw new CannotRun('quote needs either --request or --requests.', USAGE);
  }
  if (answers !== undefined && request === undefined) {
    throw new CannotRun('--answers goes with --request; a line of --requests carries its own.', USAGE);
  }
  return {
    book,
    catalogue,
    ...(request ? { request } : {}),
    ...(requests ? { requests } : {}),
    ...(answers ? { answers } : {}),
  };
};

const dispatch = async (argv: readonly string[], out: Write): Promise<number> => {
  const { values, positionals } = parse(argv);
  if (values.help) {
    out(`${USAGE}\n`);
    return 0;
  }
  const [command, ...rest] = positionals;
  if (command !== 'quote' || rest.length > 0) {
    throw new CannotRun(
      command === undefined ? 'No command given.' : `Unknown command: ${positionals.join(' ')}`,
      USAGE,
    );
  }
  return quoteCommand(quoteOptions(values), out);
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
