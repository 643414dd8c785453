import { proxy, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Lever, LeverValue } from '../../../../core/costs/lever.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import type { WhatIf } from '../../../../core/costs/what-if.ts';
import type { Coster } from '../../../workers/costs/coster.ts';

/** The curve of a lever over its range, as far as it is drawn. */
export const useCurve = (coster: Remote<Coster>, filter: OrderFilter, lever: Lever): readonly WhatIf[] => {
  const [points, setPoints] = useState<readonly WhatIf[]>([]);
  useEffect(() => {
    let wanted = true;
    let drawn: WhatIf[] = [];
    setPoints([]);
    const add = proxy((point: WhatIf) => {
      if (!wanted) return;
      drawn = [...drawn, point];
      setPoints(drawn);
    });
    void coster.curve(filter, lever, add).catch(() => undefined);
    return () => {
      wanted = false;
    };
  }, [coster, filter, lever]);
  return points;
};

/** What a lever at a value does; the last answer while the next is on its way, and no question that is out of date. */
export const useAtValue = (
  coster: Remote<Coster>,
  filter: OrderFilter,
  lever: Lever,
  value: LeverValue,
): WhatIf | null => {
  const [found, setFound] = useState<WhatIf | null>(null);
  const wanted = useRef<{ filter: OrderFilter; lever: Lever; value: LeverValue } | null>(null);
  const isAsking = useRef(false);
  useEffect(() => {
    wanted.current = { filter, lever, value };
    const ask = async (): Promise<void> => {
      if (isAsking.current) return;
      isAsking.current = true;
      while (wanted.current) {
        const next = wanted.current;
        wanted.current = null;
        const answer = await coster.whatIf(next.filter, next.lever, next.value).catch(() => null);
        if (answer) setFound(answer);
      }
      isAsking.current = false;
    };
    void ask();
  }, [coster, filter, lever, value]);
  useEffect(
    () => () => {
      wanted.current = null;
    },
    [],
  );
  return found;
};
