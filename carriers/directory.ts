import type { OnePriceBox, Tariff } from './tariff.ts';
import { cairnFreight } from './tariffs/cairn-freight.ts';
import { gannetPost } from './tariffs/gannet-post.ts';
import { fulmarParcel } from './tariffs/fulmar-parcel.ts';

/** The tariffs of the carriers there are. */
export const TARIFFS: readonly Tariff[] = [gannetPost, fulmarParcel, cairnFreight];

/** What can be said of a carrier without asking it. */
export interface ListedCarrier {
  id: string;
  name: string;
  about: string;
  services: readonly { code: string; name: string; dimensional?: number }[];
  boxes: readonly OnePriceBox[];
}

/** The carriers there are, with their services and boxes. */
export const CARRIERS: readonly ListedCarrier[] = TARIFFS.map(({ id, name, about, services, onePrice }) => ({
  id,
  name,
  about,
  services,
  boxes: onePrice?.boxes ?? [],
}));

/** What carriers were called before, as accounts that are kept may still name them. */
const FORMER: Record<string, string> = { tern: 'fulmar' };

/** The id of a carrier by the one it has or had. */
export const carrierIdOf = (id: string): string => FORMER[id] ?? id;

export const listedCarrier = (id: string): ListedCarrier | undefined =>
  CARRIERS.find((carrier) => carrier.id === carrierIdOf(id));
