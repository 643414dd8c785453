import { PDFDocument, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import { INK, printable } from '../../carriers/print.ts';
import type { TariffBlock } from '../../core/delivery-page/tariff.ts';

/** A tariff to be printed: what stands on its first page above the columns, and the pieces in them. */
export interface Tariff {
  title: string;
  /** Under the title: in which currency, from which day. */
  notes: readonly string[];
  blocks: readonly TariffBlock[];
  /** What stands at the foot of a page. */
  foot: (page: number, pages: number) => string;
}

/** A4 in points, set in two columns. */
const WIDTH = 595;
const HEIGHT = 842;
const MARGIN = 48;
const GUTTER = 24;
const COLUMN = (WIDTH - 2 * MARGIN - GUTTER) / 2;
const BOTTOM = MARGIN + 20;
const LEAST_LEADER = 14;
/** From the rule, or the top of a page, to the first piece of a column. */
const HEAD_ROOM = 8;

interface Fonts {
  plain: PDFFont;
  bold: PDFFont;
  slanted: PDFFont;
}

/** How a kind of piece is set: its font and size, the room above and below it, and from line to line; points. */
interface Setting {
  font: keyof Fonts;
  size: number;
  above: number;
  line: number;
  below: number;
}

const SET: Record<TariffBlock['kind'], Setting> = {
  part: { font: 'bold', size: 13, above: 18, line: 16, below: 4 },
  place: { font: 'bold', size: 10, above: 10, line: 12, below: 0 },
  price: { font: 'plain', size: 10, above: 3, line: 12, below: 0 },
  note: { font: 'slanted', size: 8.5, above: 0, line: 10.5, below: 0 },
};

/** A text in lines that are no wider than given. */
const wrapped = (text: string, font: PDFFont, size: number, width: number): string[] => {
  const lines: string[] = [];
  for (const word of printable(text).split(' ')) {
    const last = lines.at(-1);
    const longer = last === undefined ? word : `${last} ${word}`;
    if (last === undefined || font.widthOfTextAtSize(longer, size) > width) lines.push(word);
    else lines[lines.length - 1] = longer;
  }
  return lines;
};

/** A piece in lines, and the room that it takes. */
interface Placed {
  block: TariffBlock;
  lines: string[];
  height: number;
}

const placedOf = (block: TariffBlock, fonts: Fonts): Placed => {
  const { font, size, above, line, below } = SET[block.kind];
  const price = block.kind === 'price' ? fonts[font].widthOfTextAtSize(printable(block.price), size) : 0;
  const room = block.kind === 'price' ? COLUMN - price - LEAST_LEADER : COLUMN;
  const lines = wrapped(block.kind === 'price' ? block.name : block.text, fonts[font], size, room);
  return { block, lines, height: above + lines.length * line + below };
};

/** A heading goes with what stands under it, a price with its note: the room that a piece needs at least. */
const roomFor = (placed: readonly Placed[], at: number): number => {
  const [piece, next] = [placed[at], placed[at + 1]];
  if (!piece) return 0;
  const holds =
    piece.block.kind === 'part' ||
    piece.block.kind === 'place' ||
    (piece.block.kind === 'price' && next?.block.kind === 'note');
  return piece.height + (holds ? roomFor(placed, at + 1) : 0);
};

const drawPiece = (page: PDFPage, { block, lines }: Placed, fonts: Fonts, x: number, top: number): void => {
  const { font: name, size, above, line } = SET[block.kind];
  const font = fonts[name];
  let y = top - above - size;
  for (const text of lines) {
    page.drawText(text, { x, y, size, font, color: INK });
    y -= line;
  }
  if (block.kind === 'part')
    page.drawLine({
      start: { x, y: y + line - 4 },
      end: { x: x + COLUMN, y: y + line - 4 },
      thickness: 0.8,
      color: INK,
    });
  if (block.kind !== 'price') return;
  const price = printable(block.price);
  const right = x + COLUMN - font.widthOfTextAtSize(price, size);
  const base = y + line;
  page.drawText(price, { x: right, y: base, size, font, color: INK });
  const from = x + font.widthOfTextAtSize(lines.at(-1) ?? '', size) + 3;
  page.drawLine({
    start: { x: from, y: base + 1 },
    end: { x: right - 3, y: base + 1 },
    thickness: 0.6,
    dashArray: [0.6, 2.4],
    color: INK,
  });
};

const drawTitle = (page: PDFPage, { title, notes }: Tariff, { bold, slanted }: Fonts): number => {
  let y = HEIGHT - MARGIN - 20;
  for (const text of wrapped(title, bold, 20, WIDTH - 2 * MARGIN)) {
    page.drawText(text, { x: MARGIN, y, size: 20, font: bold, color: INK });
    y -= 24;
  }
  for (const text of notes) {
    page.drawText(printable(text), { x: MARGIN, y: y + 4, size: 10, font: slanted, color: INK });
    y -= 14;
  }
  page.drawLine({ start: { x: MARGIN, y }, end: { x: WIDTH - MARGIN, y }, thickness: 1.2, color: INK });
  return y;
};

/** Sets the pieces down the columns, page after page. */
const setColumns = (document: PDFDocument, fonts: Fonts, tariff: Tariff): void => {
  const placed = tariff.blocks.map((block) => placedOf(block, fonts));
  let page = document.addPage([WIDTH, HEIGHT]);
  let top = drawTitle(page, tariff, fonts);
  let [column, y] = [0, top - HEAD_ROOM];
  for (const [at, piece] of placed.entries()) {
    if (y - roomFor(placed, at) < BOTTOM && y < top - HEAD_ROOM) {
      column = 1 - column;
      if (column === 0) {
        page = document.addPage([WIDTH, HEIGHT]);
        top = HEIGHT - MARGIN;
      }
      y = top - HEAD_ROOM;
    }
    drawPiece(page, piece, fonts, MARGIN + column * (COLUMN + GUTTER), y);
    y -= piece.height;
  }
};

/** A tariff on A4 in two columns, with dots between a name and its price. */
export const tariffPdf = async (tariff: Tariff): Promise<Uint8Array> => {
  const document = await PDFDocument.create();
  document.setTitle(tariff.title);
  const fonts = {
    plain: await document.embedFont(StandardFonts.TimesRoman),
    bold: await document.embedFont(StandardFonts.TimesRomanBold),
    slanted: await document.embedFont(StandardFonts.TimesRomanItalic),
  };
  setColumns(document, fonts, tariff);
  const pages = document.getPages();
  pages.forEach((page, at) =>
    page.drawText(printable(tariff.foot(at + 1, pages.length)), {
      ...{ x: MARGIN, y: MARGIN - 12, size: 8.5, font: fonts.slanted, color: INK },
    }),
  );
  return document.save();
};
