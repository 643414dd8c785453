import { t } from '../../core/translate/translate.ts';
import { TextAction } from './text-action.tsx';

/** What is on is switched off, and the other way round. */
export const SwitchAction = ({ on, onSwitch }: { on: boolean; onSwitch: (on: boolean) => void }) => (
  <TextAction label={on ? t('Switch off') : t('Switch on')} onPress={() => onSwitch(!on)} />
);
