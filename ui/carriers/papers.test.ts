import { PDFDocument } from 'pdf-lib';
import { papersPdf, type Paper } from './papers.ts';

const paper = (title: string, rows: number): Paper => ({
  title,
  notes: ['Ines Varga', '4 Tide Lane'],
  columns: [0, 40],
  rows: Array.from({ length: rows }, (_, at) => [`${at + 1} x`, 'Glazed pot, 26 cm']),
});
const pagesOf = async (papers: readonly Paper[]): Promise<number> =>
  (await PDFDocument.load(await papersPdf(papers))).getPageCount();

describe('papers to print', () => {
  test('begin each on a page of its own, and go on where one is not enough', async () => {
    expect(await pagesOf([paper('Order 1001', 3), paper('Order 1002', 1)])).toBe(2);
    expect(await pagesOf([paper('Picking list', 100)])).toBe(3);
  });

  test('are written whatever letters a name has', async () => {
    expect(await pagesOf([{ ...paper('Order 7', 1), notes: ['Åse Łęcka, 東京', '’Thistle’ – north'] }])).toBe(
      1,
    );
  });
});
