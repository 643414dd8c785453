/** A text with every run of blanks as one, and none at its ends; what reads it then never looks back over a run. */
export const withSingleBlanks = (text: string): string => text.replace(/\s+/g, ' ').trim();
