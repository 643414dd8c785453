import { Router, type NextFunction, type Request, type Response } from 'express';
import { z } from 'zod';
import { labelPdf } from '../carriers/label.ts';
import { misbehaviourSchema, SLOW_MS } from '../carriers/misbehaviour.ts';
import { bookingSchema } from '../carriers/shipment.ts';
import type { CarrierShipment } from '../core/model/shipment.ts';
import { carrierById, STAND_INS, type StandIn } from '../carriers/stand-ins.ts';
import { carrierQuestionSchema } from '../core/model/carrier.ts';
import { asksAMinute } from './asks-a-minute.ts';
import { jsonBody, parsedBody } from './body.ts';
import { refuse } from './refusals.ts';
import type { Visits } from './visits.ts';

const MOST_SHIPMENTS = 10_000;
const REQUESTS_A_MINUTE = 6_000;

const troublesSchema = z.strictObject({ troubles: z.array(misbehaviourSchema).max(STAND_INS.length) });

/** The carrier that a path names, once it has met its trouble; without one, the answer is given here. */
type Met = Request & { carrier?: StandIn };

const later = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms).unref());

/** Finds the carrier and lets it misbehave as it was told to: slow, gone, refusing, or talking rubbish. */
const askCarrier =
  (visits: Visits) =>
  async (request: Met, response: Response, next: NextFunction): Promise<void> => {
    const carrier = carrierById(String(request.params.carrier));
    if (!carrier) {
      refuse(response, 'unknown-carrier');
      return;
    }
    request.carrier = carrier;
    const trouble = visits.troublesOf(request).meet(carrier.id);
    if (trouble === 'unreachable') request.socket.destroy();
    else if (trouble === 'refusing') refuse(response, 'carrier-refusing');
    else if (trouble === 'rubbish') response.type('html').send('<h1>Scheduled maintenance</h1>');
    else {
      if (trouble === 'slow') await later(SLOW_MS);
      next();
    }
  };

const today = (now: () => Date): string => now().toISOString().slice(0, 10);

const addShipmentRoutes = (routes: Router, visits: Visits, now: () => Date): void => {
  const shipments = new Map<string, CarrierShipment>();
  const meet = askCarrier(visits);
  const found = (request: Met): CarrierShipment | undefined => {
    const shipment = shipments.get(String(request.params.tracking));
    return shipment?.carrier === request.carrier?.id ? shipment : undefined;
  };
  const missing = (response: Response): void => refuse(response, 'unknown-shipment');

  routes.post('/:carrier/shipments', jsonBody, meet, (request: Met, response) => {
    const booking = parsedBody(bookingSchema, request, response);
    if (!booking || !request.carrier) return;
    const booked = request.carrier.book(booking);
    if (!booked.ok) {
      refuse(response, 'not-booked', booked.text);
      return;
    }
    const { tracking } = booked.shipment;
    const known = shipments.get(tracking);
    if (shipments.size >= MOST_SHIPMENTS) shipments.clear();
    if (!known || known.cancelledAt !== undefined) shipments.set(tracking, booked.shipment);
    response.status(known ? 200 : 201).json({ shipment: shipments.get(tracking) });
  });
  routes.get('/:carrier/shipments/:tracking', meet, (request: Met, response) => {
    const shipment = found(request);
    if (!shipment || !request.carrier) return missing(response);
    response.json({ shipment, steps: request.carrier.track(shipment, today(now)) });
  });
  routes.get('/:carrier/shipments/:tracking/label.pdf', meet, async (request: Met, response) => {
    const shipment = found(request);
    if (!shipment || !request.carrier) return missing(response);
    response.type('pdf').send(Buffer.from(await labelPdf(shipment, request.carrier.name)));
  });
  routes.delete('/:carrier/shipments/:tracking', meet, (request: Met, response) => {
    const shipment = found(request);
    if (!shipment || !request.carrier) return missing(response);
    const cancelled = request.carrier.cancel(shipment, now().toISOString());
    if (!cancelled.ok) {
      refuse(response, 'not-cancelled', cancelled.text);
      return;
    }
    shipments.set(shipment.tracking, cancelled.shipment);
    response.json({ shipment: cancelled.shipment });
  });
};

/**
 * The carriers' stand-ins over HTTP: rates, shipments with labels, tracking, and what they are told to get
 * wrong by each browser session. Bodies are JSON of at most a megabyte; a visitor may ask so many times a minute.
 */
export const carrierRoutes = (visits: Visits, now: () => Date): Router => {
  const routes = Router();
  routes.use(asksAMinute(REQUESTS_A_MINUTE));
  routes.get('/troubles', (request, response) => {
    response.set('cache-control', 'no-store').json({ troubles: visits.troublesOf(request).list() });
  });
  routes.put('/troubles', jsonBody, (request, response) => {
    const body = parsedBody(troublesSchema, request, response);
    if (!body) return;
    response.json({ troubles: visits.set(request, response, body.troubles).list() });
  });
  routes.post('/:carrier/rates', jsonBody, askCarrier(visits), (request: Met, response) => {
    const question = parsedBody(carrierQuestionSchema, request, response);
    if (question) response.json(request.carrier?.rate(question));
  });
  addShipmentRoutes(routes, visits, now);
  return routes;
};
