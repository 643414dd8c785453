import type { ReactElement } from 'react';
import { View } from 'react-native';
import { t } from '../../core/translate/translate.ts';
import { LinkPress } from '../parts/link-press.tsx';
import { useWidth } from '../parts/use-width.ts';
import { previewOpened } from '../state/session.ts';
import { useAppDispatch } from '../state/store.ts';
import { FINGER } from '../theme/tokens.ts';
import type { RuleLink } from './rule-link.ts';

interface Props {
  link: RuleLink | null;
  /** What is said of the rule, for those who hear it. */
  label: string;
  /** Whether it stands in an item of the list that holds more than it. */
  inItem?: boolean;
  children: ReactElement;
}

/** A row of a list that leads to its rule, where the rule has a page; the preview makes way for it. */
export const RuleRow = ({ link, label, inItem = false, children }: Props) => {
  const dispatch = useAppDispatch();
  const isWide = useWidth() === 'wide';
  const role = inItem ? undefined : 'listitem';
  if (!link) return <View role={role}>{children}</View>;
  return (
    <View role={role}>
      <LinkPress
        to={link}
        onGo={() => void dispatch(previewOpened(false))}
        aria-label={t('{label} Go to its rule', { label })}
      >
        <View style={isWide ? null : { minHeight: FINGER, justifyContent: 'center' }}>{children}</View>
      </LinkPress>
    </View>
  );
};
