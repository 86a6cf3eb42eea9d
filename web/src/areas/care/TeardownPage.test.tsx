import { routes, type ItemPage, type Teardown } from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, keptDocument, Refusal, showPage, type Handler } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { TeardownPage } from './TeardownPage';
import { newStage } from './teardownState';

afterEach(endPage);

const item = { id: 'i', name: 'Old fifty', kind: 'lens', traits: {}, surfaces: [], version: 1 } as unknown as ItemPage;
const stage = (id: string, more: Partial<care.TeardownStage> = {}): care.TeardownStage => ({
  ...newStage(id),
  what: `part ${id}`,
  ...more,
});
const record: Teardown = {
  id: 't',
  itemId: 'i',
  itemName: 'Old fifty',
  version: 1,
  depth: 'front-group',
  phase: 'opening',
  stages: [],
  startedAt: '2026-03-10T10:00:00Z',
  finishedAt: null,
};

/** A server that keeps the record, but for what it is told to do first. */
function show(start: Partial<Teardown> = {}, more: Record<string, Handler> = {}, faults: unknown[] = []) {
  const kept = keptDocument({ ...record, ...start }, faults);
  const page = showPage(
    TeardownPage,
    '/teardown/:id',
    '/teardown/t',
    {
      [`GET ${routes.teardown('t')}`]: kept.get,
      [`GET ${routes.item('i')}`]: item,
      [`GET ${routes.settings}`]: settingsIn('EUR'),
      [`PUT ${routes.teardown('t')}`]: kept.put,
      ...more,
    },
    { wait: () => Promise.resolve() },
  );
  return { ...page, kept: kept.get };
}
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
const boxes = () => screen.getAllByRole<HTMLInputElement>('checkbox');

describe('the record of an opening', () => {
  it('notes stage after stage what came off, and sends it as it is typed', async () => {
    const page = show();
    fireEvent.click(await screen.findByRole('button', { name: 'Note the first stage' }));
    fireEvent.change(screen.getByLabelText('What comes off'), { target: { value: 'front ring' } });
    fireEvent.change(screen.getByLabelText('Turns until it came off'), { target: { value: '2.25' } });
    fireEvent.click(button('Next stage'));
    expect(await screen.findByText('Saved')).toBeTruthy();
    await waitFor(() =>
      expect(page.kept().stages).toMatchObject([
        { what: 'front ring', turns: 2.25 },
        { what: '', turns: null },
      ]),
    );
    fireEvent.click(button('Remove stage 2'));
    await waitFor(() => expect(page.kept().stages.length).toBe(1));
    fireEvent.change(screen.getByLabelText('Turns until it came off'), { target: { value: '' } });
    await waitFor(() => expect(page.kept().stages[0]!.turns).toBeNull());
  });

  it('cannot be closed before anything came off, and says when to stop', async () => {
    show();
    await screen.findByText('Stop at the first doubt');
    expect(button('Close it again').disabled).toBe(true);
    expect(within(screen.getByText('Stop at the first doubt').closest('section')!).getAllByRole('listitem').length).toBeGreaterThan(2);
  });

  it('is closed the other way round, one stage after the other, and none before the one that covers it', async () => {
    const page = show({ phase: 'closing', stages: [stage('a'), stage('b'), stage('c', { hasPhoto: true })] });
    await screen.findByRole('button', { name: 'All is back: put it in the log' });
    expect(boxes().map((box) => box.closest('label')!.textContent)).toEqual([
      expect.stringContaining('part c'),
      expect.stringContaining('part b'),
      expect.stringContaining('part a'),
    ]);
    expect(boxes().map((box) => box.disabled)).toEqual([false, true, true]);
    expect(screen.getByAltText('How it sat: part c').getAttribute('src')).toBe(routes.teardownPhoto('t', 'c'));
    expect(button('All is back: put it in the log').disabled).toBe(true);
    fireEvent.click(boxes()[0]!);
    expect(boxes().map((box) => box.disabled)).toEqual([false, false, true]);
    await waitFor(() => expect(page.kept().stages.map((s) => s.closed)).toEqual([false, false, true]));
  });

  it('goes into the log when all is back, with the last tap in it', async () => {
    const page = show({ phase: 'closing', stages: [stage('a')] }, { [`POST ${routes.teardownFinish('t')}`]: item });
    fireEvent.click((await screen.findAllByRole('checkbox'))[0]!);
    fireEvent.click(button('All is back: put it in the log'));
    await waitFor(() => expect(page.address()).toBe('/gear/i'));
    const finish = page.written().at(-1)!;
    expect([finish.path, finish.body]).toEqual([routes.teardownFinish('t'), { version: 2 }]);
    expect(page.written().at(-2)!.body).toMatchObject({ stages: [{ id: 'a', closed: true }] });
  });

  it('keeps a photograph with its stage, after the stage itself is kept', async () => {
    const page = show({ stages: [stage('a')] }, { [`PUT ${routes.teardownPhoto('t', 'a')}`]: undefined });
    await screen.findByText('Stage 1');
    fireEvent.change(screen.getByLabelText('What comes off'), { target: { value: 'ring' } });
    const camera = document.querySelector<HTMLInputElement>('input[type="file"]')!;
    fireEvent.change(camera, { target: { files: [new File(['picture'], 'ring.jpg', { type: 'image/jpeg' })] } });
    expect(await screen.findByAltText('Stage 1: ring')).toBeTruthy();
    const writes = page.written().map((c) => c.path);
    expect(writes.indexOf(routes.teardown('t'))).toBeLessThan(writes.indexOf(routes.teardownPhoto('t', 'a')));
    await waitFor(() => expect(page.kept().stages[0]!.hasPhoto).toBe(true));
  });

  it('says why a photograph was not kept, and claims none', async () => {
    const refusal = new Refusal({ status: 415, code: 'picture-unreadable', title: 'This is no picture' });
    show({ stages: [stage('a')] }, { [`PUT ${routes.teardownPhoto('t', 'a')}`]: refusal });
    await screen.findByText('Stage 1');
    const camera = document.querySelector<HTMLInputElement>('input[type="file"]')!;
    fireEvent.change(camera, { target: { files: [new File(['?'], 'ring.jpg', { type: 'image/jpeg' })] } });
    expect(await screen.findByText('This is no picture')).toBeTruthy();
    expect(screen.queryByAltText(/^Stage 1/)).toBeNull();
  });

  it('that was begun in error is dropped, and one that is finished is only told of', async () => {
    const page = show({}, { [`DELETE ${routes.teardown('t')}`]: undefined });
    fireEvent.click(await screen.findByRole('button', { name: 'It was not opened after all' }));
    await waitFor(() => expect(page.address()).toBe('/gear/i'));
    endPage();
    show({ finishedAt: '2026-03-11T10:00:00Z' });
    expect(await screen.findByText('This record is finished')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /stage/i })).toBeNull();
  });
});
