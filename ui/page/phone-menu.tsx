import { usePathname, useRouter } from 'expo-router';
import { Menu } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { IconAction } from '../parts/icon-action.tsx';
import { coloursChosen, keysToggled, menuShown } from '../state/session.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { useIsDark } from './use-is-dark.ts';

/**
 * On a phone, what the rail holds elsewhere. Whether it is open is kept by address: the head of a page is drawn anew
 * when the rest of the page arrives, and the menu stays.
 */
export const PhoneMenu = () => {
  const dispatch = useAppDispatch();
  const isDark = useIsDark();
  const router = useRouter();
  const path = usePathname();
  const isOpen = useAppSelector((state) => state.session.menuOn === path);
  const close = (): void => void dispatch(menuShown(null));
  const act = (action: Parameters<typeof dispatch>[0]) => () => {
    close();
    dispatch(action);
  };
  const go = (to: '/shop' | '/settings' | '/guide') => () => {
    close();
    router.navigate(to);
  };
  const button = (
    <IconAction
      icon="menu"
      size={22}
      style={{ margin: 0 }}
      accessibilityLabel={t('Menu')}
      onPress={() => dispatch(menuShown(path))}
    />
  );
  if (!isOpen) return button;
  return (
    <Menu visible onDismiss={close} anchor={button} overlayAccessibilityLabel={t('Close')}>
      <Menu.Item
        title={isDark ? t('Light colours') : t('Dark colours')}
        onPress={act(coloursChosen(isDark ? 'light' : 'dark'))}
      />
      <Menu.Item title={t('Shopfront')} onPress={go('/shop')} />
      <Menu.Item title={t('Settings')} onPress={go('/settings')} />
      <Menu.Item title={t('Guide')} onPress={go('/guide')} />
      <Menu.Item title={t('Keyboard')} onPress={act(keysToggled(true))} />
    </Menu>
  );
};
