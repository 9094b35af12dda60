import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import styles from './Shelf.module.css';

/** A row is about so high before it is measured, px. */
const ROW = 300;
/** Cards beyond what is in sight that are there all the same: a shelf of a few dozen is there whole. */
const BEYOND = 24;

interface ShelfGridProps<T> {
  readonly of: readonly T[];
  readonly card: (one: T) => ReactNode;
}

/** Cards in rows, as many as fit side by side; of a long shelf only those near what is in sight are there. */
export function ShelfGrid<T>({ of, card }: ShelfGridProps<T>) {
  const list = useRef<HTMLUListElement>(null);
  const [{ columns, gap, top }, setLayout] = useState({ columns: 1, gap: 0, top: 0 });
  useEffect(() => {
    const node = list.current;
    if (!node) return;
    const measure = (): void => {
      const { gridTemplateColumns, rowGap } = getComputedStyle(node);
      const next = {
        columns: Math.max(1, gridTemplateColumns.split(' ').filter((one) => parseFloat(one) > 0).length),
        gap: parseFloat(rowGap) || 0,
        top: node.getBoundingClientRect().top + window.scrollY,
      };
      setLayout((now) => (JSON.stringify(now) === JSON.stringify(next) ? now : next));
    };
    measure();
    if (typeof ResizeObserver === 'undefined') return;
    // Its own width tells the columns; the page's height, whether something above it grew.
    const watching = new ResizeObserver(measure);
    watching.observe(node);
    watching.observe(document.body);
    return () => watching.disconnect();
  }, []);
  // oxlint-disable-next-line react/incompatible-library -- what it gives is asked in the render it is given in
  const rows = useWindowVirtualizer({
    count: Math.ceil(of.length / columns),
    estimateSize: () => ROW,
    overscan: Math.ceil(BEYOND / columns),
    gap,
    scrollMargin: top,
  });
  const seen = rows.getVirtualItems();
  const [first, last] = [seen[0], seen.at(-1)];
  // All cards of a row are as high as its highest: the first tells.
  useLayoutEffect(() => {
    for (const { index } of seen) {
      const one = list.current?.children[(index - first!.index) * columns];
      if (one instanceof HTMLElement && one.offsetHeight > 0) rows.resizeItem(index, one.offsetHeight);
    }
  });
  if (!first || !last) return <ul ref={list} className={styles.projects} />;
  return (
    <ul
      ref={list}
      className={styles.projects}
      style={{ paddingTop: first.start - top, paddingBottom: Math.max(0, rows.getTotalSize() - (last.end - top)) }}
    >
      {of.slice(first.index * columns, (last.index + 1) * columns).map(card)}
    </ul>
  );
}
