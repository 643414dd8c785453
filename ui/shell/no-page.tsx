import { usePathname, useRouter } from 'expo-router';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { Page } from '../page/page.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { PageHead } from '../page/page-head.tsx';

const action = { marginLeft: -4 } as const;

/** What is shown at an address that no page has. */
export const NoPage = () => {
  const router = useRouter();
  return (
    <Page>
      <PageHead title={t('Not found')} />
      <View style={{ gap: 8, paddingTop: 16, alignItems: 'flex-start' }}>
        <Text>
          {t('There is no page at “{path}”. The link may be old, or mistyped.', {
            path: usePathname(),
          })}
        </Text>
        <TextAction main style={action} label={t('Go to Today')} onPress={() => router.navigate('/today')} />
        <TextAction
          style={action}
          label={t('Go to the shopfront')}
          onPress={() => router.navigate('/shop')}
        />
      </View>
    </Page>
  );
};
