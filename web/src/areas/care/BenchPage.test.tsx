import { routes, type Cleaning, type ItemPage } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, keptDocument, Refusal, showPage, SILENCE, type Handler } from '../../testing/page';
import type { Outside } from '../../outside';
import { BenchPage } from './BenchPage';
import { spokenOf } from '../../ui/useReadAloud';

afterEach(endPage);

const request: care.PlanRequest = {
  item: { kind: 'lens', traits: {} },
  place: 'home',
  findings: [
    { surface: 'front-glass', soil: 'dust', severity: 2 },
    { surface: 'rear-glass', soil: 'dust', severity: 2 },
  ],
};
const item = { id: 'i', name: 'Corvane 35/2', kind: 'lens', traits: {}, surfaces: [], version: 1 } as unknown as ItemPage;
const cleaning = {
  id: 'c',
  itemId: 'i',
  itemName: 'Corvane 35/2',
  version: 1,
  request,
  plan: care.planCleaning(request),
  events: [],
  staleBecause: [],
  startedAt: '2026-03-10T10:00:00Z',
  finishedAt: null,
} as unknown as Cleaning;

/** A server that keeps the cleaning, but for what it is told to do first. */
function show({
  faults = [],
  start = {},
  more = {},
  device = {},
}: { faults?: unknown[]; start?: Partial<Cleaning>; more?: Record<string, Handler>; device?: Partial<Outside> } = {}) {
  const kept = keptDocument({ ...cleaning, ...start }, faults);
  const page = showPage(
    BenchPage,
    '/bench/:id',
    '/bench/c',
    {
      [`GET ${routes.cleaning('c')}`]: kept.get,
      [`GET ${routes.item('i')}`]: item,
      [`PUT ${routes.cleaning('c')}`]: kept.put,
      ...more,
    },
    { wait: () => Promise.resolve(), ...device },
  );
  return { ...page, kept: kept.get };
}
const press = (...keys: string[]) => keys.forEach((key) => fireEvent.keyDown(window, { key }));
const title = (name: string) => screen.findByRole('heading', { name });

describe('a device at the bench', () => {
  const speaking = () => {
    const said: string[] = [];
    const voice = {
      isThere: () => true,
      onChange: () => () => undefined,
      say: (words: string) => void said.push(words),
      hush: () => void said.push(''),
    };
    return { said, voice };
  };

  it('reads each card aloud once it is asked to, as it stands there, and is silent when it is asked to be', async () => {
    const { said, voice } = speaking();
    show({ device: { voice } });
    await title('Before you begin');
    expect(said).toEqual([]);
    const button = screen.getByRole('button', { name: 'Read aloud' });
    fireEvent.click(button);
    await waitFor(() => expect(said.at(-1)).toMatch(/^Before you begin\./));
    press(' ');
    await title('Blow all 2');
    await waitFor(() => expect(said.at(-1)).toMatch(/Blow all 2\..*\.$/));
    fireEvent.click(button);
    await waitFor(() => expect(said.at(-1)).toBe(''));
    press('Backspace');
    await title('Before you begin');
    expect(said.at(-1)).toBe('');
  });

  it('does not offer it without a voice of its own, and keeps its screen lit as long as one is there', async () => {
    const awake: string[] = [];
    const page = show({ device: { stayAwake: () => (awake.push('on'), () => void awake.push('off')) } });
    await title('Before you begin');
    expect(screen.queryByRole('button', { name: 'Read aloud' })).toBeNull();
    expect(awake).toEqual(['on']);
    endPage();
    expect(awake).toEqual(['on', 'off']);
    expect(page.written()).toEqual([]);
  });

  it('says every line once, ended, and no dash before it', () => {
    const card = document.createElement('div');
    card.innerHTML = '<h2>Blow</h2><ul><li><span>–</span>From the  edge<p>inwards</p></li></ul><p> </p><p>Done?</p>';
    expect(spokenOf(card)).toBe('Blow. From the edgeinwards. Done?');
  });
});

