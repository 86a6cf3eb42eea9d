import { useWindowVirtualizer, type Range } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, useSyncExternalStore, type RefObject } from 'react';

/** So many rows are drawn above and below what is seen, so that a quick flick finds them there. */
const OVERSCAN = 12;
/** They come and go so many at a time: the page is laid out anew once for all of them. */
const STEP = 6;

/** The rows to draw where these are seen: some more on both sides, and always whole steps. */
export function drawnRows({ startIndex, endIndex, overscan, count }: Range): number[] {
  const first = Math.max(0, Math.floor((startIndex - overscan) / STEP) * STEP);
  const end = Math.min(count, Math.ceil((endIndex + 1 + overscan) / STEP) * STEP);
  return Array.from({ length: Math.max(0, end - first) }, (_, i) => first + i);
}

export type Windowed = {
  /** The rows that are drawn. */
  rows: { index: number; key: string | number }[];
  /** How much room the ones above and below take, px. */
  above: number;
  below: number;
  measure: (row: Element | null) => void;
};

/** Of a long list in the page only what is near the window is drawn; the page is as long as if all were. */
export function useWindowed(list: RefObject<HTMLElement | null>, count: number, rowPx: number): Windowed {
  const [top, setTop] = useState(0);
  const topNow = useRef(0);
  useLayoutEffect(() => {
    const own = list.current;
    if (!own) return;
    const at = own.getBoundingClientRect().top + window.scrollY;
    if (Math.abs(at - topNow.current) < 1) return;
    topNow.current = at;
    setTop(at);
  }, [list, count]);
  const virtual = useWindowVirtualizer({
    count,
    estimateSize: () => rowPx,
    overscan: OVERSCAN,
    rangeExtractor: drawnRows,
    scrollMargin: top,
    // There are rows enough beyond the window: none has to be drawn within the scroll event itself.
    useFlushSync: false,
    // What is not laid out yet has no height; it is taken to be as high as the others.
    measureElement: (row) => row.getBoundingClientRect().height || rowPx,
  });
  const items = virtual.getVirtualItems();
  const [first, last] = [items[0], items.at(-1)];
  return {
    rows: items.map(({ index, key }) => ({ index, key: key as string | number })),
    above: first ? first.start - top : 0,
    below: last ? virtual.getTotalSize() - (last.end - top) : 0,
    measure: virtual.measureElement,
  };
}

const WIDE = '(min-width: 48rem)';
const subscribe = (changed: () => void) => {
  const query = window.matchMedia(WIDE);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
};
/** Is there room for a table? What is not shown is not drawn either. */
export const useIsWide = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => window.matchMedia(WIDE).matches,
    () => true,
  );
