import { listedCarrier } from '../../carriers/directory.ts';
import { saveBytes } from '../parts/files.ts';
import type { Booking, CarrierShipment } from '../../carriers/shipment.ts';

export type BookedHere = { ok: true; shipment: CarrierShipment } | { ok: false; text: string };

const path = (carrier: string, tracking = ''): string =>
  `/api/carriers/${carrier}/shipments${tracking === '' ? '' : `/${tracking}`}`;

const answered = async (response: Response): Promise<BookedHere> => {
  const body = (await response.json()) as { shipment?: CarrierShipment; error?: string };
  return body.shipment
    ? { ok: true, shipment: body.shipment }
    : { ok: false, text: body.error ?? 'the answer cannot be read' };
};

const FAILED: BookedHere = {
  ok: false,
  text: 'the carrier could not be reached, or its answer cannot be read',
};

/** Books a shipment with its carrier. */
export const bookShipment = async (booking: Booking): Promise<BookedHere> => {
  try {
    return await answered(
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
    return await answered(await fetch(path(carrier, tracking), { method: 'DELETE' }));
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
