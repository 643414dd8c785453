import { exampleCodes, type ExampleCodes } from '../../core/place/example-codes.ts';
import { codeForm, hasCodeForm } from './whole-code.ts';

/** Examples of a country's postal codes for a field that asks for them; null where nothing is known of them. */
export const codeExamples = (country: string): ExampleCodes | null =>
  exampleCodes(country, hasCodeForm(country) ? codeForm(country) : null);

/** The same as one line, '12345, 12*, 12300 to 12399'; '' where nothing is known. */
export const codeExamplesText = (country: string): string =>
  Object.values(codeExamples(country) ?? {}).join(', ');
