import { z } from 'zod';
import { idSchema, nameSchema } from './unit.ts';

export const countrySchema = z.string().regex(/^[A-Z]{2}$/, 'country');
export const subdivisionSchema = z.string().regex(/^[A-Z]{2}-[A-Z0-9]{1,3}$/, 'subdivision');
export const postalPatternSchema = z.string().trim().min(1).max(40);

const subdivisionIsWithin = ({
  country,
  subdivision,
}: {
  country: string;
  subdivision?: string | undefined;
}): boolean => subdivision === undefined || subdivision.startsWith(`${country}-`);
const SUBDIVISION_ELSEWHERE = { error: 'subdivision-elsewhere', path: ['subdivision'] };

/**
 * A piece of the world: a country (ISO 3166-1 alpha-2), one of its subdivisions (ISO 3166-2), or
 * postal patterns within it. A region has a subdivision or patterns, never both.
 */
export const regionSchema = z
  .strictObject({
    country: countrySchema,
    subdivision: subdivisionSchema.optional(),
    postal: z.array(postalPatternSchema).min(1).max(50_000).optional(),
  })
  .refine((region) => !(region.subdivision && region.postal), { error: 'region-both' })
  .refine(subdivisionIsWithin, SUBDIVISION_ELSEWHERE);
export type Region = z.infer<typeof regionSchema>;

export const pointSchema = z.strictObject({
  lat: z.number().min(-90).max(90),
  lng: z.number().min(-180).max(180),
});

/** Where an order goes. The point is found by the caller; the core never looks one up. */
export const destinationSchema = z
  .strictObject({
    country: countrySchema,
    subdivision: subdivisionSchema.optional(),
    postalCode: z.string().max(20).optional(),
    city: z.string().max(120).optional(),
    lines: z.array(z.string().max(200)).max(6).optional(),
    point: pointSchema.optional(),
    residential: z.boolean().optional(),
  })
  .refine(subdivisionIsWithin, SUBDIVISION_ELSEWHERE);
export type Destination = z.infer<typeof destinationSchema>;

/** Where the shop sells at all; what is closed here has no choices, whatever the zones say. */
export const sellsToSchema = z.strictObject({
  mode: z.enum(['everywhere', 'listed']),
  countries: z.array(countrySchema).max(300),
  closedRegions: z.array(regionSchema).max(5_000),
  /** In a country that is named here, only these regions are open. */
  onlyRegions: z.array(regionSchema).max(5_000).optional(),
  /** Whether what does not travel is sold to every country. */
  digitalEverywhere: z.boolean().optional(),
});
export type SellsTo = z.infer<typeof sellsToSchema>;

/** A part of the world that shares rates. */
export const zoneSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  active: z.boolean(),
  includes: z.array(regionSchema).max(5_000),
  excludes: z.array(regionSchema).max(5_000),
  remainder: z.boolean(),
  without: z.array(idSchema).max(200).optional(),
});
export type Zone = z.infer<typeof zoneSchema>;
