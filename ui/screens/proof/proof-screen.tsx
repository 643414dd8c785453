import { Page } from '../../parts/page.tsx';
import { PageHead } from '../../shell/page-head.tsx';
import { TrialsPart } from './trials-part.tsx';

/** Whether the draft is right: its trials. */
const ProofScreen = () => (
  <Page>
    <PageHead title="Proof" />
    <TrialsPart />
  </Page>
);
export default ProofScreen;
