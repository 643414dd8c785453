import { useEffect } from 'react';
import { liveAuditCame } from '../../state/check.ts';
import { selectLive } from '../../state/served.ts';
import { selectBook, selectCatalogue } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { auditOnce } from '../../workers/start-audit.ts';

/**
 * Audits the live edition once, after the draft's own audit, so that what is new since can be told. Where it cannot be
 * made, nothing is marked as new.
 */
export const useLiveAudit = (on: string): void => {
  const dispatch = useAppDispatch();
  const live = useAppSelector(selectLive);
  const isSame = useAppSelector(
    (state) => live?.book === selectBook(state) && live.catalogue === selectCatalogue(state),
  );
  const known = useAppSelector(({ check }) => check.live?.number);
  const isAudited = useAppSelector(({ check }) => check.audit !== null);
  useEffect(() => {
    if (!live || isSame || !isAudited || known === live.number) return undefined;
    const work = auditOnce({ book: live.book, catalogue: live.catalogue }, on);
    work.problems.then(
      (problems) => {
        if (problems) dispatch(liveAuditCame({ number: live.number, problems }));
      },
      () => undefined,
    );
    return work.stop;
  }, [live, isSame, isAudited, known, on, dispatch]);
};
