import { useState } from 'react';
import { View } from 'react-native';
import { Text } from 'react-native-paper';
import { t } from '../../../core/translate/translate.ts';
import { Progress } from '../../parts/progress.tsx';
import { TextAction } from '../../parts/text-action.tsx';
import { useToday } from '../../time/use-today.ts';
import { useAppSelector } from '../../state/store.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { useStyles } from '../../theme/styles.ts';
import { note } from '../../theme/text.ts';
import { SANS_STRONG, type Inks } from '../../theme/tokens.ts';
import { ProblemRow } from './problem-row.tsx';
import { GRAVITY_ORDER, selectProblems, type ProblemLine, type Gravity } from './problem-selectors.ts';
import { useAudit, type AuditRun } from './use-audit.ts';
import { useLiveAudit } from './use-live-audit.ts';

const styles = (inks: Inks) => ({
  note: { ...note(inks), paddingVertical: 12 },
  head: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    gap: 12,
    paddingTop: 20,
    paddingBottom: 6,
    borderBottomWidth: 1,
    borderBottomColor: inks.ink,
  } as const,
  title: { fontFamily: SANS_STRONG },
  grave: { color: inks.rubric },
  aside: note(inks),
  run: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 44 } as const,
  bar: { flex: 1, maxWidth: 240 },
});

const TITLES: Record<Gravity, { title: string; means: string }> = {
  stops: { title: t('Stops'), means: t('a customer cannot buy') },
  leaks: { title: t('Leaks'), means: t('money is lost') },
  odd: { title: t('Odd'), means: t('probably not meant') },
  data: { title: t('Data'), means: t('something is missing') },
};

const Running = ({ run }: { run: AuditRun }) => {
  const style = useStyles(styles);
  if (run.fault !== null)
    return (
      <View style={style.run}>
        <Text style={[style.note, style.grave]} role="alert">
          {t('The search for problems failed: {fault}', { fault: run.fault })}
        </Text>
        <TextAction label={t('Try again')} onPress={run.again} />
      </View>
    );
  if (run.stopped) {
    return (
      <View style={style.run}>
        <Text style={style.aside}>{t('Stopped. The list is as it was before your last change.')}</Text>
        <TextAction label={t('Look again')} onPress={run.again} />
      </View>
    );
  }
  if (run.progress === null) return null;
  const { done, all, place } = run.progress;
  return (
    <View style={style.run}>
      <Text style={style.aside}>
        {t('Looking for problems: {place}, {count} of {all}', { place, count: done + 1, all })}
      </Text>
      <View style={style.bar}>
        <Progress label={t('How far the search for problems is')} share={done / all} />
      </View>
      <TextAction label={t('Stop')} onPress={run.stop} />
    </View>
  );
};

const Group = ({
  title,
  means,
  grave,
  lines,
}: {
  title: string;
  means: string;
  grave: boolean;
  lines: readonly ProblemLine[];
}) => {
  const style = useStyles(styles);
  const [open, setOpen] = useState<string | null>(null);
  if (lines.length === 0) return null;
  return (
    <View>
      <View style={style.head}>
        <Text style={[style.title, grave ? style.grave : null]} role="heading" aria-level={2}>
          {title}, {lines.length}
        </Text>
        <Text style={style.aside}>{means}</Text>
      </View>
      <View role="list" aria-label={title}>
        {lines.map((line) => (
          <ProblemRow
            key={line.key}
            line={line}
            isOpen={open === line.key}
            onPress={() => setOpen(open === line.key ? null : line.key)}
          />
        ))}
      </View>
    </View>
  );
};

/** Every fault that the audit finds in the draft, the gravest first; those that are accepted come last. */
export const ProblemsPart = () => {
  const style = useStyles(styles);
  const today = useToday(useBookParts('store').store.timeZone);
  const run = useAudit(today);
  useLiveAudit(today);
  const lines = useAppSelector(selectProblems);
  const isAudited = useAppSelector(({ check }) => check.audit !== null);
  const open = lines.filter(({ accepted }) => !accepted);
  const standing = open.filter(({ problem }) => !problem.isVast);
  return (
    <View>
      <Running run={run} />
      {isAudited && lines.length === 0 ? (
        <Text style={style.note}>{t('No problems: every kind of order was checked.')}</Text>
      ) : null}
      {GRAVITY_ORDER.map((gravity) => (
        <Group
          key={gravity}
          {...TITLES[gravity]}
          grave={gravity === 'stops' || gravity === 'leaks'}
          lines={standing.filter(({ problem }) => problem.gravity === gravity)}
        />
      ))}
      <Group
        title={t('Very large orders')}
        means={t('a thousand units and more')}
        grave={false}
        lines={open.filter(({ problem }) => problem.isVast)}
      />
      <Group
        title={t('Accepted')}
        means={t('until the rules change')}
        grave={false}
        lines={lines.filter(({ accepted }) => accepted)}
      />
    </View>
  );
};
