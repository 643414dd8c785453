import { useLocalSearchParams, useRouter } from 'expo-router';
import { lazy, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { Beside } from '../../parts/beside.tsx';
import { Fold } from '../../parts/fold.tsx';
import { Page } from '../../page/page.tsx';
import { Tabs } from '../../parts/tabs.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { ColumnWidth } from '../../parts/column-width.ts';
import { useHasRoomBeside } from '../../parts/use-room-beside.ts';
import { useWidth } from '../../parts/use-width.ts';
import { Later } from '../../parts/later.tsx';
import { AddForm } from '../../page/later-forms.ts';
import { PageHead } from '../../page/page-head.tsx';
import { useInks } from '../../theme/theme.ts';
import { note } from '../../theme/text.ts';
import { DemoNote } from './demo-note.tsx';
import { Board } from './board.tsx';
import { useOpening, type Opening } from './open-cell.ts';
import { Panel } from './panel.tsx';
import { PhoneZone } from './phone-zone.tsx';
import type { RatesFile } from './rates-file/rates-fold.tsx';
import { SelectionBar } from './selection-bar.tsx';
import { SmallBoard } from './small-board.tsx';
import { useSelection, type Selection } from './use-selection.ts';
import { Opened } from '../../parts/opened.tsx';
import { useBookParts } from '../../state/use-book-parts.ts';

const CellPanel = lazy(() => import('./cell-panel.tsx'));
const AdjustmentsPart = lazy(() => import('./adjustments/adjustments-part.tsx'));

const TablesPart = lazy(() => import('./tables/tables-part.tsx'));
const CarriersPart = lazy(() => import('./carriers/carriers-part.tsx'));
const AccountPage = lazy(() => import('./carriers/account-page.tsx'));
const ServicePanel = lazy(() => import('./service-panel.tsx'));
const ZonePanel = lazy(() => import('./zone-panel.tsx'));
const CostsPart = lazy(() => import('./costs/costs-part.tsx'));
const RatesFold = lazy(() => import('./rates-file/rates-fold.tsx'));
const RatesImport = lazy(() => import('./rates-file/rates-import.tsx'));
const DutiesPart = lazy(() => import('./duties/duties-part.tsx'));
const TablePage = lazy(() => import('./tables/table-page.tsx'));

/** What stands in a panel, and its title. */
interface OpenPanel {
  title: string;
  body: ReactNode;
}

/** What the address says is open; null where nothing is, or what was is gone. */
const useOpenPanel = (opening: Opening): OpenPanel | null => {
  const { zones, services } = useBookParts('zones', 'services');
  const zone = zones.find((one) => one.id === opening.zone);
  const service = services.find((one) => one.id === opening.service);
  if (opening.panel === 'zone' && zone) {
    return {
      title: zone.name,
      body: (
        <Later>
          <ZonePanel key={zone.id} zone={zone} onGone={opening.close} />
        </Later>
      ),
    };
  }
  if (opening.panel === 'service' && service) {
    return {
      title: service.name,
      body: (
        <Later>
          <ServicePanel key={service.id} service={service} onGone={opening.close} />
        </Later>
      ),
    };
  }
  if (opening.panel || !zone || !service) return null;
  return {
    title: t('{service} to {zone}', { service: service.name, zone: zone.name }),
    body: (
      <Later>
        <CellPanel zone={zone} service={service} />
      </Later>
    ),
  };
};

/** What belongs on a board that is still empty. */
const EmptyBoard = () => {
  const { zones, services } = useBookParts('zones', 'services');
  const quiet = { ...note(useInks()), paddingTop: 16 };
  if (zones.length > 0 && services.length > 0) return null;
  const lacking = [
    ...(zones.length === 0 ? [t('a zone')] : []),
    ...(services.length === 0 ? [t('a service')] : []),
  ];
  return (
    <Text style={quiet}>
      {t(
        'The board has zones down and services across, and in each cell what the service costs in the zone. It still lacks {list}.',
        { list: lacking.join(t(' and ')) },
      )}
    </Text>
  );
};

const AddActions = () => {
  const [adding, setAdding] = useState<'zone' | 'service' | null>(null);
  if (adding)
    return (
      <Opened key={adding}>
        <Later>
          <AddForm what={adding} onDone={() => setAdding(null)} />
        </Later>
      </Opened>
    );
  return (
    <>
      <TextAction label={t('Add a zone')} onPress={() => setAdding('zone')} />
      <TextAction label={t('Add a service')} onPress={() => setAdding('service')} />
    </>
  );
};

const fileRow = { marginTop: 20, maxWidth: 760 } as const;
const actionsRow = { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginTop: 12, marginLeft: -4 } as const;

/** What can be done with the board as a whole, or with the rates that are selected on it. */
const BoardActions = ({ selection }: { selection: Selection }) => {
  if (selection.ids) return <SelectionBar ids={[...selection.ids]} onDone={selection.end} />;
  return (
    <View style={actionsRow}>
      <AddActions />
      <TextAction label={t('Select rates')} onPress={selection.begin} />
    </View>
  );
};

/** The rates as a list, under the board. */
const AsFile = ({ onFile }: { onFile: (file: RatesFile) => void }) => (
  <View style={fileRow}>
    <Fold
      title={t('As a list')}
      of={t('rates')}
      summary={t('saved for a spreadsheet, and imported from one')}
    >
      <Later>
        <RatesFold onFile={onFile} />
      </Later>
    </Fold>
  </View>
);

const PhoneBoard = ({ opening, foot }: { opening: Opening; foot: ReactNode }) => {
  const { zones } = useBookParts('zones');
  const selection = useSelection(opening, opening.showZone);
  const zone = zones.find((one) => one.id === opening.zone) ?? zones[0];
  return (
    <>
      {zone && !selection.ids ? <PhoneZone zone={zone} opening={opening} /> : null}
      <EmptyBoard />
      <BoardActions selection={selection} />
      <SmallBoard selection={selection} />
      {foot}
      <DemoNote />
    </>
  );
};

/** Where there is room for both, what past orders cost stands beside the board, unless it is wanted across the page. */
const Costs = ({ opening }: { opening: Opening }) => {
  const hasRoom = useHasRoomBeside();
  const { whole } = useLocalSearchParams<{ whole?: string }>();
  if (!hasRoom) return <CostsPart room="page" />;
  if (whole === 'yes') return <CostsPart room="whole" />;
  return <WideBoard opening={opening} beside={{ title: t('Costs'), body: <CostsPart room="beside" /> }} />;
};

const WideBoard = ({
  opening,
  beside = null,
  foot = null,
}: {
  opening: Opening;
  beside?: OpenPanel | null;
  foot?: ReactNode;
}) => {
  const isBeside = useHasRoomBeside();
  const opened = useOpenPanel(opening);
  const open = beside ?? opened;
  const selection = useSelection(opening, opening.openZone);
  const panel = open ? (
    <Panel title={open.title} onClose={opening.close}>
      <ColumnWidth value={isBeside ? 'phone' : null}>{open.body}</ColumnWidth>
    </Panel>
  ) : null;
  const isService = opening.panel === 'service';
  return (
    <Beside panel={panel}>
      <Board
        opening={opening}
        selection={selection}
        under={isService || isBeside ? null : panel}
        underHead={isService && !isBeside ? panel : null}
      />
      <EmptyBoard />
      <BoardActions selection={selection} />
      {foot}
      <DemoNote />
    </Beside>
  );
};

const PARTS = [
  { value: 'board', label: t('Board') },
  { value: 'adjustments', label: t('Adjustments') },
  { value: 'tables', label: t('Tables') },
  { value: 'carriers', label: t('Carriers') },
  { value: 'duties', label: t('Duties') },
  { value: 'costs', label: t('Costs') },
] as const;
type PartName = (typeof PARTS)[number]['value'];

/** A part of the page that stands by itself, or null for the board. */
const LaterPart = ({ part, opening }: { part: PartName; opening: Opening }) => {
  const router = useRouter();
  if (part === 'adjustments') return <AdjustmentsPart />;
  if (part === 'duties') return <DutiesPart />;
  if (part === 'costs') return <Costs opening={opening} />;
  if (part === 'carriers')
    return (
      <CarriersPart
        onOpen={(account) => router.navigate({ pathname: '/charges', params: { part: 'carriers', account } })}
      />
    );
  return (
    <TablesPart
      onOpen={(table) => router.navigate({ pathname: '/charges', params: { part: 'tables', table } })}
    />
  );
};

const Parts = ({ opening, part }: { opening: Opening; part: PartName }) => {
  const router = useRouter();
  const isPhone = useWidth() === 'phone';
  const [file, setFile] = useState<RatesFile | null>(null);
  const choose = (next: PartName): void =>
    router.navigate({ pathname: '/charges', params: next === 'board' ? {} : { part: next } });
  if (file)
    return (
      <Later>
        <RatesImport file={file} onDone={() => setFile(null)} />
      </Later>
    );
  const foot = <AsFile onFile={setFile} />;
  return (
    <Page key={part} full={part === 'board' || part === 'costs'}>
      <PageHead title={t('Charges')} />
      <Tabs label={t('Charges')} bleed={isPhone ? 20 : 0} value={part} options={PARTS} onChange={choose} />
      {part !== 'board' ? (
        <Later>
          <LaterPart part={part} opening={opening} />
        </Later>
      ) : isPhone ? (
        <PhoneBoard opening={opening} foot={foot} />
      ) : (
        <WideBoard opening={opening} foot={foot} />
      )}
    </Page>
  );
};

/** On a phone, what is open takes the page. */
const PhonePanel = ({ opening }: { opening: Opening }) => {
  const open = useOpenPanel(opening);
  if (!open) return <Parts opening={opening} part="board" />;
  return (
    <Page key={`${opening.zone}/${opening.service}/${opening.panel}`}>
      <PageHead title={open.title} back={{ name: t('Charges'), onPress: opening.close }} />
      <Panel title={open.title} onClose={opening.close}>
        {open.body}
      </Panel>
    </Page>
  );
};

/** What it costs: the board of zones and services with each rate's price and curve, and the adjustments. */
export const ChargesScreen = () => {
  const opening = useOpening();
  const isPhone = useWidth() === 'phone';
  const router = useRouter();
  const { part, ...named } = useLocalSearchParams<{ part?: string; table?: string; account?: string }>();
  const { rateTables, carriers } = useBookParts('rateTables', 'carriers');
  const table = rateTables.find(({ id }) => id === named.table);
  const account = carriers.find(({ id }) => id === named.account);
  const back = (to: PartName) => () => router.navigate({ pathname: '/charges', params: { part: to } });
  const known = PARTS.find(({ value }) => value === part)?.value ?? 'board';
  if (known === 'tables' && table)
    return (
      <Later>
        <TablePage table={table} onBack={back('tables')} />
      </Later>
    );
  if (known === 'carriers' && account)
    return (
      <Later>
        <AccountPage account={account} onBack={back('carriers')} />
      </Later>
    );
  if (known !== 'board') return <Parts opening={opening} part={known} />;
  return isPhone ? <PhonePanel opening={opening} /> : <Parts opening={opening} part="board" />;
};
