import { labelled } from '../../core/words/labelled.ts';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { useStyles } from '../theme/styles.ts';
import { note } from '../theme/text.ts';
import { TOUCH, type Inks } from '../theme/tokens.ts';
import { Press } from './press.tsx';

interface Props {
  title: string;
  /** What it holds, in a few words, read while it is closed. */
  summary: string;
  /** Whose part it is, where several of one title stand on a page. */
  of?: string;
  children: ReactNode;
}

const styles = (inks: Inks) => ({
  fold: { borderTopWidth: 1, borderTopColor: inks.hairline },
  head: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: TOUCH } as const,
  title: { width: 64 },
  summary: { ...note(inks), flex: 1, paddingVertical: 6 },
  body: { gap: 12, paddingBottom: 12 },
});

/** A part of a form that opens; closed, it says in a few words what it holds. */
export const Fold = ({ title, summary, of, children }: Props) => {
  const style = useStyles(styles);
  const [open, setOpen] = useState(false);
  const name = of === undefined ? title : `${title}, ${of}`;
  return (
    <View style={style.fold} role="group" aria-label={name}>
      <Press
        role="button"
        aria-expanded={open}
        aria-label={labelled(name, summary)}
        onPress={() => setOpen(!open)}
      >
        <View style={style.head}>
          <Text style={style.title}>{title}</Text>
          <Text style={style.summary}>{summary}</Text>
          <Icon source={open ? 'chevron-up' : 'chevron-down'} size={20} />
        </View>
      </Press>
      {open ? <View style={style.body}>{children}</View> : null}
    </View>
  );
};
