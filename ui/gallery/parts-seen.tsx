import { useState } from 'react';
import { View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { Actions } from '../parts/actions.tsx';
import { Check } from '../parts/check.tsx';
import { Chooser } from '../parts/chooser.tsx';
import { Fold } from '../parts/fold.tsx';
import { IconAction } from '../parts/icon-action.tsx';
import { LongList } from '../parts/long-list.tsx';
import { MarkedText } from '../parts/marked-text.tsx';
import { Money } from '../parts/money.tsx';
import { MoveActions } from '../parts/move-actions.tsx';
import { Progress } from '../parts/progress.tsx';
import { Segments } from '../parts/segments.tsx';
import { SortableList } from '../parts/sortable-list.tsx';
import { Sum } from '../parts/sum.tsx';
import { SwitchAction } from '../parts/switch-action.tsx';
import { SwitchedOff } from '../parts/switched-off.tsx';
import { Tabs } from '../parts/tabs.tsx';
import { TextAction } from '../parts/text-action.tsx';
import { TextLine } from '../parts/text-line.tsx';
import { Group, Seen } from './seen.tsx';

const nothing = (): void => undefined;
const row = { flexDirection: 'row', flexWrap: 'wrap', gap: 24, alignItems: 'flex-end' } as const;
const NAMES = ['Kelp crisps', 'Oat bread', 'Sea salt, coarse, in a jar with a wooden lid'];
const ITEMS = NAMES.map((name, at) => ({ id: String(at), name }));

const ActionsSeen = () => {
  const [on, setOn] = useState(true);
  return (
    <Group title="Actions">
      <Actions>
        <TextAction main label="Main action" onPress={nothing} />
        <TextAction label="Action" onPress={nothing} />
        <TextAction label="Disabled" disabled onPress={nothing} />
        <SwitchAction on={on} onSwitch={setOn} />
      </Actions>
      <Actions>
        <MoveActions at={0} count={2} onMove={nothing} />
        <MoveActions isSideways at={1} count={2} onMove={nothing} />
      </Actions>
      <View style={row}>
        <Button mode="contained" onPress={nothing}>
          Contained
        </Button>
        <Button mode="outlined" onPress={nothing}>
          Outlined
        </Button>
        <Button mode="contained" disabled onPress={nothing}>
          Disabled
        </Button>
        <IconAction icon="close" size={20} accessibilityLabel="Close" onPress={nothing} />
        <IconAction disabled icon="undo" size={20} accessibilityLabel="Undo" onPress={nothing} />
      </View>
      <SwitchedOff what="This rate" isFree={false} onSwitch={nothing} />
    </Group>
  );
};

const ChoicesSeen = () => {
  const [on, setOn] = useState(true);
  const [kind, setKind] = useState('flat');
  const [part, setPart] = useState('rates');
  const [chosen, setChosen] = useState('1');
  return (
    <Group title="Choices">
      <Check label="A tick that is set" on={on} onPress={() => setOn(!on)} />
      <Check label="And one that is not" on={!on} onPress={() => setOn(!on)} />
      <Segments
        label="Segments"
        value={kind}
        onChange={setKind}
        options={['flat', 'steps', 'percent'].map((value) => ({ value, label: value }))}
      />
      <Tabs
        label="Tabs"
        value={part}
        onChange={setPart}
        options={['rates', 'carriers', 'tables', 'adjustments'].map((value) => ({ value, label: value }))}
      />
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <Chooser
          label="Chosen"
          chosen={ITEMS.find(({ id }) => id === chosen)?.name ?? ''}
          options={ITEMS}
          onChoose={setChosen}
        />
        <Chooser
          label="Nothing chosen"
          placeholder="Which one?"
          chosen=""
          options={ITEMS}
          onChoose={nothing}
        />
      </View>
    </Group>
  );
};

const ListsSeen = () => {
  const [open, setOpen] = useState<number | null>(null);
  return (
    <Group title="Lists">
      <SortableList label="Sorted by hand" items={ITEMS} onMove={nothing}>
        {({ name }, handle) => (
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
            {handle}
            <Text>{name}</Text>
          </View>
        )}
      </SortableList>
      <LongList
        label="A long list"
        counted={(count) => `${count} lines`}
        items={NAMES}
        textOf={(name) => name}
        findLabel="Find a line"
        open={open}
        onOpen={(at) => setOpen(open === at ? null : at)}
      >
        {(name) => <Text numberOfLines={1}>{name}</Text>}
      </LongList>
      <Fold title="Limits" summary="what it holds, in a few words">
        <Text>What it holds.</Text>
      </Fold>
    </Group>
  );
};

/** The parts that pages are composed of. */
export const PartsSeen = () => {
  const [text, setText] = useState('');
  return (
    <>
      <ActionsSeen />
      <ChoicesSeen />
      <ListsSeen />
      <Group title="Text and figures">
        <View style={row}>
          <Seen state="an amount">
            <Money amount={1_250} decimals={2} />
          </Seen>
          <Seen state="one that changed">
            <Money amount={2_264_066} decimals={2} before={950} />
          </Seen>
          <Sum count={3} what="rows understood" />
          <Sum count={0} what="rows with a fault" />
        </View>
        <Progress label="How far it is" share={0.4} />
        <TextLine label="A line of text" placeholder="nothing yet" value={text} onChange={setText} />
        <MarkedText text={'Ring **twice**, and read *the note*:\n\n- at the gate\n- or at the yard'} />
      </Group>
    </>
  );
};
