import { readJson, readTestOrders } from '../formats/read.ts';
import type { Result } from '../model/fault.ts';
import type { TestOrder } from '../model/test-order.ts';

/** Test orders as the text of a file: JSON, as the command line reads it. */
export const writeTestOrdersFile = (testOrders: readonly TestOrder[]): string =>
  `${JSON.stringify(testOrders, null, 2)}\n`;

/** The test orders of a file's text, or each fault with its place. */
export const readTestOrdersFile = (text: string): Result<TestOrder[]> => {
  const json = readJson(text);
  return json.ok ? readTestOrders(json.value) : json;
};
