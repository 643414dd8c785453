import { PDFDocument } from 'pdf-lib';
import { labelPdf } from './label.ts';
import { shipmentSchema, type CarrierShipment } from '../core/model/shipment.ts';
import { bookBy, cancelBy, trackBy, type Booking } from './shipment.ts';
import { fulmarParcel } from './tariffs/fulmar-parcel.ts';
import { makeQuestion } from './testing/question.ts';

const booking = (part: Partial<Booking> = {}): Booking => ({
  question: makeQuestion({ parcels: [{ weight: 2_000 }, { weight: 900 }] }),
  service: 'ground',
  reference: 'W-1042',
  bookedAt: '2026-11-25T14:00:00.000Z',
  ...part,
});
const booked = (part: Partial<Booking> = {}): CarrierShipment => {
  const made = bookBy(fulmarParcel, booking(part));
  if (!made.ok) throw new Error(made.text);
  return made.shipment;
};

describe('a shipment', () => {
  test('has a number of its own, the same for the same booking, and the price that was asked', () => {
    const one = booked();
    expect(shipmentSchema.parse(one)).toEqual(one);
    expect(one.tracking).toMatch(/^FU\d{10}[\dX]$/);
    expect(booked({ bookedAt: '2026-11-25T15:00:00.000Z' }).tracking).toBe(one.tracking);
    expect(booked({ reference: 'W-1043' }).tracking).not.toBe(one.tracking);
    expect(one).toMatchObject({ shipDate: '2026-11-26', due: '2026-12-01', parcels: [2_000, 900] });
    expect(JSON.stringify(one)).not.toContain('credentials');
  });

  test('leaves no earlier than it was booked', () => {
    expect(booked({ bookedAt: '2026-11-30T14:00:00.000Z' })).toMatchObject({
      shipDate: '2026-11-30',
      due: '2026-12-03',
    });
  });

  test('is not booked for a service that does not take it, nor with wrong credentials', () => {
    expect(bookBy(fulmarParcel, booking({ service: 'overnight' }))).toMatchObject({ ok: true });
    const far = makeQuestion({ to: { country: 'US', postalCode: '90210' } });
    expect(bookBy(fulmarParcel, booking({ service: 'overnight', question: far }))).toEqual({
      ok: false,
      text: 'the service overnight does not take this shipment',
    });
    const credentials = { kind: 'own', accountNumber: 'T7-55208', secret: 'wrong' } as const;
    const refused = bookBy(fulmarParcel, booking({ question: makeQuestion({ credentials }) }));
    expect(refused.ok ? '' : refused.text).not.toContain('wrong');
  });

  test('is tracked from booking to door', () => {
    const texts = (on: string) => trackBy(booked(), on).map(({ text }) => text);
    expect(texts('2026-11-25')).toEqual(['Booked: Fulmar ground']);
    expect(texts('2026-11-27')).toHaveLength(3);
    expect(texts('2026-12-01').at(-1)).toBe('Delivered in Toronto');
  });

  test('is cancelled until it is on its way, and once only', () => {
    const cancelled = cancelBy(booked(), '2026-11-26T09:00:00.000Z');
    if (!cancelled.ok) throw new Error(cancelled.text);
    expect(cancelBy(cancelled.shipment, '2026-11-30T09:00:00.000Z')).toEqual(cancelled);
    expect(trackBy(cancelled.shipment, '2026-12-05').map(({ text }) => text)).toEqual([
      'Booked: Fulmar ground',
      'Cancelled',
    ]);
    expect(cancelBy(booked(), '2026-11-27T09:00:00.000Z').ok).toBe(false);
  });

  test('has a label of a page for each parcel, whatever is written in the address', async () => {
    const to = { country: 'CA', postalCode: 'M5V 2T6', lines: ['Łucja Øre', '12 Rue de l’Église', '東京'] };
    const bytes = await labelPdf(
      booked({ question: makeQuestion({ to, parcels: [{ weight: 1 }, { weight: 2 }] }) }),
      'Fulmar',
    );
    const pdf = await PDFDocument.load(bytes, { updateMetadata: false });
    expect([pdf.getPageCount(), pdf.getTitle()?.startsWith('Fulmar FU')]).toEqual([2, true]);
  });
});
