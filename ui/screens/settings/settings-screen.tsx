import { Page } from '../../parts/page.tsx';
import { Section } from '../../parts/section.tsx';
import { PageHead } from '../../shell/page-head.tsx';
import { DataSettings } from './data-settings.tsx';
import { StoreSettings } from './store-settings.tsx';

/** What holds for the whole shop, and its data out and in. */
export const SettingsScreen = () => (
  <Page>
    <PageHead title="Settings" />
    <Section title="Store" />
    <StoreSettings />
    <Section title="Data" />
    <DataSettings />
  </Page>
);
