import type { DeliveryArea } from '../model/delivery.ts';
import { kindOf } from './kinds.ts';

/** Whether an area brings orders for nothing by at least one of its methods, whatever is ordered. */
export const areaIsFree = ({ price, serviceFee, methods }: DeliveryArea): boolean =>
  kindOf(price).chargesNothing(price) &&
  (serviceFee?.amount ?? 0) === 0 &&
  methods.some(({ add }) => add === 0);
