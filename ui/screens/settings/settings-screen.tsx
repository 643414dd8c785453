import { useLocalSearchParams, useRouter } from 'expo-router';
import { lazy, useState, type ComponentType } from 'react';
import { t } from '../../../core/translate/translate.ts';
import type { Language } from '../../../core/model/language.ts';
import { Page } from '../../page/page.tsx';
import { Tabs } from '../../parts/tabs.tsx';
import { useWidth } from '../../parts/use-width.ts';
import { Later } from '../../parts/later.tsx';
import { PageHead } from '../../page/page-head.tsx';
import { Languages } from './languages.tsx';
import { Locations } from './locations.tsx';
import { Orders } from './orders.tsx';
import type { PartProps } from './part-props.ts';
import { Payments } from './payments.tsx';
import { StoreSettings } from './store-settings.tsx';
import { Taxes } from './taxes.tsx';

const PastImport = lazy(() => import('./past-import.tsx'));
const TextsImport = lazy(() => import('./texts-import.tsx'));
/** It is what a page that fails saves the shop with, too. */
const DataSettings = lazy(() => import('./data-settings.tsx'));

const PARTS = {
  store: { label: t('Store'), Part: StoreSettings },
  locations: { label: t('Locations'), Part: Locations },
  languages: { label: t('Languages'), Part: Languages },
  taxes: { label: t('Taxes'), Part: Taxes },
  payments: { label: t('Payments'), Part: Payments },
  orders: { label: t('Orders'), Part: Orders },
  data: { label: t('Data'), Part: DataSettings },
} satisfies Record<string, { label: string; Part: ComponentType<PartProps> }>;
type PartName = keyof typeof PARTS;

const OPTIONS = (Object.keys(PARTS) as PartName[]).map((value) => ({ value, label: PARTS[value].label }));

/** What holds for the whole shop, in parts: the store, its locations, taxes, the orders placed, its data out and in. */
const SettingsScreen = () => {
  const router = useRouter();
  const isPhone = useWidth() === 'phone';
  const { part } = useLocalSearchParams<{ part?: string }>();
  const name: PartName = part !== undefined && part in PARTS ? (part as PartName) : 'store';
  const { Part } = PARTS[name];
  const [opened, setOpened] = useState<{ file: File; language: Language | null } | null>(null);
  if (opened) {
    const { file, language } = opened;
    const done = (): void => setOpened(null);
    return (
      <Later>
        {language === null ? (
          <PastImport file={file} onDone={done} />
        ) : (
          <TextsImport file={file} language={language} onDone={done} />
        )}
      </Later>
    );
  }
  return (
    <Page>
      <PageHead title={t('Settings')} />
      <Tabs
        label={t('Settings')}
        bleed={isPhone ? 20 : 0}
        value={name}
        options={OPTIONS}
        onChange={(next) => router.navigate({ pathname: '/settings', params: { part: next } })}
      />
      <Later>
        <Part
          onFile={(file) => setOpened({ file, language: null })}
          onTexts={(file, language) => setOpened({ file, language })}
        />
      </Later>
    </Page>
  );
};
export default SettingsScreen;
