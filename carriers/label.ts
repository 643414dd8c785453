import JsBarcode from 'jsbarcode';
import { PDFDocument, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import type { Destination } from '../core/model/place.ts';
import { INK, printable } from './print.ts';
import type { CarrierShipment } from '../core/model/shipment.ts';

/** A label of 100 by 150 mm, in points of 1/72 inch. */
const WIDTH = 283;
const HEIGHT = 425;
const MARGIN = 16;

const addressLines = ({ lines = [], city, subdivision, postalCode, country }: Destination): string[] =>
  [...lines, [city, subdivision, postalCode].filter(Boolean).join('  '), country].filter(
    (line) => line !== '',
  );

/** The bars and gaps of a code as ones and noughts (Code 128, ISO/IEC 15417). */
const barsOf = (text: string): string => {
  const drawn: { encodings?: { data: string }[] } = {};
  JsBarcode(drawn, text, { format: 'CODE128' });
  return (drawn.encodings ?? []).map(({ data }) => data).join('');
};

const drawBarcode = (page: PDFPage, text: string, y: number, height: number): void => {
  const bars = barsOf(text);
  const unit = (WIDTH - 2 * MARGIN - 20) / bars.length;
  for (const { index, 0: run } of bars.matchAll(/1+/g))
    page.drawRectangle({ x: MARGIN + 10 + index * unit, y, width: run.length * unit, height, color: INK });
};

interface Fonts {
  plain: PDFFont;
  bold: PDFFont;
}

const drawLabel = (
  page: PDFPage,
  fonts: Fonts,
  shipment: CarrierShipment,
  carrier: string,
  parcel: number,
): void => {
  const { from, to, service, parcels, tracking, shipDate, reference, sandbox } = shipment;
  let y = HEIGHT - MARGIN;
  const write = (text: string, size: number, font = fonts.plain): void => {
    y -= size * 1.35;
    page.drawText(printable(text), { x: MARGIN, y, size, font, color: INK, maxWidth: WIDTH - 2 * MARGIN });
  };
  const rule = (): void => {
    y -= 8;
    page.drawLine({ start: { x: MARGIN, y }, end: { x: WIDTH - MARGIN, y }, thickness: 1, color: INK });
  };
  write(carrier, 18, fonts.bold);
  write(`${service.name}, ${shipDate}`, 10);
  rule();
  write('From', 8);
  for (const line of addressLines(from)) write(line, 9);
  rule();
  write('To', 8);
  for (const line of addressLines(to)) write(line, 14, fonts.bold);
  rule();
  write(`Parcel ${parcel + 1} of ${parcels.length}, ${((parcels[parcel] ?? 0) / 1_000).toFixed(2)} kg`, 10);
  write(`Reference ${reference}`, 10);
  drawBarcode(page, tracking, 60, 64);
  page.drawText(tracking, { x: MARGIN + 10, y: 44, size: 12, font: fonts.bold, color: INK });
  const note = sandbox ? 'SANDBOX: NOT FOR SHIPPING' : 'A stand-in for a carrier: not for shipping';
  page.drawText(note, { x: MARGIN, y: 22, size: 9, font: fonts.bold, color: INK });
};

/** A shipment's labels as a PDF, a page a parcel, with the tracking number as a barcode. */
export const labelPdf = async (shipment: CarrierShipment, carrier: string): Promise<Uint8Array> => {
  const pdf = await PDFDocument.create();
  const day = new Date(shipment.bookedAt);
  pdf.setTitle(`${carrier} ${shipment.tracking}`);
  pdf.setCreationDate(day);
  pdf.setModificationDate(day);
  const fonts = {
    plain: await pdf.embedFont(StandardFonts.Helvetica),
    bold: await pdf.embedFont(StandardFonts.HelveticaBold),
  };
  shipment.parcels.forEach((_, parcel) =>
    drawLabel(pdf.addPage([WIDTH, HEIGHT]), fonts, shipment, carrier, parcel),
  );
  return pdf.save();
};
