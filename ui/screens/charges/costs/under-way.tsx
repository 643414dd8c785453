import { Text } from 'react-native-paper';
import { t } from '../../../../core/translate/translate.ts';
import { Progress } from '../../../parts/progress.tsx';
import { TextAction } from '../../../parts/text-action.tsx';
import { useStyles } from '../../../theme/styles.ts';
import { note } from '../../../theme/text.ts';
import type { Inks } from '../../../theme/tokens.ts';
import type { CostProgress } from '../../../workers/costs/cost-progress.ts';

interface Props {
  /** What is under way, for those who hear it. */
  label: string;
  /** How far it is, from 0 to 1. */
  share: number;
  /** The same in words. */
  words: string;
  stopLabel: string;
  onStop: () => void;
}

const styles = (inks: Inks) => ({
  note: note(inks),
  action: { alignSelf: 'flex-start', marginLeft: -4 } as const,
});

/** How far a pass over the orders is; `begun` says it before the first is done. */
export const ordersDone = (progress: CostProgress | null, begun: string): Pick<Props, 'share' | 'words'> =>
  progress
    ? {
        share: progress.done / progress.of,
        words: t('{done} of {all, plural, one {# order} other {# orders}}', {
          done: progress.done,
          all: progress.of,
        }),
      }
    : { share: 0, words: begun };

/** Work over past orders that takes its time: how far it is, and the way to stop it. */
export const UnderWay = ({ label, share, words, stopLabel, onStop }: Props) => {
  const style = useStyles(styles);
  return (
    <>
      <Progress label={label} share={share} />
      <Text style={style.note}>{words}</Text>
      <TextAction style={style.action} label={stopLabel} onPress={onStop} />
    </>
  );
};
