import { speakBy, t } from '../../core/translate/translate.ts';

/** Says in the language what the page was served with, before any script had run. */
const translateFrame = (): void => {
  for (const part of document.querySelectorAll('#frame a, #frame h1')) part.textContent = t(part.textContent);
};

/** Has the program speak a language from its catalogue; without one it goes on in English. */
export const speak = async (language: string): Promise<void> => {
  const [answer, { translatorOf }] = await Promise.all([
    fetch(`/languages/${language}.json`),
    import('./speakers.ts'),
  ]);
  if (!answer.ok) return;
  speakBy(translatorOf((await answer.json()) as Record<string, string>, language), language);
  document.documentElement.lang = language;
  translateFrame();
};
