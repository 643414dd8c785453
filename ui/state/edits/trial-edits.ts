import type { CarrierAnswer } from '../../../core/model/carrier.ts';
import type { QuoteRequest } from '../../../core/model/request.ts';
import type { Trial } from '../../../core/model/trial.ts';
import type { Workbook } from '../workbook.ts';
import { freeId, moveItem } from '../../../core/model/ids.ts';
import { setFields } from './set-fields.ts';

/** Changes to the trials. Each changes the workbook it is given, which is a draft of the state. */
export const trialEdits = {
  /** Some fields of a trial's order; a field given as undefined is taken out. Answers that were kept are to another order. */
  setRequest: (
    { trials }: Workbook,
    { id, changes }: { id: string; changes: Partial<QuoteRequest> },
  ): void => {
    const trial = trials.find((one) => one.id === id);
    setFields(trial?.request, changes);
    delete trial?.answers;
  },

  /** What the carriers are taken to answer to a trial; without any they are asked each time. */
  setAnswers: (
    { trials }: Workbook,
    { id, answers }: { id: string; answers: CarrierAnswer[] | undefined },
  ): void => {
    setFields(
      trials.find((one) => one.id === id),
      { answers },
    );
  },

  /** What a trial should give. */
  setExpects: ({ trials }: Workbook, { id, expects }: { id: string; expects: Trial['expects'] }): void => {
    const trial = trials.find((one) => one.id === id);
    if (trial) trial.expects = expects;
  },

  /** Whether a trial is pinned, and under which heading it stands; a heading of '' is none. */
  placeTrial: (
    { trials }: Workbook,
    { id, pinned, group }: { id: string; pinned?: boolean; group?: string },
  ): void => {
    const trial = trials.find((one) => one.id === id);
    if (!trial) return;
    if (pinned !== undefined) trial.pinned = pinned;
    if (trial.pinned === false) delete trial.pinned;
    if (group !== undefined) trial.group = group;
    if (trial.group === '') delete trial.group;
  },

  moveTrial: ({ trials }: Workbook, { id, by }: { id: string; by: number }): void => moveItem(trials, id, by),

  /** Trials out of a file beside those that are here; one with an id that is here takes its place. */
  takeTrials: (workbook: Workbook, { trials }: { trials: readonly Trial[] }): void => {
    const taken = new Map(trials.map((trial) => [trial.id, trial]));
    const known = new Set(workbook.trials.map(({ id }) => id));
    workbook.trials = [
      ...workbook.trials.map((trial) => taken.get(trial.id) ?? trial),
      ...trials.filter(({ id }) => !known.has(id)),
    ];
  },

  renameTrial: ({ trials }: Workbook, { id, name }: { id: string; name: string }): void => {
    const trial = trials.find((one) => one.id === id);
    if (trial) trial.name = name;
  },

  /** A trial once more, after it, without what it should give: the copy is there to be changed. */
  copyTrial: ({ trials }: Workbook, { id, name }: { id: string; name: string }): void => {
    const at = trials.findIndex((one) => one.id === id);
    const source = trials[at];
    if (!source) return;
    const copy: Trial = {
      id: freeId(name, trials),
      name,
      request: JSON.parse(JSON.stringify(source.request)),
      expects: [],
    };
    trials.splice(at + 1, 0, copy);
  },

  /** A new trial after all others. */
  addTrial: ({ trials }: Workbook, { trial }: { trial: Omit<Trial, 'id'> }): void => {
    trials.push({ ...trial, id: freeId(trial.name, trials) });
  },

  removeTrial: (workbook: Workbook, { id }: { id: string }): void => {
    workbook.trials = workbook.trials.filter((trial) => trial.id !== id);
  },
};
