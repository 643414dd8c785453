import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { importSoundLabel } from './import-words.ts';
import type { ListColumn } from '../../core/formats/list-format.ts';
import type { ListName, Lists } from '../../core/formats/lists.ts';
import type { ListSummary } from '../workers/list-reader.ts';
import { PageHead } from '../page/page-head.tsx';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import type { Inks } from '../theme/tokens.ts';
import { Page } from '../page/page.tsx';
import { Progress } from '../parts/progress.tsx';
import { Section } from '../parts/section.tsx';
import { ImportColumns } from './import-columns.tsx';
import { ImportReview } from './import-review.tsx';
import type { ListImport } from './use-list-import.ts';
import { TextAction } from '../parts/text-action.tsx';

interface Props<K extends ListName> {
  name: string;
  back: { name: string; onPress: () => void };
  columns: readonly ListColumn<Lists[K]['column']>[];
  work: ListImport<K>;
  /** What else says how the file is meant, under its columns. */
  settings?: ReactNode;
  oddWords?: (summary: ListSummary) => string[];
  /** What the import does: 'replaces the 12 rows that are there'. */
  effect: string;
  /** What the button says where the list does not go into the draft. */
  button?: string;
  /** What has to be said before it can be taken, or null. */
  waits?: string | null;
  onTake: (items: readonly Lists[K]['item'][], faulty: number) => void;
}

const styles = (inks: Inks) => ({
  note: note(inks),
  effect: { ...note(inks), paddingTop: 12 },
  fault: { color: inks.rubric, paddingVertical: 12 },
  wait: { paddingVertical: 24, gap: 12 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingTop: 16 } as const,
});

/** While the file is read: how far it is, and a way to stop. */
const Reading = ({ share, onStop }: { share: number; onStop: () => void }) => {
  const style = useStyles(styles);
  return (
    <View style={style.wait}>
      <Text style={style.note}>{t('Reading the file, {count} %', { count: Math.round(share * 100) })}</Text>
      <Progress label={t('How much of the file is read')} share={share} />
      <Button mode="outlined" style={{ alignSelf: 'flex-start' }} onPress={onStop}>
        {t('Stop')}
      </Button>
    </View>
  );
};

const MOST_ROWS = 200_000;

/** What has to be said or mended before the list can be imported, or null. */
const waitsFor = <K extends ListName>({ summary, undecided }: ListImport<K>): string | null => {
  if (summary && summary.sound > MOST_ROWS)
    return t('A list holds at most {most} rows; these are {count}.', {
      most: MOST_ROWS,
      count: summary.sound,
    });
  return undecided.size > 0 ? t('Some columns are not recognised: say what they hold.') : null;
};

/** A list from a file: what its columns are, what is wrong with it, and only then what it replaces. */
export const ImportPage = <K extends ListName>(props: Props<K>) => {
  const { name, back, columns, work, settings, effect } = props;
  const style = useStyles(styles);
  const [taking, setTaking] = useState(false);
  const { opened, summary, fault } = work;
  const waits = props.waits ?? waitsFor(work);
  const take = async (): Promise<void> => {
    if (!summary) return;
    setTaking(true);
    props.onTake(await work.take(), summary.faulty);
  };
  return (
    <Page>
      <PageHead title={name} back={back} />
      {fault === null ? null : (
        <Text style={style.fault} role="alert">
          {t('The file could not be read: {fault}. Nothing was changed.', { fault })}
        </Text>
      )}
      {!opened && fault === null ? <Reading share={work.progress} onStop={back.onPress} /> : null}
      {opened ? (
        <>
          <Section title={t('Its columns')} />
          <ImportColumns
            columns={columns}
            opened={opened}
            mapping={work.mapping}
            onChange={work.setMapping}
            undecided={work.undecided}
            onDecide={work.decide}
          />
          {settings}
          <Section title={t('What it holds')} />
          {summary ? (
            <ImportReview summary={summary} odd={props.oddWords?.(summary) ?? []} />
          ) : (
            <Text style={style.note}>
              {t('Reading {rows, plural, one {# row} other {# rows}} …', { rows: opened.rows })}
            </Text>
          )}
          <Text style={style.effect}>{waits ?? t('The import {effect}.', { effect })}</Text>
          <View style={style.buttons}>
            <Button
              mode="contained"
              disabled={!summary || summary.sound === 0 || taking || waits !== null}
              loading={taking}
              onPress={() => void take()}
            >
              {summary && summary.faulty > 0
                ? importSoundLabel(summary.sound)
                : (props.button ?? t('Import into the draft'))}
            </Button>
            <TextAction label={t('Cancel')} onPress={back.onPress} />
          </View>
        </>
      ) : null}
    </Page>
  );
};