describe('the bench', () => {
  it('blows all that lies open in one round, and looks at each of them on one card', async () => {
    show();
    await title('Before you begin');
    press(' ');
    expect(await title('Blow all 2')).toBeTruthy();
    expect(screen.getByText('2 surfaces of 2', { exact: false })).toBeTruthy();
    press(' ');
    const each = await screen.findByRole('list', { name: 'Each surface' });
    expect(within(each).getAllByRole('listitem').length).toBe(2);
    fireEvent.click(within(screen.getByRole('group', { name: 'Rear glass' })).getByRole('button', { name: 'Still there' }));
    expect(screen.getByRole('button', { name: 'The rest is clean enough' })).toBeTruthy();
    press('0');
    expect(await title('Soft brush')).toBeTruthy();
    expect(screen.getByText('Rear glass', { selector: 'span' })).toBeTruthy();
  });

  it('sends the whole list after each tap, and undo takes the last one back', async () => {
    const page = show();
    await title('Before you begin');
    press(' ', ' ', '0');
    expect(await title('Done. Put it away')).toBeTruthy();
    await waitFor(() => expect(page.kept().events.map((e) => e.type)).toEqual(['ready', 'done', 'rest-clean']));
    press('Backspace');
    await waitFor(() => expect(page.kept().events.map((e) => e.type)).toEqual(['ready', 'done']));
    expect(screen.getByRole('button', { name: 'All clean enough' })).toBeTruthy();
  });

  it('loses no tap while the server is silent', async () => {
    const page = show({ faults: [SILENCE, SILENCE] });
    await title('Before you begin');
    press(' ', ' ');
    await waitFor(() => expect(page.kept().events.length).toBe(2));
    expect(await screen.findByText('Saved')).toBeTruthy();
  });

  it('writes the log with the version that was saved, and goes to the thing', async () => {
    const page = show({ more: { [`POST ${routes.cleaningFinish('c')}`]: item } });
    await title('Before you begin');
    press(' ', ' ', '0');
    fireEvent.click(await screen.findByRole('button', { name: 'Put it in the log' }));
    await waitFor(() => expect(page.address()).toBe('/gear/i'));
    const finish = page.written().at(-1)!;
    expect([finish.path, (finish.body as { version: number }).version]).toEqual([routes.cleaningFinish('c'), page.kept().version]);
  });

  it('asks before it counts more out of the drawer than there was', async () => {
    const short = new Refusal({ status: 409, code: 'stock-short', fields: { 'lens-fluid': 'lens fluid: 1 drop left of 2' } });
    let asked = 0;
    const page = show({ more: { [`POST ${routes.cleaningFinish('c')}`]: () => (asked++ === 0 ? short : item) } });
    await title('Before you begin');
    press(' ', ' ', '0');
    fireEvent.click(await screen.findByRole('button', { name: 'Put it in the log' }));
    expect(await screen.findByText('Lens fluid: 1 drop left of 2')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Count it as used up' }));
    await waitFor(() => expect(page.address()).toBe('/gear/i'));
    expect(page.written().at(-1)!.body).toMatchObject({ acceptShort: true });
  });

  it('marks a plan that was made before the drawer changed, and remakes what is ahead', async () => {
    const page = show({
      start: { staleBecause: ['drawer'] },
      more: { [`POST ${routes.cleaningRemake('c')}`]: { ...cleaning, version: 2, staleBecause: [] } },
    });
    expect(await screen.findByText(/made before the drawer changed/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Remake what is ahead' }));
    await waitFor(() => expect(screen.queryByText(/made before/)).toBeNull());
    expect(page.written().at(-1)!.path).toBe(routes.cleaningRemake('c'));
  });

  it('may be left as long as nothing was touched', async () => {
    const page = show({ more: { [`DELETE ${routes.cleaning('c')}`]: undefined } });
    await title('Before you begin');
    fireEvent.click(screen.getByRole('button', { name: /Back to the plan/ }));
    await waitFor(() => expect(page.address()).toBe('/gear/i/plan'));
  });

  it('says of a finished one that it is in the log', async () => {
    show({ start: { finishedAt: '2026-03-10T11:00:00Z' } });
    expect(await screen.findByText('This cleaning is finished')).toBeTruthy();
  });
});
