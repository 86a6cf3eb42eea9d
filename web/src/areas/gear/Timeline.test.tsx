import { routes, type LogEntry } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { keptWords } from '@bright-keeper/words';
import { fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { outside } from '../../outside';
import { idOf } from '../../testing/kept';
import { endPage, showPage } from '../../testing/page';
import { Timeline } from './Timeline';

afterEach(endPage);

const DAY_MS = 86_400_000;
const at = (daysAgo: number) => new Date(outside.now().getTime() - daysAgo * DAY_MS).toISOString();
const entry = (n: number, data: LogEntry['data'], daysAgo = 1): LogEntry => ({
  id: idOf(n),
  itemId: idOf(1),
  at: at(daysAgo),
  keeper: null,
  data,
});
const show = (entries: LogEntry[], answers: Record<string, unknown> = {}) =>
  showPage(() => <Timeline itemId={idOf(1)} />, '/x', '/x', {
    [`GET ${routes.itemLog(idOf(1))}`]: { entries, nextCursor: null },
    ...answers,
  });

describe('the log of a thing', () => {
  it('offers to take back what was told in the last days, and nothing that was done or is long ago', async () => {
    show([
      entry(2, { kind: 'moved', placeName: 'Drawer' }),
      entry(3, { kind: 'added' }),
      entry(4, { kind: 'moved', placeName: 'Shelf' }, schedule.OFFERED_BACK_DAYS + 1),
    ]);
    await screen.findByText('Moved to: Drawer');
    expect(screen.getAllByRole('button', { name: 'Take back…' })).toHaveLength(1);
    expect(screen.queryByRole('link', { name: 'Correct it' })).toBeNull();
  });

  it('takes it back in two taps, and one may think better of it', async () => {
    const page = show([entry(2, { kind: 'edited', changed: ['name'], before: { name: 'Corvane' } })], {
      [`POST ${routes.takeBack}`]: { takenBack: 1, kept: [] },
    });
    expect(await screen.findByText('Before, it was called Corvane.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Take back…' }));
    fireEvent.click(screen.getByRole('button', { name: 'It stands' }));
    expect(page.written()).toEqual([]);
    fireEvent.click(screen.getByRole('button', { name: 'Take back…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    await screen.findByText('Before, it was called Corvane.');
    expect(page.written().map((c) => c.body)).toEqual([{ entryIds: [idOf(2)] }]);
  });

  it.each(schedule.KEPT_REASONS)('says why it stands: %s', async (because) => {
    show([entry(2, { kind: 'back' })], { [`POST ${routes.takeBack}`]: { takenBack: 0, kept: [{ entryId: idOf(2), because }] } });
    fireEvent.click(await screen.findByRole('button', { name: 'Take back…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    expect((await screen.findByRole('status')).textContent).toBe(keptWords(because));
  });

  it('leads to correct a look, and tells what was said of it before', async () => {
    const verdicts = [
      { surface: 'front-glass' as const, verdict: 'clean' as const, findings: [{ soil: 'dust' as const, severity: 2 as const }] },
    ];
    const look = { kind: 'look' as const, lookId: idOf(9), looked: 1, seen: ['front-glass' as const], light: 'lamp' as const };
    show([entry(2, { ...look, verdicts: [], notes: [], before: { verdicts, notes: [] } })]);
    expect(await screen.findByText('Looked at 1 surface, with a lamp from the side')).toBeTruthy();
    expect(screen.getByText(/^Corrected\. Before, it was said: Front glass: dust/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Correct it' }).getAttribute('href')).toBe(`/look/${idOf(9)}/correct`);
  });
});
