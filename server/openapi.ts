import { z } from 'zod';
import { carrierAnswerSchema } from '../core/model/carrier.ts';
import { sizeSchema } from '../core/model/good.ts';
import { destinationSchema, pointSchema } from '../core/model/place.ts';
import {
  choiceSchema,
  noticeSchema,
  parcelSchema,
  sourceSchema,
  withheldSchema,
  workingLineSchema,
} from '../core/model/quote.ts';
import { lineSchema } from '../core/model/request.ts';
import { languageSchema } from '../core/model/language.ts';
import { NDJSON } from './edition-routes.ts';
import { orderSchema, quoteAnswerSchema } from './quote-answer.ts';
import { REFUSALS, type RefusalCode } from './refusals.ts';

const CODES = Object.keys(REFUSALS) as [RefusalCode, ...RefusalCode[]];

const problemSchema = z.strictObject({
  type: z.string(),
  title: z.string(),
  status: z.int().min(400).max(599),
  detail: z.string(),
  code: z.enum(CODES),
});
const editionOf = quoteAnswerSchema.shape.edition;
const slotsAnswerSchema = z.strictObject({
  edition: editionOf,
  language: languageSchema,
  choices: z.array(
    choiceSchema.pick({ id: true, kind: true, name: true }).extend({
      slots: choiceSchema.shape.slots.unwrap(),
    }),
  ),
});
const editionListSchema = z.strictObject({
  shops: z.array(
    z.strictObject({
      shop: z.string(),
      live: z.int(),
      editions: z.array(
        z.strictObject({
          number: z.int(),
          digest: z.string(),
          languages: z.array(languageSchema),
          publishedAt: z.string(),
          note: z.string(),
        }),
      ),
    }),
  ),
  refused: z.array(z.strictObject({ file: z.string(), reasons: z.array(z.string()) })),
});
const bookProblemsSchema = z.strictObject({
  on: z.iso.date(),
  problems: z.array(
    z.strictObject({
      code: z.string(),
      gravity: z.enum(['stops', 'leaks', 'odd', 'data']),
      text: z.string(),
      where: z.array(z.strictObject({ kind: z.string(), id: z.string() })),
      example: orderSchema.optional(),
      reach: z.string().optional(),
      goods: z.array(z.string()).optional(),
      places: z.array(z.string()).optional(),
      isVast: z.literal(true).optional(),
    }),
  ),
});
const placeSchema = z.strictObject({
  code: z.string(),
  name: z.string(),
  point: pointSchema,
});
const editionFileSchema = z.strictObject({
  format: z.literal('emporos-edition'),
  version: z.literal(1),
  digest: z.string(),
  edition: z.looseObject({ number: z.int(), publishedAt: z.string(), note: z.string() }),
  testOrders: z.array(z.looseObject({ name: z.string() })),
});
const putAnswerSchema = z.strictObject({ shop: z.string(), number: z.int(), digest: z.string() });
const backAnswerSchema = z.strictObject({ shop: z.string(), live: z.int() });

const SCHEMAS: Record<string, z.ZodType> = {
  Size: sizeSchema,
  Point: pointSchema,
  CarrierAnswer: carrierAnswerSchema,
  Source: sourceSchema,
  Destination: destinationSchema,
  Line: lineSchema,
  Order: orderSchema,
  Choice: choiceSchema,
  Withheld: withheldSchema,
  WorkingLine: workingLineSchema,
  Parcel: parcelSchema,
  Notice: noticeSchema,
  QuoteAnswer: quoteAnswerSchema,
  SlotsAnswer: slotsAnswerSchema,
  EditionList: editionListSchema,
  EditionFile: editionFileSchema,
  EditionPut: putAnswerSchema,
  WentBack: backAnswerSchema,
  EditionProblems: bookProblemsSchema,
  Place: placeSchema,
  Problem: problemSchema,
};

type Json = Record<string, unknown>;

/** Every schema of the service by its name, as OpenAPI 3.1 has them: JSON Schema, each referring to the others. */
const schemas = (): Json => {
  const registry = z.registry<{ id: string }>();
  for (const [id, schema] of Object.entries(SCHEMAS)) registry.add(schema, { id });
  const made = z.toJSONSchema(registry, {
    io: 'input',
    unrepresentable: 'any',
    uri: (id) => `#/components/schemas/${id}`,
  }).schemas as Record<string, Json>;
  return Object.fromEntries(
    Object.entries(made).map(([id, { $schema: _, $id: __, ...schema }]) => [id, schema]),
  );
};

const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
const content = (name: string, type = 'application/json'): Json => ({ [type]: { schema: ref(name) } });

const HEADERS: Json = {
  'Emporos-Edition': { description: 'The number of the edition.', schema: { type: 'string' } },
  'Emporos-Digest': { description: 'The digest of the edition.', schema: { type: 'string' } },
};
const PROBLEM: Json = {
  description: 'Refused, with a code that callers may rely on (RFC 9457).',
  content: content('Problem', 'application/problem+json'),
};
const answers = (description: string, body: Json, headers: Json = {}): Json => ({
  '200': { description, content: body, ...(Object.keys(headers).length > 0 ? { headers } : {}) },
  default: PROBLEM,
});

