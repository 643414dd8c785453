import type { Message } from '../words/message.ts';

type Detail = Record<string, unknown>;

const rest = ({ code: _, ...figures }: Message): Detail => figures;

/**
 * The figures and names of a reason as data, of one shape for each code of what is withheld, whichever of its
 * sentences is said: `rate-off` has `what`, `name` and `zone`; `does-not-pack` has `good`, `weight`, `most` and
 * `size`; `carrier-none` has `account`, `services` and `area`. What does not apply is null.
 */
export const withheldDetail = (say: Message): Detail => {
  switch (say.code) {
    case 'rate-off':
      return { what: 'rate', name: say.service, zone: say.zone };
    case 'area-off':
      return { what: 'area', name: say.area, zone: null };
    case 'pickup-off':
      return { what: 'pickup', name: say.point, zone: null };
    case 'does-not-pack':
      return { good: say.good, weight: say.weight, most: say.most, size: null };
    case 'fits-no-box':
      return { good: say.good, weight: say.weight, most: null, size: say.size };
    case 'carrier-none':
      return { account: say.account, services: say.services, area: null };
    case 'area-by-carrier':
      return { account: null, services: [], area: say.area };
    default:
      return rest(say);
  }
};
