import { z } from 'zod';
import { t } from '../../core/translate/translate.ts';
import { carrierIdOf, listedCarrier } from '../../carriers/directory.ts';
import { saveBytes } from '../files/files.ts';
import type { Booking } from '../../carriers/shipment.ts';
import { shipmentSchema, type CarrierShipment } from '../../core/model/shipment.ts';

export type BookedHere = { ok: true; shipment: CarrierShipment } | { ok: false; text: string };

const path = (carrier: string, tracking = ''): string =>
  `/api/carriers/${carrier}/shipments${tracking === '' ? '' : `/${tracking}`}`;

const MOST_TOLD = 300;
const answerSchema = z.union([
  z.object({ shipment: shipmentSchema }),
  z.object({ detail: z.string().transform((text) => text.slice(0, MOST_TOLD)) }),
]);

/** What a carrier answers, read with suspicion: a shipment that is whole and of that carrier, or why there is none. */
const answered = async (carrier: string, response: Response): Promise<BookedHere> => {
  const body = answerSchema.safeParse(await response.json());
  if (!body.success) return UNREAD;
  if ('detail' in body.data) return { ok: false, text: body.data.detail };
  return body.data.shipment.carrier === carrierIdOf(carrier)
    ? { ok: true, shipment: body.data.shipment }
    : UNREAD;
};

const UNREAD: BookedHere = { ok: false, text: t('its answer cannot be read') };
const FAILED: BookedHere = {
  ok: false,
  text: t('the carrier could not be reached, or its answer cannot be read'),
};

/** Books a shipment with its carrier. */
export const bookShipment = async (booking: Booking): Promise<BookedHere> => {
  try {
    return await answered(
      booking.question.carrier,
      await fetch(path(booking.question.carrier), {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(booking),
      }),
    );
  } catch {
    return FAILED;
  }
};

/** Cancels a shipment. */
export const cancelShipment = async ({ carrier, tracking }: CarrierShipment): Promise<BookedHere> => {
  try {
    return await answered(carrier, await fetch(path(carrier, tracking), { method: 'DELETE' }));
  } catch {
    return FAILED;
  }
};

/** The labels of a shipment, made in this page and opened as a file. */
export const openLabel = async (shipment: CarrierShipment): Promise<void> => {
  const { labelPdf } = await import('./papers.ts');
  const bytes = await labelPdf(shipment, listedCarrier(shipment.carrier)?.name ?? shipment.carrier);
  saveBytes(`label-${shipment.tracking}.pdf`, bytes);
};
