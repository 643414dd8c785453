import { Engine } from 'json-rules-engine';

/** Other ways to find a charge among rows of a zone, a range of weights and an amount. */

export interface Row {
  zone: string;
  from: number;
  to: number;
  amount: number;
}

/** A thousand rows: fifty zones of twenty ranges. */
export const peerRows: Row[] = Array.from({ length: 1_000 }, (_, at) => ({
  zone: `zone-${Math.floor(at / 20)}`,
  from: (at % 20) * 500,
  to: (at % 20) * 500 + 500,
  amount: 500 + at,
}));

/** The plainest way: each row in turn. */
export const scanRows = (rows: readonly Row[], zone: string, weight: number): number | null => {
  let amount: number | null = null;
  for (const row of rows) {
    if (row.zone === zone && weight >= row.from && weight < row.to) amount = row.amount;
  }
  return amount;
};

/** The rows as rules of a general engine. */
export const ruleEngine = (rows: readonly Row[]): Engine => {
  const engine = new Engine();
  for (const row of rows) {
    engine.addRule({
      conditions: {
        all: [
          { fact: 'zone', operator: 'equal', value: row.zone },
          { fact: 'weight', operator: 'greaterThanInclusive', value: row.from },
          { fact: 'weight', operator: 'lessThan', value: row.to },
        ],
      },
      event: { type: 'charge', params: { amount: row.amount } },
    });
  }
  return engine;
};
