import { useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { Good } from '../../../core/model/good.ts';
import { COLUMNS, type Column } from './goods-columns.ts';

export interface Cursor {
  sku: string;
  column: Column;
  editing: boolean;
}

export interface Grid {
  cursor: Cursor | null;
  /** Puts the cursor on a cell and begins to edit it. */
  edit: (sku: string, column: Column) => void;
  /** The cell is left for something else. */
  leave: () => void;
  /** On to the cell below, still editing. */
  next: () => void;
  onKey: (event: KeyboardEvent) => void;
  focusCell: (sku: string, column: Column) => void;
}

export const cellId = (sku: string, column: Column): string => `good-${sku}-${column}`;

const PAGE = 12;
const STEPS: Record<string, [rows: number, columns: number]> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
  PageDown: [PAGE, 0],
  PageUp: [-PAGE, 0],
};

const within = (value: number, count: number): number => Math.min(Math.max(value, 0), count - 1);

/** The cell that a key leads to from the cursor; null where the key moves nothing. */
export const cellAfter = (
  goods: readonly Good[],
  cursor: Pick<Cursor, 'sku' | 'column'>,
  { key, ctrlKey, shiftKey }: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'shiftKey'>,
): Pick<Cursor, 'sku' | 'column'> | null => {
  const row = goods.findIndex(({ sku }) => sku === cursor.sku);
  const at = COLUMNS.indexOf(cursor.column);
  const step = key === 'Tab' ? [0, shiftKey ? -1 : 1] : STEPS[key];
  const toRow =
    key === 'Home' && ctrlKey ? 0 : key === 'End' && ctrlKey ? goods.length - 1 : row + (step?.[0] ?? 0);
  const toColumn = key === 'Home' ? 0 : key === 'End' ? COLUMNS.length - 1 : at + (step?.[1] ?? 0);
  if (row < 0 || (!step && key !== 'Home' && key !== 'End')) return null;
  const good = goods[within(toRow, goods.length)];
  const column = COLUMNS[within(toColumn, COLUMNS.length)];
  return good && column ? { sku: good.sku, column } : null;
};

/** How long a row is waited for, in frames. */
const MOST_FRAMES = 120;

/** Focuses the cell under the cursor once it is drawn, where that is wanted: set what is given to ask for it. */
const useFocusOf = (cursor: Cursor | null): RefObject<boolean> => {
  const wantsFocus = useRef(false);
  useLayoutEffect(() => {
    if (!wantsFocus.current || !cursor || cursor.editing) return undefined;
    wantsFocus.current = false;
    let frame = 0;
    // A row that was out of sight is drawn some frames after it is scrolled to.
    const focus = (framesLeft: number): void => {
      const cell = document.getElementById(cellId(cursor.sku, cursor.column));
      cell?.focus();
      if (!cell && framesLeft > 0) frame = requestAnimationFrame(() => focus(framesLeft - 1));
    };
    focus(MOST_FRAMES);
    return () => cancelAnimationFrame(frame);
  }, [cursor]);
  return wantsFocus;
};

/**
 * The cursor of the table: arrows move it, Enter or F2 edits the cell under it, Enter goes on to the cell
 * below, Tab to the one beside, Escape leaves the cell. `show` brings a row into view.
 */
export const useGrid = (goods: readonly Good[], show: (index: number) => void): Grid => {
  const [cursor, setCursor] = useState<Cursor | null>(null);
  const wantsFocus = useFocusOf(cursor);
  const go = (to: Pick<Cursor, 'sku' | 'column'>, editing: boolean): void => {
    if (to.sku !== cursor?.sku) show(goods.findIndex(({ sku }) => sku === to.sku));
    wantsFocus.current = true;
    setCursor({ ...to, editing });
  };
  const onEditingKey = (event: KeyboardEvent, at: Cursor): void => {
    if (event.key === 'Escape') {
      event.stopPropagation();
      go(at, false);
    } else if (event.key === 'Tab') {
      const to = cellAfter(goods, at, event);
      if (!to || (to.sku === at.sku && to.column === at.column)) return;
      event.preventDefault();
      go(to, true);
    }
  };
  const onKey = (event: KeyboardEvent): void => {
    if (!cursor) return;
    if (cursor.editing) return onEditingKey(event, cursor);
    const to = event.key === 'Tab' ? null : cellAfter(goods, cursor, event);
    if (to) {
      event.preventDefault();
      go(to, false);
    } else if (event.key === 'Enter' || event.key === 'F2') {
      event.preventDefault();
      setCursor({ ...cursor, editing: true });
    }
  };
  return {
    cursor,
    edit: (sku, column) => setCursor({ sku, column, editing: true }),
    leave: () => setCursor((now) => (now?.editing ? { ...now, editing: false } : now)),
    next: () => {
      const to = cursor && cellAfter(goods, cursor, { key: 'ArrowDown', ctrlKey: false, shiftKey: false });
      if (cursor && to && to.sku !== cursor.sku) go(to, true);
      else if (cursor) go(cursor, false);
    },
    onKey,
    focusCell: (sku, column) => {
      if (!cursor || cursor.sku !== sku || cursor.column !== column)
        setCursor({ sku, column, editing: false });
    },
  };
};
