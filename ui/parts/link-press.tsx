import { useRouter } from 'expo-router';
import type { ComponentProps } from 'react';
import type { GestureResponderEvent } from 'react-native';
import { addressText, type Address } from './address-text.ts';
import { Press } from './press.tsx';

type Props = Omit<ComponentProps<typeof Press>, 'onPress' | 'role'> & {
  to: Address;
  /** Done before it is gone to. */
  onGo?: () => void;
};

/** Whether a link is to be opened elsewhere, as in a tab of its own, which the browser does. */
const isForElsewhere = ({ nativeEvent }: GestureResponderEvent): boolean => {
  const { ctrlKey, metaKey, shiftKey } = nativeEvent as unknown as Partial<MouseEvent>;
  return [ctrlKey, metaKey, shiftKey].includes(true);
};

/** A link to a page of the program: it has an address that can be copied, and opens in another tab where that is asked. */
export const LinkPress = ({ to, onGo, ...more }: Props) => {
  const router = useRouter();
  const go = (event: GestureResponderEvent): void => {
    if (isForElsewhere(event)) return;
    event.preventDefault();
    onGo?.();
    router.navigate(to as Parameters<typeof router.navigate>[0]);
  };
  return <Press role="link" {...{ href: addressText(to) }} onPress={go} {...more} />;
};
