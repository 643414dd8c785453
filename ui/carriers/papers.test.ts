import { PDFDocument } from 'pdf-lib';
import type { TariffBlock } from '../../core/delivery-page/tariff.ts';
import { papersPdf, tariffPdf, type Paper } from './papers.ts';

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

describe('a printed tariff', () => {
  const blocks = (places: number): TariffBlock[] => [
    { kind: 'part', text: 'Sent to you' },
    ...Array.from({ length: places }, (_, at): TariffBlock[] => [
      { kind: 'place', text: `Land ${at}` },
      {
        kind: 'price',
        name: 'A way with a name that is longer than one line of a column can be',
        price: '8.50',
      },
      { kind: 'note', text: '2 to 4 working days · up to 30 kg, “signed for” – 東京' },
    ]).flat(),
  ];
  const pages = async (places: number): Promise<number> => {
    const foot = jest.fn((at: number, of: number) => `Page ${at} of ${of}`);
    const pdf = await PDFDocument.load(
      await tariffPdf({
        title: 'Sedge & Slate: Delivery',
        notes: ['Amounts in CAD.'],
        blocks: blocks(places),
        foot,
      }),
    );
    expect(foot.mock.calls).toEqual(pdf.getPages().map((_, at) => [at + 1, pdf.getPageCount()]));
    expect(pdf.getTitle()).toBe('Sedge & Slate: Delivery');
    return pdf.getPageCount();
  };

  test('fills both columns of a page before the next is begun', async () => {
    expect(await pages(0)).toBe(1);
    expect(await pages(18)).toBe(1);
    expect(await pages(40)).toBe(2);
  });
});
