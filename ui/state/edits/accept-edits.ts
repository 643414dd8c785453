import type { Accepted } from '../../../core/model/accepted.ts';
import type { Workbook } from '../workbook.ts';

const isSame = (a: Accepted, b: Pick<Accepted, 'code' | 'where'>): boolean =>
  a.code === b.code && a.where === b.where;

/** What is accepted of the problems. Each changes the workbook it is given, which is a draft of the state. */
export const acceptEdits = {
  acceptProblem: (workbook: Workbook, { accepted }: { accepted: Accepted }): void => {
    workbook.accepted = [...(workbook.accepted ?? []).filter((one) => !isSame(one, accepted)), accepted];
  },

  takeBackAcceptance: (workbook: Workbook, { code, where }: Pick<Accepted, 'code' | 'where'>): void => {
    workbook.accepted = (workbook.accepted ?? []).filter((one) => !isSame(one, { code, where }));
  },
};
