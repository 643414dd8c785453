import { readSecrets, type CarrierSecrets } from './carrier-secrets.ts';
import type { Keys } from './keys.ts';

/** What the environment says of the server. */
export interface Settings {
  port: number;
  host: string;
  hosts: string[];
  /** The folder of the editions; null for the demo's. */
  folder: string | null;
  keys: Keys;
  origins: string[];
  /** How many processes answer. */
  workers: number;
  logLevel: string;
  troubles: string;
  /** Where carriers' answers are shared with other processes; null for nowhere. */
  redis: string | null;
  /** By the carrier account's id; null where they cannot be read. */
  secrets: CarrierSecrets | null;
}

type Environment = Readonly<Record<string, string | undefined>>;

const MOST_WORKERS = 64;
const LEVELS = ['fatal', 'error', 'warn', 'info', 'debug', 'silent'];
const HERE = ['127.0.0.1', '::1', 'localhost'];
const SHORTEST_KEY = 16;

const listOf = (text = ''): string[] => text.split(/[\s,]+/).filter(Boolean);

const isRedis = (text: string): boolean => URL.canParse(text) && /^rediss?:$/.test(new URL(text).protocol);

const isOrigin = (text: string): boolean => URL.canParse(text) && new URL(text).origin === text;

/** What is wrong with the environment, in a sentence; null where nothing is. */
const faultOf = (
  { port, host, keys, origins, workers, logLevel, secrets, redis }: Settings,
  environment: Environment,
): string | null => {
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    return `PORT must be a number from 0 to 65535, not “${environment['PORT']}”.`;
  if (host.trim() === '')
    return 'HOST is empty: the server would be open to every network. Leave it out, or write an address.';
  if (!Number.isInteger(workers) || workers < 1 || workers > MOST_WORKERS)
    return `WORKERS must be a number from 1 to ${MOST_WORKERS}, not “${environment['WORKERS']}”.`;
  if (!LEVELS.includes(logLevel))
    return `LOG_LEVEL must be one of ${LEVELS.join(', ')}, not “${environment['LOG_LEVEL']}”.`;
  if (!secrets)
    return 'CARRIER_SECRETS must have each account once, as: CARRIER_SECRETS="account-id=its-secret other-id=its-secret".';
  if (redis !== null && !isRedis(redis))
    return 'REDIS_URL must be an address as redis://127.0.0.1:6379, or be left out.';
  const wrong = origins.find((origin) => !isOrigin(origin));
  if (wrong !== undefined) return `ORIGINS must be origins as https://shop.example, not “${wrong}”.`;
  return [...keys.read, ...keys.write].some((key) => key.length < SHORTEST_KEY)
    ? `A key of READ_KEYS or WRITE_KEYS is shorter than ${SHORTEST_KEY} characters.`
    : null;
};

/** Reads the environment; a key is never part of what is said of it. */
export const readSettings = (
  environment: Environment,
): { ok: true; settings: Settings } | { ok: false; text: string } => {
  const host = environment['HOST'] ?? '127.0.0.1';
  const folder = environment['EDITIONS']?.trim() ?? '';
  const settings: Settings = {
    host,
    port: Number(environment['PORT'] ?? 4310),
    hosts: [host.toLowerCase(), ...listOf(environment['HOSTS']?.toLowerCase())],
    folder: folder === '' ? null : folder,
    keys: {
      read: listOf(environment['READ_KEYS']),
      write: listOf(environment['WRITE_KEYS']),
      isHere: HERE.includes(host.toLowerCase()),
    },
    origins: listOf(environment['ORIGINS']),
    workers: Number(environment['WORKERS'] ?? 1),
    logLevel: environment['LOG_LEVEL'] ?? (folder === '' ? 'warn' : 'info'),
    troubles: environment['CARRIER_TROUBLES'] ?? '',
    redis: environment['REDIS_URL']?.trim() || null,
    secrets: readSecrets(environment['CARRIER_SECRETS']),
  };
  const text = faultOf(settings, environment);
  return text === null ? { ok: true, settings } : { ok: false, text };
};
