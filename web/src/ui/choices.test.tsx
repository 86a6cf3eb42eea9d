import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Suspense, use } from 'react';
import { BrowserRouter, Link, MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { useChoices, withChoice } from './choices';

/** What follows from a choice, and is not drawn until it has come: the page of a slow machine. */
let follows: Promise<void>;
let draw: () => void;
const came = Promise.resolve();
function WhatFollows() {
  const { search } = useLocation();
  use(search ? follows : came);
  return <p>drawn for {search || 'nothing'}</p>;
}

function Boxes() {
  const [choices, choose] = useChoices();
  return ['a', 'b'].map((key) => (
    <label key={key}>
      <input type="checkbox" checked={choices.has(key)} onChange={(e) => choose(withChoice(choices, key, e.target.checked ? '1' : null))} />
      {key}
    </label>
  ));
}

const show = () =>
  act(async () => {
    follows = new Promise((resolve) => (draw = resolve));
    await came;
    render(
      <MemoryRouter initialEntries={['/field']}>
        <Boxes />
        <Suspense fallback="not yet">
          <WhatFollows />
        </Suspense>
      </MemoryRouter>,
    );
  });
const box = (name: string) => screen.getByLabelText<HTMLInputElement>(name);
const tap = (name: string) => act(() => Promise.resolve(void fireEvent.click(box(name))));
afterEach(cleanup);

describe('what is chosen on a page', () => {
  it('stands at once, while what follows from it is still to be drawn', async () => {
    await show();
    await tap('a');
    expect(box('a').checked).toBe(true);
    expect(screen.getByText('drawn for nothing')).toBeTruthy();
  });

  it('keeps a first tap when the second comes before the page was drawn, and the address has both in the end', async () => {
    await show();
    await tap('a');
    await tap('b');
    expect([box('a').checked, box('b').checked]).toEqual([true, true]);
    await act(() => Promise.resolve(draw()));
    expect(screen.getByText('drawn for ?a=1&b=1')).toBeTruthy();
    expect([box('a').checked, box('b').checked]).toEqual([true, true]);
  });

  it('writes no address any more once one has gone on, though the next page has not come yet', async () => {
    window.history.replaceState(null, '', '/field');
    follows = new Promise((resolve) => (draw = resolve));
    const Next = () => {
      use(follows);
      return <p>the next page</p>;
    };
    const Here = () => (
      <>
        <Boxes />
        <Link to="/gear">On</Link>
      </>
    );
    await act(async () => {
      await came;
      render(
        <BrowserRouter>
          <Routes>
            <Route path="/field" element={<Here />} />
            <Route path="/gear" element={<Next />} />
          </Routes>
        </BrowserRouter>,
      );
    });
    await tap('b');
    expect(window.location.search).toBe('?b=1');
    await act(() => Promise.resolve(void fireEvent.click(screen.getByText('On'))));
    await tap('a');
    expect(window.location.pathname + window.location.search).toBe('/gear');
    await act(() => Promise.resolve(draw()));
    expect(screen.getByText('the next page')).toBeTruthy();
  });
});
