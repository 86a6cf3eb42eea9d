import { act, cleanup, fireEvent, render } from '@testing-library/react';
import { useEffect } from 'react';
import { MemoryRouter, useNavigate, type NavigateFunction } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useScrollMemory } from './scrollMemory';

let go: NavigateFunction;
const hear = (navigate: NavigateFunction) => void (go = navigate);
function Pages() {
  useScrollMemory();
  const navigate = useNavigate();
  useEffect(() => hear(navigate), [navigate]);
  return null;
}

/** A window that is as far down as it was scrolled last. */
const scrollTo = vi.fn((_x: number, y: number) => {
  Object.assign(window, { scrollY: y });
});
const readDownTo = (y: number) => {
  Object.assign(window, { scrollY: y });
  fireEvent.scroll(window);
};
beforeEach(() => {
  Object.assign(window, { scrollTo, scrollY: 0 });
  scrollTo.mockClear();
  render(<Pages />, { wrapper: ({ children }) => <MemoryRouter initialEntries={['/gear']}>{children}</MemoryRouter> });
});
afterEach(cleanup);

describe('where a page stands', () => {
  it('is its top when it is opened, and where it was left when one goes back', () => {
    readDownTo(900);
    act(() => void go('/gear/7'));
    expect(window.scrollY).toBe(0);
    readDownTo(300);
    act(() => void go('/gear/7/plan'));
    act(() => void go(-1));
    expect(window.scrollY).toBe(300);
    act(() => void go(-1));
    expect(window.scrollY).toBe(900);
  });

  it('stays where it is while choices change the address of the same page', () => {
    readDownTo(500);
    act(() => void go('/gear?kind=lens', { replace: true }));
    act(() => void go('/gear?kind=body'));
    expect(scrollTo).not.toHaveBeenCalled();
    expect(window.scrollY).toBe(500);
  });
});
