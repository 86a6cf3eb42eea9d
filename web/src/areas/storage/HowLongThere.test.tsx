import { type LongOwned, type MoveItems, routes } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, type Handler, showPage } from '../../testing/page';
import { HowLongThere } from './HowLongThere';

afterEach(endPage);

const thing = (id: string, acquiredOn: string | null = null) => ({ id, addedAt: '2026-03-09T10:00:00.000Z', acquiredOn });
const LONG: LongOwned[] = [
  { place: { id: 'p', name: 'Cabinet' }, things: [thing('a'), thing('b', '2025-11-01')] },
  { place: { id: 'q', name: 'Drawer' }, things: [thing('c')] },
];
function show(more: Record<string, Handler> = {}, remembered: string | null = null) {
  const kept = new Map<string, string | null>([['lain-there', remembered]]);
  const page = showPage(() => <HowLongThere longOwned={LONG} />, '/x', '/x', more, {
    now: () => new Date('2026-03-10T10:00:00Z'),
    recall: (key) => kept.get(key) ?? null,
    remember: (key, value) => void kept.set(key, value),
  });
  return { ...page, kept };
}

describe('how long things have lain there', () => {
  it('is told for all of them in one tap, of what was bought later from then, and taken back in one', async () => {
    const ids = ['e1', 'e2', 'e3'];
    const page = show({
      [`POST ${routes.moves}`]: () => ({ entryIds: [ids.shift()], refused: [] }),
      [`POST ${routes.movesTakenBack}`]: { takenBack: 3, kept: 0 },
    });
    expect(screen.getByText(/^2 things in Cabinet, 1 thing in Drawer: each counts/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'A year' }));
    expect(await screen.findByText(/^3 things told/)).toBeTruthy();
    const yearAgo = schedule.instantOfLocal('2025-03-10T12:00', Intl.DateTimeFormat().resolvedOptions().timeZone);
    expect(page.written().map((c) => c.body as MoveItems)).toEqual([
      { itemIds: ['a'], placeId: 'p', since: yearAgo, alone: true },
      { itemIds: ['b'], placeId: 'p', since: '2025-11-01T12:00:00.000Z', alone: true },
      { itemIds: ['c'], placeId: 'q', since: yearAgo, alone: true },
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    await waitFor(() => expect(page.written().at(-1)!.body).toEqual({ entryIds: ['e1', 'e2', 'e3'] }));
    expect(await screen.findByText(/^2 things in Cabinet/)).toBeTruthy();
  });

  it('says which lay elsewhere then', async () => {
    show({
      [`POST ${routes.moves}`]: { entryIds: ['e'], refused: [{ itemId: 'x', name: 'X', because: 'lay-elsewhere', placeName: 'Y' }] },
    });
    fireEvent.change(screen.getByLabelText('Since a day'), { target: { value: '2026-03-01' } });
    fireEvent.click(screen.getByRole('button', { name: 'Since that day' }));
    expect(await screen.findByText(/2 things lay elsewhere then, and stay as they were/)).toBeTruthy();
  });

  it('is asked once', () => {
    const page = show();
    fireEvent.click(screen.getByRole('button', { name: 'They came there just now' }));
    expect(screen.queryByText(/in Cabinet/)).toBeNull();
    expect(page.kept.get('lain-there')).toBe('2026-03-09T10:00:00.000Z');
    endPage();
    show({}, '2026-03-09T10:00:00.000Z');
    expect(screen.queryByText(/in Cabinet/)).toBeNull();
    expect(page.written()).toEqual([]);
  });

  it('is not told of a day to come', () => {
    show();
    fireEvent.change(screen.getByLabelText('Since a day'), { target: { value: '2026-03-11' } });
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Since that day' }).disabled).toBe(true);
  });
});
