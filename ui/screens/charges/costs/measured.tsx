import { proxy, type Remote } from 'comlink';
import { useEffect, useState, type ReactNode } from 'react';
import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import type { OrderFilter } from '../../../../core/costs/order-filter.ts';
import { TextAction } from '../../../parts/text-action.tsx';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { CostProgress } from '../../../workers/costs/cost-progress.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import { ordersDone, UnderWay } from './under-way.tsx';

/** Who measured which orders, and how many of them cannot be. */
interface Ready {
  coster: Remote<Coster>;
  filter: OrderFilter;
  unusable: number;
}

interface Asked {
  coster: Remote<Coster>;
  filter: OrderFilter;
}

const styles = (inks: Inks) => ({
  note: note(inks),
  action: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

/** How far the orders are measured for levers and steps; after a change of the shop or of the filter the last stand holds until they are. */
const useMeasured = ({ coster, filter }: Asked) => {
  const [progress, setProgress] = useState<CostProgress | null>(null);
  const [ready, setReady] = useState<Ready | null>(null);
  const [isStopped, setStopped] = useState(false);
  useEffect(() => {
    if (isStopped) return undefined;
    let wanted = true;
    const tell = proxy((now: CostProgress) => {
      if (wanted) setProgress(now);
    });
    void coster.prepare(filter, tell).then(
      (found) => {
        if (!wanted || !found) return;
        setProgress(null);
        setReady({ coster, filter, unusable: found.unusable });
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [coster, filter, isStopped]);
  const stop = (): void => {
    void coster.stop();
    setProgress(null);
    setStopped(true);
  };
  return { progress, ready, isStopped, stop, again: () => setStopped(false) };
};

/** Measures past orders, with how far it is and a way to stop, then shows what is about them. */
export const Measured = ({ children, ...asked }: Asked & { children: (measured: Asked) => ReactNode }) => {
  const style = useStyles(styles);
  const { progress, ready, isStopped, stop, again } = useMeasured(asked);
  const { share, words } = ordersDone(progress, t('Measuring past orders …'));
  const isCurrent = ready?.coster === asked.coster && ready.filter === asked.filter;
  return (
    <>
      {isStopped ? (
        <TextAction style={style.action} label={t('Measure past orders')} onPress={again} />
      ) : isCurrent ? null : (
        <UnderWay
          label={t('Measuring past orders')}
          share={share}
          words={ready ? t('{words}. The figures below are from before the change.', { words }) : words}
          stopLabel={t('Stop measuring')}
          onStop={stop}
        />
      )}
      {ready ? children({ coster: ready.coster, filter: ready.filter }) : null}
      {ready && ready.unusable > 0 ? (
        <Text style={style.note}>
          {t(
            '{unusable, plural, one {# past order} other {# past orders}} not counted here: products in them are gone.',
            { unusable: ready.unusable },
          )}
        </Text>
      ) : null}
    </>
  );
};
