import type { Language } from '../../../core/model/language.ts';

/** What a part of the settings is given: a file takes the page while it is looked at. */
export interface PartProps {
  /** Past orders. */
  onFile: (file: File) => void;
  /** Translations into a language. */
  onTexts: (file: File, language: Language) => void;
}
