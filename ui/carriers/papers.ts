import { PDFDocument, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import { INK, printable } from '../../carriers/print.ts';

/** Papers to print, as PDF; they and the labels are made by one library, which is loaded once. */
export { labelPdf } from '../../carriers/label.ts';
export { tariffPdf } from './tariff-pdf.ts';

/** A paper of lines in columns under a title. */
export interface Paper {
  title: string;
  notes: readonly string[];
  /** How far from the left each column begins, in points. */
  columns: readonly number[];
  rows: readonly (readonly string[])[];
}

const WIDTH = 595;
const HEIGHT = 842;
const MARGIN = 48;
const LINE = 18;

interface Fonts {
  plain: PDFFont;
  bold: PDFFont;
}

const drawHead = (page: PDFPage, { bold, plain }: Fonts, { title, notes }: Paper): number => {
  let y = HEIGHT - MARGIN - 20;
  page.drawText(printable(title), { x: MARGIN, y, size: 18, font: bold, color: INK });
  for (const note of notes) {
    y -= 16;
    page.drawText(printable(note), { x: MARGIN, y, size: 11, font: plain, color: INK });
  }
  y -= 10;
  page.drawLine({ start: { x: MARGIN, y }, end: { x: WIDTH - MARGIN, y }, thickness: 1, color: INK });
  return y;
};

const drawPaper = (document: PDFDocument, fonts: Fonts, paper: Paper): void => {
  let page = document.addPage([WIDTH, HEIGHT]);
  let y = drawHead(page, fonts, paper);
  for (const cells of paper.rows) {
    if (y < MARGIN + LINE) {
      page = document.addPage([WIDTH, HEIGHT]);
      y = drawHead(page, fonts, { ...paper, notes: [] });
    }
    y -= LINE;
    page.drawRectangle({ x: MARGIN, y: y - 1, width: 9, height: 9, borderColor: INK, borderWidth: 0.8 });
    cells.forEach((cell, at) =>
      page.drawText(printable(cell), {
        x: MARGIN + 20 + (paper.columns[at] ?? 0),
        y,
        size: 11,
        font: fonts.plain,
        color: INK,
      }),
    );
  }
};

/** Papers of A4, each beginning on a page of its own, with a box to tick before every line. */
export const papersPdf = async (papers: readonly Paper[]): Promise<Uint8Array> => {
  const document = await PDFDocument.create();
  const fonts = {
    plain: await document.embedFont(StandardFonts.Helvetica),
    bold: await document.embedFont(StandardFonts.HelveticaBold),
  };
  for (const paper of papers) drawPaper(document, fonts, paper);
  return document.save();
};
