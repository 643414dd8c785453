import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS as Styles } from '@dnd-kit/utilities';
import { createElement, useEffect, useState, type KeyboardEvent, type ReactNode } from 'react';
import { Icon, Text } from 'react-native-paper';
import { t } from '../../core/translate/translate.ts';
import { useInks } from '../theme/theme.ts';
import { FINGER } from '../theme/tokens.ts';

interface Props<T extends { id: string; name: string }> {
  label: string;
  items: readonly T[];
  onMove: (id: string, by: number) => void;
  children: (item: T, handle: ReactNode) => ReactNode;
}

/** How the handles are told to those who hear them; where an item went is told by the list itself. */
const SPOKEN = {
  screenReaderInstructions: { draggable: t('Press the up or down arrow key to move it by one place.') },
};

/** Text that is heard and takes no room. */
const UNSEEN = { position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 } as const;

const BY_KEY: Readonly<Record<string, number>> = { ArrowUp: -1, ArrowDown: 1 };

interface HandleProps {
  id: string;
  name: string;
  /** Moves it by so many places, where it can be. */
  onStep: (by: number) => void;
}

/** What an item is drawn by: with the pointer, or a place at a time with the arrow keys. */
const Handle = ({ id, name, onStep }: HandleProps) => {
  const inks = useInks();
  const { attributes, listeners, setActivatorNodeRef, isDragging } = useSortable({ id });
  return createElement(
    'div',
    {
      ref: setActivatorNodeRef,
      ...attributes,
      ...listeners,
      'aria-label': t('Move {name}', { name }),
      'data-handle': id,
      onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
        const by = BY_KEY[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onStep(by);
      },
      style: {
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        width: FINGER,
        minHeight: 44,
        touchAction: 'none',
        cursor: isDragging ? 'grabbing' : 'grab',
      },
    },
    <Icon source="drag-horizontal-variant" size={20} color={inks.quiet} />,
  );
};

const Item = ({ id, children }: { id: string; children: ReactNode }) => {
  const inks = useInks();
  const { setNodeRef, transform, transition, isDragging } = useSortable({ id });
  return createElement(
    'div',
    {
      ref: setNodeRef,
      role: 'listitem',
      style: {
        position: 'relative',
        transform: Styles.Translate.toString(transform),
        transition,
        zIndex: isDragging ? 1 : 0,
        background: isDragging ? inks.raised : undefined,
      },
    },
    children,
  );
};

const places = (event: DragEndEvent, items: readonly { id: string }[]): number => {
  const at = (id: unknown): number => items.findIndex((item) => item.id === id);
  return event.over ? at(event.over.id) - at(event.active.id) : 0;
};

/** Moves items a place at a time: where each went is said, and its handle keeps the focus where it stands then. */
const useSteps = <T extends { id: string; name: string }>(
  items: readonly T[],
  onMove: Props<T>['onMove'],
) => {
  const [last, setLast] = useState<{ id: string; name: string } | null>(null);
  const at = items.findIndex(({ id }) => id === last?.id);
  useEffect(() => {
    if (last) document.querySelector<HTMLElement>(`[data-handle="${CSS.escape(last.id)}"]`)?.focus();
  }, [last]);
  const step = ({ id, name }: T, by: number): void => {
    const to = items.findIndex((item) => item.id === id) + by;
    if (to < 0 || to >= items.length) return;
    setLast({ id, name });
    onMove(id, by);
  };
  const moved =
    last && at >= 0
      ? t('{name} is now {place} of {all}.', { name: last.name, place: at + 1, all: items.length })
      : '';
  return { moved, step };
};

/** A list whose order counts: its items are dragged by their handles, or moved by keys from there. */
export const SortableList = <T extends { id: string; name: string }>({
  label,
  items,
  onMove,
  children,
}: Props<T>) => {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const { moved, step } = useSteps(items, onMove);
  const end = (event: DragEndEvent): void => {
    const by = places(event, items);
    if (by !== 0) onMove(String(event.active.id), by);
  };
  return (
    <DndContext accessibility={SPOKEN} sensors={sensors} collisionDetection={closestCenter} onDragEnd={end}>
      <SortableContext items={items.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        {createElement(
          'div',
          { role: 'list', 'aria-label': label },
          items.map((item) => (
            <Item key={item.id} id={item.id}>
              {children(item, <Handle id={item.id} name={item.name} onStep={(by) => step(item, by)} />)}
            </Item>
          )),
        )}
      </SortableContext>
      <Text style={UNSEEN} aria-live="polite">
        {moved}
      </Text>
    </DndContext>
  );
};
