import { useState } from 'react';
import type { Rate } from '../../../core/model/rate.ts';
import { selectBook } from '../../state/selectors.ts';
import { useAppStore } from '../../state/store.ts';
import type { Opening } from './open-cell.ts';

/** The rates that are selected on the board; null while cells are opened instead. */
export interface Selection {
  ids: ReadonlySet<string> | null;
  begin: () => void;
  end: () => void;
}

/** What pressing a cell, a zone or a service does: it opens, or while selecting it selects its rates. */
export interface BoardPresses {
  onCell: (zone: string, service: string, rate: Rate | undefined) => void;
  onZone: (zone: string) => void;
  onService: (service: string) => void;
}

/** Selecting rates on the board, and what presses mean meanwhile. Rates that are all selected are taken out together. */
export const useSelection = (
  opening: Opening,
  openZone: (zone: string) => void,
): Selection & BoardPresses => {
  const { getState } = useAppStore();
  const [ids, setIds] = useState<ReadonlySet<string> | null>(null);
  const toggle = (changed: readonly string[]): void => {
    const next = new Set(ids);
    const isAll = changed.every((id) => next.has(id));
    for (const id of changed) {
      if (isAll) next.delete(id);
      else next.add(id);
    }
    setIds(next);
  };
  const idsWhere = (test: (rate: Rate) => boolean): string[] =>
    selectBook(getState())
      .rates.filter(test)
      .map((rate) => rate.id);
  return {
    ids,
    begin: () => {
      opening.close();
      setIds(new Set());
    },
    end: () => setIds(null),
    onCell: (zone, service, rate) => (ids ? toggle(rate ? [rate.id] : []) : opening.openCell(zone, service)),
    onZone: (zone) => (ids ? toggle(idsWhere((rate) => rate.zoneId === zone)) : openZone(zone)),
    onService: (service) =>
      ids ? toggle(idsWhere((rate) => rate.serviceId === service)) : opening.openService(service),
  };
};
