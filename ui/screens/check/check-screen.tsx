import { useLocalSearchParams, useRouter } from 'expo-router';
import { t } from '../../../core/translate/translate.ts';
import { Page } from '../../page/page.tsx';
import { Tabs } from '../../parts/tabs.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { PageHead } from '../../page/page-head.tsx';
import { ProblemsPart } from './problems-part.tsx';
import { PublishPart } from './publish-part.tsx';
import { TestOrdersPart } from './test-orders-part.tsx';

const PARTS = [
  { value: 'testOrders', label: t('Test orders') },
  { value: 'problems', label: t('Problems') },
  { value: 'publish', label: t('Publish') },
] as const;
type PartName = (typeof PARTS)[number]['value'];

const SHOWN = { testOrders: TestOrdersPart, problems: ProblemsPart, publish: PublishPart };

/** Whether the draft is right: its test orders, the problems that an audit finds, and what publishing it would do. */
const CheckScreen = () => {
  const router = useRouter();
  const isPhone = useWidth() === 'phone';
  const { part } = useLocalSearchParams<{ part?: string }>();
  const name: PartName = part === 'problems' || part === 'publish' ? part : 'testOrders';
  const Part = SHOWN[name];
  return (
    <Page key={name}>
      <PageHead title={t('Check')} />
      <Tabs
        label={t('Check')}
        bleed={isPhone ? 20 : 0}
        value={name}
        options={PARTS}
        onChange={(next) =>
          router.navigate({ pathname: '/check', params: next === 'testOrders' ? {} : { part: next } })
        }
      />
      <Part />
    </Page>
  );
};
export default CheckScreen;
