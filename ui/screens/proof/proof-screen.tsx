import { useLocalSearchParams, useRouter } from 'expo-router';
import { Page } from '../../parts/page.tsx';
import { Tabs } from '../../parts/tabs.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { PageHead } from '../../shell/page-head.tsx';
import { ErrataPart } from './errata-part.tsx';
import { TrialsPart } from './trials-part.tsx';

const PARTS = [
  { value: 'trials', label: 'Trials' },
  { value: 'errata', label: 'Errata' },
] as const;
type PartName = (typeof PARTS)[number]['value'];

/** Whether the draft is right: its trials, and the errata that an audit finds. */
const ProofScreen = () => {
  const router = useRouter();
  const isPhone = useWidth() === 'phone';
  const { part } = useLocalSearchParams<{ part?: string }>();
  const name: PartName = part === 'errata' ? part : 'trials';
  return (
    <Page key={name}>
      <PageHead title="Proof" />
      <Tabs
        label="Proof"
        bleed={isPhone ? 20 : 0}
        value={name}
        options={PARTS}
        onChange={(next) =>
          router.navigate({ pathname: '/proof', params: next === 'trials' ? {} : { part: next } })
        }
      />
      {name === 'trials' ? <TrialsPart /> : <ErrataPart />}
    </Page>
  );
};
export default ProofScreen;