const inPath = (name: string, description: string, type = 'string'): Json => ({
  ...{ name, description, in: 'path', required: true },
  schema: { type },
});
const SHOP = { ...inPath('shop', 'The shop, as its files are named.'), example: 'demo' };
const NUMBER = inPath('number', 'The number of the edition.', 'integer');
const ASKED: Json[] = [
  SHOP,
  {
    ...{ name: 'edition', in: 'query', required: false },
    description: 'An edition by its number; the live one if left out.',
    schema: { type: 'integer', minimum: 1 },
  },
  {
    ...{ name: 'Accept-Language', in: 'header', required: false },
    description: 'The customer’s language, out of those the shop offers.',
    schema: { type: 'string' },
  },
];

/** An order that the demo's shop ships, to try with. */
export const EXAMPLE_ORDER = {
  destination: { country: 'CA', postalCode: 'B2G 2L2' },
  lines: [{ sku: 'pot-26', quantity: 2 }],
  placedAt: '2026-11-24T10:15:00-04:00',
};
const orderBody = (more: Json = {}): Json => ({
  required: true,
  content: { 'application/json': { schema: ref('Order'), example: EXAMPLE_ORDER }, ...more },
});

const QUOTES: Json = {
  '/api/editions': {
    get: {
      ...{ operationId: 'listEditions', tags: ['Editions'], summary: 'The shops and their editions' },
      responses: answers(
        'Each shop with its editions, and the files that are refused.',
        content('EditionList'),
      ),
    },
  },
  '/api/editions/{shop}/quotes': {
    post: {
      ...{ operationId: 'quote', tags: ['Quotes'], summary: 'What getting an order there costs' },
      description:
        'One order, or up to 1,000 as NDJSON, one a line: each is answered in a line of its own as soon as it is there. ' +
        'Carriers are asked, unless their answers are handed in.',
      parameters: ASKED,
      requestBody: orderBody({ [NDJSON]: { schema: { type: 'string' } } }),
      responses: answers(
        'The quote: what is offered, how each charge adds up, and what is not offered and why.',
        { ...content('QuoteAnswer'), [NDJSON]: { schema: { type: 'string' } } },
        HEADERS,
      ),
    },
  },
  '/api/editions/{shop}/slots': {
    post: {
      ...{ operationId: 'slots', tags: ['Quotes'], summary: 'The times an order can choose from' },
      parameters: ASKED,
      requestBody: orderBody(),
      responses: answers(
        'Times of delivery and collection, with how many are left of each.',
        content('SlotsAnswer'),
        HEADERS,
      ),
    },
  },
  '/api/editions/{shop}/problems': {
    get: {
      ...{ operationId: 'problems', tags: ['Editions'], summary: 'What is wrong with an edition' },
      parameters: ASKED.slice(0, 2),
      responses: answers('Its problems, judged from today on.', content('EditionProblems'), HEADERS),
    },
  },
};

const WRITING: Json = {
  '/api/editions/{shop}/{number}': {
    parameters: [SHOP, NUMBER],
    put: {
      ...{ operationId: 'putEdition', tags: ['Editions'], summary: 'Put an edition into service' },
      description:
        'Needs a key for writing. The file is read whole and tried against its own test orders first.',
      security: [{ key: [] }],
      requestBody: { required: true, content: content('EditionFile') },
      responses: {
        ...answers('It was there already.', content('EditionPut')),
        '201': { description: 'It is served.', content: content('EditionPut') },
      },
    },
    delete: {
      ...{
        operationId: 'takeBackEdition',
        tags: ['Editions'],
        summary: 'Go back: take an edition out of service',
      },
      description: 'Needs a key for writing. The edition before it is live again.',
      security: [{ key: [] }],
      responses: answers('The edition that is live now.', content('WentBack')),
    },
  },
};

const REST: Json = {
  '/api/places/{country}/{code}': {
    get: {
      ...{ operationId: 'place', tags: ['Places'], summary: 'Where a postal code lies' },
      parameters: [
        inPath('country', 'Two letters, such as CA.'),
        inPath('code', 'A postal code, such as B3H2Y9.'),
      ],
      responses: answers('The part of the code that is known, and its point.', content('Place')),
    },
  },
};

/** The quote service described by OpenAPI 3.1, its schemas made from those that the service reads with. */
export const openApiDocument = (version: string): Json => ({
  openapi: '3.1.0',
  info: {
    title: 'Emporos quote service',
    version,
    description:
      'What getting an order there costs, out of a shop’s published editions. Amounts are in minor units.',
  },
  servers: [{ url: '/' }],
  security: [{}, { key: [] }],
  paths: { ...QUOTES, ...WRITING, ...REST },
  components: {
    schemas: schemas(),
    securitySchemes: { key: { type: 'http', scheme: 'bearer' } },
  },
});
