import { Fragment, type ReactNode } from 'react';

interface Props {
  items: readonly { id: string }[];
  children: (item: { id: string }) => ReactNode;
}

/** A list in place of one that is sorted by dragging, which needs a page and is tried in a browser. */
export const SortableList = ({ items, children }: Props) =>
  items.map((item) => <Fragment key={item.id}>{children(item)}</Fragment>);
