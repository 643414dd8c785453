import { useRouter } from 'expo-router';
import type { ReactElement } from 'react';
import { View } from 'react-native';
import { Press } from '../parts/press.tsx';
import { slipOpened } from '../state/session.ts';
import { useAppDispatch } from '../state/store.ts';
import type { RuleLink } from './rule-link.ts';

interface Props {
  link: RuleLink | null;
  /** What is said of the rule, for those who hear it. */
  label: string;
  children: ReactElement;
}

/** A row of a list that leads to its rule, where the rule has a page; the slip makes way for it. */
export const RuleRow = ({ link, label, children }: Props) => {
  const router = useRouter();
  const dispatch = useAppDispatch();
  if (!link) return <View role="listitem">{children}</View>;
  const go = (): void => {
    dispatch(slipOpened(false));
    router.navigate(link);
  };
  return (
    <View role="listitem">
      <Press onPress={go} role="link" aria-label={`${label} To its rule`}>
        {children}
      </Press>
    </View>
  );
};
