/** A figure whose only mark is followed by one, two, or more than three digits: no mark of thousands is. */
const DECIMALS = /(?:^|[^\d.,])\d+([.,])(?:\d{1,2}|\d{4,})(?![\d.,])/;
/** A figure with both marks: the last marks decimals. */
const BOTH = /\d[.,]\d{3}([.,])\d+(?![\d.,])/;

/**
 * What marks decimals in a table, as its own cells show; `otherwise` where they show nothing or disagree. Only so many
 * rows are looked at.
 */
export const markOfCells = (
  rows: readonly (readonly string[])[],
  otherwise: '.' | ',',
  most = 2_000,
): '.' | ',' => {
  const seen = { '.': 0, ',': 0 };
  for (const cells of rows.slice(0, most))
    for (const cell of cells) {
      const both = BOTH.exec(cell);
      const mark = both && cell.includes('.') && cell.includes(',') ? both[1] : DECIMALS.exec(cell)?.[1];
      if (mark === '.' || mark === ',') seen[mark] += 1;
    }
  if (seen['.'] > 0 === seen[','] > 0) return otherwise;
  return seen['.'] > 0 ? '.' : ',';
};
