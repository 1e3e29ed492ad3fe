import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  horizontalListSortingStrategy,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { HolderOutlined } from './icons';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import './SortableList.css';

interface Props<T extends { id: string }> {
  label: string;
  items: readonly T[];
  /** Its name for screen readers. */
  nameOf: (item: T) => string;
  onMove: (from: number, to: number) => void;
  /** @param handle the grip to put where it belongs */
  children: (item: T, handle: ReactNode, index: number) => ReactNode;
  className?: string;
  /** The items stand beside each other. */
  across?: boolean;
}

/** A list whose items are moved by dragging a grip or with the keyboard: Space, arrows, Space. */
export function SortableList<T extends { id: string }>(props: Props<T>) {
  const { label, items, nameOf, onMove, children, className, across = false } = props;
  const { t } = useTranslation();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const indexOf = (id: string | number) => items.findIndex((item) => item.id === id);
  const named = (id: string | number) => {
    const item = items[indexOf(id)];
    return item ? nameOf(item) : '';
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => t('sort.lifted', { name: named(active.id) }),
    onDragOver: ({ active, over }) =>
      over ? t('sort.over', { name: named(active.id), place: indexOf(over.id) + 1 }) : undefined,
    onDragEnd: ({ active, over }) =>
      over ? t('sort.dropped', { name: named(active.id), place: indexOf(over.id) + 1 }) : undefined,
    onDragCancel: ({ active }) => t('sort.cancelled', { name: named(active.id) }),
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) onMove(indexOf(active.id), indexOf(over.id));
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
      accessibility={{
        announcements,
        screenReaderInstructions: { draggable: t('sort.instructions') },
      }}
    >
      <SortableContext
        items={items.map((i) => i.id)}
        strategy={across ? horizontalListSortingStrategy : verticalListSortingStrategy}
      >
        <ol className={`sortable ${className ?? ''}`} aria-label={label}>
          {items.map((item, index) => (
            <SortableItem key={item.id} id={item.id} name={nameOf(item)}>
              {(handle) => children(item, handle, index)}
            </SortableItem>
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface ItemProps {
  id: string;
  name: string;
  children: (handle: ReactNode) => ReactNode;
}

function SortableItem({ id, name, children }: ItemProps) {
  const { t } = useTranslation();
  const {
    attributes,
    listeners,
    setNodeRef,
    setActivatorNodeRef,
    transform,
    transition,
    isDragging,
  } = useSortable({ id });
  const handle = (
    <button
      type="button"
      className="sortable-grip"
      ref={setActivatorNodeRef}
      {...attributes}
      {...listeners}
      aria-label={t('sort.move', { name })}
    >
      <HolderOutlined />
    </button>
  );
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      data-dragging={isDragging}
    >
      {children(handle)}
    </li>
  );
}
