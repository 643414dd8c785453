import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { speakBy } from '../core/translate/translate.ts';
import { translatorOf } from '../core/translate/translator.ts';

/**
 * Imported before all else, for texts are read as modules load: speaks the language that EMPOROS_LANGUAGE names, where
 * the program has it; else English.
 */
const language = process.env['EMPOROS_LANGUAGE'] ?? '';
const catalogue = join(__dirname, '../public/languages', `${language}.json`);
if (/^[a-z]{2,3}(-[A-Za-z0-9]+)*$/.test(language) && existsSync(catalogue))
  speakBy(
    translatorOf(JSON.parse(readFileSync(catalogue, 'utf8')) as Record<string, string>, language),
    language,
  );
