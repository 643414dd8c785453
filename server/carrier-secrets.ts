import type { Asker } from '../carriers/asking.ts';
import type { CarrierQuestion } from '../core/model/carrier.ts';
import { idSchema } from '../core/model/unit.ts';

/** The secrets of carriers' accounts by the account's id. */
export type CarrierSecrets = ReadonlyMap<string, string>;

/** Secrets as the environment has them, 'fulmar=skerry gannet=sea-holly'; null where it has them otherwise. */
export const readSecrets = (text = ''): CarrierSecrets | null => {
  const secrets = new Map<string, string>();
  for (const part of text.split(/\s+/).filter(Boolean)) {
    const [id = '', ...rest] = part.split('=');
    const secret = rest.join('=');
    if (!idSchema.safeParse(id).success || secret === '' || secrets.has(id)) return null;
    secrets.set(id, secret);
  }
  return secrets;
};

const withSecret = (question: CarrierQuestion, secrets: CarrierSecrets): CarrierQuestion => {
  const { credentials, key } = question;
  const secret = secrets.get(key);
  if (credentials.kind !== 'own' || secret === undefined) return question;
  return { ...question, credentials: { ...credentials, secret } };
};

/** An asker that puts to each account's question the secret of that account: editions hold none. */
export const askingWith = (asker: Asker, secrets: CarrierSecrets): Asker => ({
  ...asker,
  ask: (asked, signal) =>
    asker.ask(
      asked.map((one) => ({ ...one, question: withSecret(one.question, secrets) })),
      signal,
    ),
});
