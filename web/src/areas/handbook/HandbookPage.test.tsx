import { care } from '@bright-keeper/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { HandbookPage } from './HandbookPage';

afterEach(endPage);

const show = (address = '/handbook') => showPage(HandbookPage, '/handbook', address, {});
const articles = () => screen.queryAllByRole('article');

describe('the handbook', () => {
  it('holds every rule and method, each with where it is from', async () => {
    show();
    await screen.findByRole('heading', { name: 'Handbook' });
    for (const { id, title } of care.RULES) {
      const entry = document.getElementById(`rule-${id}`)!;
      expect(within(entry).getByRole('heading').textContent, id).toBe(title);
      expect(entry.querySelectorAll('p').length, id).toBeGreaterThanOrEqual(2);
      expect(entry.textContent, id).not.toMatch(/[{}]/);
    }
    for (const id of care.METHOD_IDS) expect(document.getElementById(`method-${id}`), id).toBeTruthy();
  });

  it('shows the beginning of a long chapter, and all of it when asked', async () => {
    show();
    const more = await screen.findByRole('button', { name: /^Show all \d+$/ });
    const before = articles().length;
    const all = Number(/\d+/.exec(more.textContent)![0]);
    fireEvent.click(more);
    await waitFor(() => expect(articles().length).toBeGreaterThan(before));
    expect(articles().length - before).toBe(all - 12);
    expect(screen.queryByRole('button', { name: /^Show all/ })).toBeNull();
  });

  it('finds what holds the words, keeps them in the address, and shows everything again', async () => {
    const page = show();
    const search = await screen.findByLabelText('Search the handbook');
    const before = articles().length;
    fireEvent.change(search, { target: { value: 'canned air sensor' } });
    await waitFor(() => expect(page.address()).toBe('/handbook?search=canned+air+sensor'));
    expect(document.getElementById('rule-no-canned-air-inside')).toBeTruthy();
    expect(articles().length).toBeLessThan(before / 4);
    expect(screen.getByRole('heading', { name: 'Answers' })).toBeTruthy();
    fireEvent.change(search, { target: { value: 'zzzz' } });
    expect((await screen.findByRole('alert')).textContent).toMatch(/Nothing here answers that.*touch nothing/s);
    fireEvent.click(await screen.findByRole('button', { name: 'Show everything' }));
    await waitFor(() => expect(articles().length).toBe(before));
  });
});
