/** A text of the program: its English source, and what tells it from others of the same words. */
export interface ProgramText {
  msgid: string;
  msgctxt: string | null;
  references: string[];
}

/** Every text that the program says to the merchant, with the files that say it. */
export const textsOfProgram: () => ProgramText[];

/** The texts of the interface that are in no catalogue, as 'file: text'. */
export const textsOutside: () => string[];

/** The catalogue, the translations and what the program reads of them, as they should be: their texts by path. */
export const languageFiles: () => Map<string, string>;
