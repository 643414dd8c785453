import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import { applyPatches, enablePatches, produceWithPatches, type Patch } from 'immer';
import type { Book } from '../../core/model/book.ts';
import { changedFaults } from '../../core/faults/changed-faults.ts';
import type { Fault } from '../../core/model/fault.ts';
import { EDITS, type EditName, type EditPayload } from './edits/edits.ts';
import type { Workbook } from './workbook.ts';

enablePatches();

/** One step of undo: what it was, and the patches both ways. */
export interface HistoryStep {
  label: string;
  /** The visit to a field it came from; further edits of the same visit join it. */
  visit: string | null;
  patches: Patch[];
  inverse: Patch[];
}

export interface DraftState {
  workbook: Workbook;
  past: HistoryStep[];
  future: HistoryStep[];
  /** The book as it was before the present visit to a field: what the preview's struck figures are from. */
  before: Book | null;
  /** Counts the changes, so that storage knows what is new. */
  revision: number;
  /**
   * Counts the changes to the goods and the long lists, which are kept apart: a history goes with the goods it
   * was made over.
   */
  goodsStamp: number;
  /** The last edit that was not made, for it would have left something that cannot be read again. */
  refused: { label: string; faults: readonly Fault[] } | null;
}

export interface Edit<N extends EditName = EditName> {
  name: N;
  payload: EditPayload<N>;
  label: string;
  visit: string | null;
}

const MOST_STEPS = 400;

const edited = createAction<Edit>('draft/edited');
/** The draft as another tab kept it takes the place of this one. */
export const draftTaken = createAction<DraftState>('draft/taken');
export const undone = createAction('draft/undone');
export const redone = createAction('draft/redone');
/** A field is entered, or a change to many begins: what the preview shows from here on is compared with now. */
export const visitBegan = createAction('draft/visitBegan');
/** A tap elsewhere: the marks of the last change go. */
export const marksCleared = createAction('draft/marksCleared');

/** The action for a change to the workbook. Edits with one `visit` are undone in one step. */
export const edit = <N extends EditName>(
  name: N,
  payload: EditPayload<N>,
  label: string,
  visit: string | null = null,
) => edited({ name, payload, label, visit } as unknown as Edit);

export const initialDraft = (workbook: Workbook): DraftState => ({
  workbook,
  past: [],
  future: [],
  before: null,
  revision: 0,
  goodsStamp: 0,
  refused: null,
});

const joined = (last: HistoryStep, patches: Patch[], inverse: Patch[]): HistoryStep => {
  const key = (patch: Patch): string => `${patch.op}:${patch.path.join('/')}`;
  const isSamePlace =
    last.patches.length === patches.length &&
    last.patches.every((patch, at) => patch.op === 'replace' && key(patch) === key(patches[at] as Patch));
  return isSamePlace
    ? { ...last, patches }
    : { ...last, patches: [...last.patches, ...patches], inverse: [...inverse, ...last.inverse] };
};

const stampAfter = ({ workbook: before, goodsStamp }: DraftState, after: Workbook): number => {
  const isSame =
    after.catalogue === before.catalogue &&
    after.book.rateTables === before.book.rateTables &&
    after.book.postalList === before.book.postalList;
  return isSame ? goodsStamp : goodsStamp + 1;
};

const applyEdit = (state: DraftState, { name, payload, label, visit }: Edit): DraftState => {
  const recipe = EDITS[name] as (workbook: Workbook, payload: Edit['payload']) => void;
  const [workbook, patches, inverse] = produceWithPatches(state.workbook, (draft) =>
    recipe(draft as Workbook, payload),
  );
  if (patches.length === 0) return state;
  const faults = changedFaults(state.workbook, workbook);
  if (faults.length > 0) return { ...state, refused: { label, faults } };
  const last = state.past.at(-1);
  const joins = visit !== null && last?.visit === visit && state.future.length === 0;
  const step = joins ? joined(last, patches, inverse) : { label, visit, patches, inverse };
  return {
    workbook,
    past: [...(joins ? state.past.slice(0, -1) : state.past), step].slice(-MOST_STEPS),
    future: [],
    before: state.before ?? state.workbook.book,
    revision: state.revision + 1,
    goodsStamp: stampAfter(state, workbook),
    refused: null,
  };
};

/** Moves one step between past and future. */
const travel = (state: DraftState, from: 'past' | 'future'): DraftState => {
  const step = state[from].at(-1);
  if (!step) return state;
  const to = from === 'past' ? 'future' : 'past';
  const workbook = applyPatches(state.workbook, from === 'past' ? step.inverse : step.patches);
  return {
    ...state,
    workbook,
    goodsStamp: stampAfter(state, workbook),
    [from]: state[from].slice(0, -1),
    [to]: [...state[to], { ...step, visit: null }],
    before: state.workbook.book,
    revision: state.revision + 1,
  };
};

/** The draft and its history. */
export const draftReducer = (state: DraftState, action: UnknownAction): DraftState => {
  if (edited.match(action)) return applyEdit(state, action.payload);
  if (draftTaken.match(action)) return { ...action.payload, revision: state.revision };
  if (undone.match(action)) return travel(state, 'past');
  if (redone.match(action)) return travel(state, 'future');
  if (visitBegan.match(action)) return { ...state, before: state.workbook.book };
  if (marksCleared.match(action)) return state.before ? { ...state, before: null } : state;
  return state;
};
