import { useEffect, useMemo, useRef, useState } from 'react';
import type { Fault } from '../../../core/model/fault.ts';
import {
  firstWithout,
  givenValue,
  placeOf,
  valueAt,
  withoutFault,
  withValueAt,
  type Repair,
} from '../../../core/formats/repair.ts';
import { readShopValue, type Shop, type ShopFile } from '../../../core/formats/shop-file.ts';

interface State {
  value: unknown;
  repairs: readonly Repair[];
}

interface Mending extends State {
  /** What still keeps it from being read. */
  faults: readonly Fault[];
  /** The shop, once nothing does. */
  file: ShopFile | null;
  /** Whether all that is faulty is being left out. */
  isBusy: boolean;
  /** A fault that nothing can be left out for: only a right value mends it. */
  stuck: Fault | null;
  give: (found: Fault, text: string) => void;
  leaveOut: (found: Fault) => void;
  leaveOutAll: () => void;
  stop: () => void;
  /** Takes the last repair back. */
  undo: () => void;
}

const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** A faulty shop that is mended fault by fault: by right values, or by leaving out what is faulty. */
export const useRepair = (given: unknown, here: Shop): Mending => {
  const [states, setStates] = useState<readonly State[]>([{ value: given, repairs: [] }]);
  const [isBusy, setBusy] = useState(false);
  const [stuck, setStuck] = useState<Fault | null>(null);
  const isStopped = useRef(false);
  useEffect(() => () => void (isStopped.current = true), []);
  const state = states.at(-1) ?? { value: given, repairs: [] };
  const read = useMemo(() => readShopValue(state.value, here), [state.value, here]);
  const faultsOf = (value: unknown): readonly Fault[] => {
    const result = readShopValue(value, here);
    return result.ok ? [] : result.faults;
  };
  const push = (value: unknown, repair: Repair): void => {
    setStuck(null);
    setStates((all) => [...all, { value, repairs: [...(all.at(-1)?.repairs ?? []), repair] }]);
  };
  const leaveOut = (found: Fault): void => {
    const next = withoutFault(state.value, found, faultsOf);
    if (next === null) setStuck(found);
    else push(next.value, next.repair);
  };
  const leaveOutAll = async (): Promise<void> => {
    setBusy(true);
    isStopped.current = false;
    let value: unknown = state.value;
    while (!isStopped.current) {
      const faults = faultsOf(value);
      const next = firstWithout(value, faults, faultsOf);
      if (!next) {
        setStuck(faults[0] ?? null);
        break;
      }
      value = next.value;
      push(next.value, next.repair);
      await breath();
    }
    setBusy(false);
  };
  return {
    ...state,
    faults: read.ok ? [] : read.faults,
    file: read.ok ? read.value : null,
    isBusy,
    stuck,
    give: (found, text) => {
      const present = valueAt(state.value, found.path);
      const value = withValueAt(state.value, found, givenValue(text, present, found));
      push(value, { fault: found, did: 'set', place: placeOf(state.value, found) });
    },
    leaveOut,
    leaveOutAll: () => void leaveOutAll(),
    stop: () => void (isStopped.current = true),
    undo: () => setStates((all) => (all.length > 1 ? all.slice(0, -1) : all)),
  };
};
