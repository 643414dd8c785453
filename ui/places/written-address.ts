import { formatAddress } from 'localized-address-format';
import type { Destination } from '../../core/model/place.ts';

/** An address as its country's post writes it, line by line, without the country. */
export const writtenAddress = (
  name: string,
  { country, subdivision, city, postalCode, lines }: Destination,
): string[] =>
  formatAddress(
    {
      name,
      postalCountry: country,
      ...(subdivision ? { administrativeArea: subdivision.slice(3) } : {}),
      ...(city ? { locality: city } : {}),
      ...(postalCode ? { postalCode } : {}),
      addressLines: lines ?? [],
    },
    'latin',
  );
