// Before all else: what loads parts of the program.
import 'expo';
import './load-parts.ts';
import { chosenLanguage, ENGLISH } from '../language/chosen-language.ts';

/** Texts are read as modules load, so the language is known before the first of them. */
const start = (): void => {
  // eslint-disable-next-line @typescript-eslint/no-require-imports -- it may not load before the language is known
  require('expo-router/entry');
};

if (chosenLanguage() === ENGLISH) start();
else
  void import('../language/speak.ts')
    .then(({ speak }) => speak(chosenLanguage()))
    .catch(() => undefined)
    .then(start);
