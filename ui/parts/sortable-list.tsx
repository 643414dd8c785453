import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { createElement, type ReactNode } from 'react';
import { Icon } from 'react-native-paper';
import { useInks } from '../theme/theme.ts';
import { FINGER } from '../theme/tokens.ts';

interface Props<T extends { id: string; name: string }> {
  label: string;
  items: readonly T[];
  onMove: (id: string, by: number) => void;
  children: (item: T, handle: ReactNode) => ReactNode;
}

/** What an item is drawn by: with the pointer, or with the blank key, the arrows and the blank key again. */
const Handle = ({ id, name }: { id: string; name: string }) => {
  const inks = useInks();
  const { attributes, listeners, setActivatorNodeRef, isDragging } = useSortable({ id });
  return createElement(
    'div',
    {
      ref: setActivatorNodeRef,
      ...attributes,
      ...listeners,
      'aria-label': `Move ${name}`,
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
        transform: CSS.Translate.toString(transform),
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

/** A list whose order counts: its items are dragged by their handles, or moved by keys from there. */
export const SortableList = <T extends { id: string; name: string }>({
  label,
  items,
  onMove,
  children,
}: Props<T>) => {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const end = (event: DragEndEvent): void => {
    const by = places(event, items);
    if (by !== 0) onMove(String(event.active.id), by);
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={end}>
      <SortableContext items={items.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        {createElement(
          'div',
          { role: 'list', 'aria-label': label },
          items.map((item) => (
            <Item key={item.id} id={item.id}>
              {children(item, <Handle id={item.id} name={item.name} />)}
            </Item>
          )),
        )}
      </SortableContext>
    </DndContext>
  );
};
