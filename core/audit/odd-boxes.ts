import { t } from '../translate/translate.ts';
import type { Good } from '../model/good.ts';
import { goesInto, makeKind } from '../pack/cuboid.ts';
import type { Packing } from '../pack/packing.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { Finding } from './finding.ts';

/** Whether a good goes into some box of a plan; goods that are their own carton, and those of no size, are no matter of boxes. */
const fits = ({ boxes }: Packing, { size, weight = 0, keepUpright, packsAlone }: Good): boolean =>
  packsAlone === true ||
  !size ||
  boxes.some(({ inside, maxWeight }) =>
    goesInto(makeKind(size, 1, weight, keepUpright === true), { ...inside, maxWeight }),
  );

/** Goods that fit none of the boxes they are to be packed into, and boxes that no plan uses. */
export const oddBoxes = ({ book, goods, packing, accounts }: CompiledBook): Finding[] => {
  const plans = [
    { name: t('the store'), packing },
    ...[...accounts.values()].map(({ account, packing: own }) => ({ name: account.name, packing: own })),
  ].filter((one) => one.packing.plan.kind === 'boxes');
  const used = new Set(plans.flatMap((one) => one.packing.boxes.map(({ id }) => id)));
  const physical = [...goods.values()].filter(({ fulfilment }) => fulfilment === 'physical');
  return [
    ...physical.flatMap((good): Finding[] => {
      const without = plans.filter((one) => !fits(one.packing, good)).map(({ name }) => name);
      return without.length > 0
        ? [
            {
              code: 'fits-no-box',
              where: [{ kind: 'good', id: good.sku }],
              detail: { plans: without.join(', ') },
            },
          ]
        : [];
    }),
    ...book.boxes
      .filter(({ id }) => !used.has(id))
      .map(({ id }): Finding => ({ code: 'box-unused', where: [{ kind: 'box', id }], detail: {} })),
  ];
};
