/** The language that the program speaks without a catalogue. */
export const ENGLISH = 'en';

const KEY = 'emporos-language';

/** The language chosen on this device; English where none is, or where nothing can be kept. */
export const chosenLanguage = (): string => {
  try {
    return localStorage.getItem(KEY) ?? ENGLISH;
  } catch {
    return ENGLISH;
  }
};

/** Speaks another language from now on: the page is loaded anew, for its texts are read once. */
export const chooseLanguage = (language: string): void => {
  localStorage.setItem(KEY, language);
  window.location.reload();
};

/** What a worker is called so that it speaks the same language; without a name it speaks English. */
export const workerLanguage = (): string => (chosenLanguage() === ENGLISH ? '' : chosenLanguage());
