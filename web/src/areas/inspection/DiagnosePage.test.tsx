import { routes } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { DiagnosePage } from './DiagnosePage';

afterEach(endPage);

const item = (id: string, name: string, kind: string) => ({ id, name, kind, traits: {}, status: 'in-use', verdict: null, nextDue: null });
const SHELF = { items: [item('l', 'Lens 1', 'lens'), item('b', 'Body 1', 'mirrorless-body')], nextCursor: null, total: 2 };
const show = (address = '/diagnose', shelf: unknown = SHELF) =>
  showPage(DiagnosePage, '/diagnose', address, { [`GET ${routes.gear}`]: shelf });

async function answerAll(...answers: string[]): Promise<void> {
  for (const answer of answers) fireEvent.click(await screen.findByRole('button', { name: answer }));
}

describe('where is the dirt?', () => {
  it('asks one question at a time, each with its quick test, and keeps the answers in the address', async () => {
    const page = show();
    const first = (await screen.findAllByRole('heading', { level: 2 }))[0]!.textContent;
    expect(screen.queryByRole('button', { name: 'Begin again' })).toBeNull();
    fireEvent.click(screen.getAllByRole('button')[0]!);
    await waitFor(() => expect(page.address()).toMatch(/^\/diagnose\?[\w-]+=[\w-]+$/));
    expect(screen.getAllByRole('heading', { level: 2 })[0]!.textContent).not.toBe(first);
    expect(screen.getByText('What that tells')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Begin again' }));
    await waitFor(() => expect(page.address()).toBe('/diagnose'));
    expect(screen.getAllByRole('heading', { level: 2 })[0]!.textContent).toBe(first);
  });

  /**
   * Common practice: what is in the picture with every lens and never in the finder lies on the sensor; dirt seen only in
   * the finder lies on its screen or mirror and never in the picture.
   */
  it.each([
    ['sensor cover', 'In the picture, not in the finder', 'With every lens'],
    ['focusing screen', 'In the finder, not in the picture', 'They stay, sharp'],
  ])('ends at the %s', async (where, ...answers) => {
    show();
    await answerAll(...answers);
    expect((await screen.findByRole('heading', { name: /^Look at the / })).textContent).toContain(where);
    expect(screen.getByText('There it lies')).toBeTruthy();
  });

  it('offers the things that have that surface, and begins a look that stands at it', async () => {
    const look = { id: 'k', itemId: 'b', version: 1, answers: [], at: null };
    const page = showPage(DiagnosePage, '/diagnose', '/diagnose', {
      [`GET ${routes.gear}`]: SHELF,
      [`POST ${routes.looks}`]: look,
      [`PUT ${routes.look('k')}`]: { ...look, version: 2, at: 'sensor-cover' },
    });
    await answerAll('In the picture, not in the finder', 'With every lens');
    expect(await screen.findByRole('button', { name: 'Look at Body 1' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Look at Lens 1' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Look at Body 1' }));
    await waitFor(() => expect(page.address()).toBe('/look/k'));
    expect(page.written().map((c) => c.body)).toEqual([{ itemId: 'b' }, { version: 1, at: 'sensor-cover', answers: [] }]);
  });

  it('says so where nothing on the shelf has that surface', async () => {
    show('/diagnose', { items: [item('l', 'Lens 1', 'lens')], nextCursor: null, total: 1 });
    await answerAll('In the picture, not in the finder', 'With every lens');
    expect(await screen.findByText(/^Nothing on your shelf has a sensor cover/)).toBeTruthy();
  });
});
