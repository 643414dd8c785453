import { z } from 'zod';
import { ENGLISH } from './chosen-language.ts';

const listSchema = z.array(z.object({ language: z.string(), name: z.string() }));

/** A language of the program, by its own name. */
export type ProgramLanguage = z.infer<typeof listSchema>[number];

const OWN: ProgramLanguage = { language: ENGLISH, name: 'English' };

/** The languages that the program can speak: English, and those with a catalogue beside it. */
export const programLanguages = async (): Promise<ProgramLanguage[]> => {
  const answer = await fetch('/languages/index.json');
  const listed = answer.ok ? listSchema.safeParse(await answer.json()) : null;
  return [OWN, ...(listed?.data ?? [])];
};
