import { routes } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { FieldPage } from './FieldPage';

afterEach(endPage);

const item = (id: string, name: string) => ({ id, name, kind: 'lens' });
const shelf = { items: [item('a', 'Corvane 35/2'), item('b', 'Corvane 85/1.8')], nextCursor: null, total: 2 };
const show = (address = '/field', more: Record<string, Handler> = {}) =>
  showPage(FieldPage, '/field', address, { [`GET ${routes.gear}`]: shelf, ...more });
const note = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Note it, and keep the rest for home' });

describe('out in the field', () => {
  it('says what to do now, what never and what waits for home, as soon as one says what happened', async () => {
    const page = show();
    fireEvent.click(screen.getByRole('button', { name: care.HAPPENINGS.sand.name }));
    const { now, never, atHome } = care.happeningFacts('sand');
    expect(await screen.findByText(now[0]!)).toBeTruthy();
    if (never) expect(screen.getByText(never)).toBeTruthy();
    expect(screen.getByText(atHome[0]!)).toBeTruthy();
    expect(page.address()).toBe('/field?happened=sand');
  });

  it.each(care.HAPPENING_IDS)('has something to do now and at home for: %s', async (id) => {
    show(`/field?happened=${id}`);
    const { now, atHome } = care.happeningFacts(id);
    for (const line of [...now, ...atHome]) expect((await screen.findAllByText(line)).length).toBeGreaterThan(0);
  });

  it('notes it of the things it happened to, and not of none', async () => {
    const page = show('/field?happened=rain', { [`POST ${routes.happenings}`]: { noted: 1 } });
    fireEvent.click(await screen.findByLabelText(/Corvane 35/));
    await waitFor(() => expect(page.address()).toBe('/field?happened=rain&things=a'));
    fireEvent.click(note());
    await waitFor(() => expect(page.written()[0]!.body).toMatchObject({ happening: 'rain', itemIds: ['a'], later: { agoS: 0 } }));
    expect(await screen.findByText('Noted. It waits on Today for when you are home.')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Its plan out here' }).getAttribute('href')).toBe('/gear/a/plan?place=field');
  });

  it('cannot be noted of nothing; what the server refuses stays ticked', async () => {
    show('/field?happened=rain', {
      [`POST ${routes.happenings}`]: new Refusal({ status: 404, code: 'item-not-found', title: 'It is gone' }),
    });
    await screen.findByLabelText(/Corvane 35/);
    expect(note().disabled).toBe(true);
    fireEvent.click(screen.getByLabelText(/Corvane 85/));
    await waitFor(() => expect(note().disabled).toBe(false));
    fireEvent.click(note());
    expect(await screen.findByText('It is gone')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(/Corvane 85/).checked).toBe(true);
  });
});
