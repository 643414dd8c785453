import { fireEvent, render, screen } from '@testing-library/react-native';
import { Pressable, Text } from 'react-native';
import { memoizedByLooks } from './memoized-by-looks.tsx';

interface Props {
  label: string;
  style?: object;
  options?: { value: string }[];
  onPress?: () => void;
}

let drawn = 0;
const Named = memoizedByLooks(function Named({ label, onPress }: Props) {
  drawn += 1;
  return (
    <Pressable onPress={onPress}>
      <Text>{label}</Text>
    </Pressable>
  );
});

beforeEach(() => {
  drawn = 0;
});

test('is drawn again when it would look other, and not for new objects that hold the same', () => {
  const { rerender } = render(<Named label="Flat" style={{ width: 1 }} options={[{ value: 'a' }]} />);
  rerender(<Named label="Flat" style={{ width: 1 }} options={[{ value: 'a' }]} />);
  expect(drawn).toBe(1);
  rerender(<Named label="Flat" style={{ width: 2 }} options={[{ value: 'a' }]} />);
  rerender(<Named label="Flat" style={{ width: 2 }} options={[{ value: 'b' }]} />);
  rerender(<Named label="Steps" style={{ width: 2 }} options={[{ value: 'b' }]} />);
  expect(drawn).toBe(4);
});

test('calls the function it was given last, though it was not drawn again for it', () => {
  const pressed: string[] = [];
  const { rerender } = render(<Named label="Add" onPress={() => pressed.push('first')} />);
  rerender(<Named label="Add" onPress={() => pressed.push('second')} />);
  expect(drawn).toBe(1);
  fireEvent.press(screen.getByText('Add'));
  expect(pressed).toEqual(['second']);
  rerender(<Named label="Add" />);
  fireEvent.press(screen.getByText('Add'));
  expect([pressed, drawn]).toEqual([['second'], 2]);
});

test('a set or a map that holds other things looks other', () => {
  let times = 0;
  const Chosen = memoizedByLooks(function Chosen({ ids }: { ids: ReadonlySet<string> }) {
    times += 1;
    return <Text>{[...ids].join()}</Text>;
  });
  const { rerender } = render(<Chosen ids={new Set(['a'])} />);
  rerender(<Chosen ids={new Set(['a'])} />);
  expect(times).toBe(1);
  rerender(<Chosen ids={new Set(['b'])} />);
  expect(screen.getByText('b')).toBeTruthy();
});
