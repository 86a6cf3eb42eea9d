import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { NotHere, Shell } from './Shell';

afterEach(cleanup);

const show = (address: string, onApproach = vi.fn()) => {
  const Fails = () => {
    throw new Error('it broke');
  };
  const router = createMemoryRouter(
    [
      {
        element: <Shell bar={<p>a bench day runs</p>} onApproach={onApproach} />,
        children: [
          { index: true, element: <h1>Today</h1> },
          { path: 'gear', element: <h1>Gear</h1> },
          { path: 'fails', element: <Fails /> },
          { path: '*', element: <NotHere /> },
        ],
      },
    ],
    { initialEntries: [address] },
  );
  render(<RouterProvider router={router} />);
  return { onApproach, router };
};
const station = (name: string) => screen.getAllByRole('link', { name })[0]!;

describe('the rail', () => {
  it('has the stations in the order the work goes, marks the one that is open, and leads to the others', async () => {
    const { router } = show('/');
    const rail = screen.getAllByRole('navigation', { name: 'Stations' })[0]!;
    expect([...rail.querySelectorAll('a')].map((a) => a.textContent?.trim())).toEqual([
      'Today',
      'Gear',
      'Clean',
      'Storage',
      'Calendar',
      'Supplies',
      'Handbook',
      'Settings',
    ]);
    expect(station('Today').getAttribute('aria-current')).toBe('page');
    fireEvent.click(station('Gear'));
    expect(await screen.findByRole('heading', { name: 'Gear' })).toBeTruthy();
    expect(router.state.location.pathname).toBe('/gear');
    expect(station('Today').getAttribute('aria-current')).toBeNull();
  });

  it('tells which station a pointer or the focus nears, so that its code is there before the tap', () => {
    const { onApproach } = show('/');
    fireEvent.pointerEnter(station('Calendar'));
    fireEvent.focus(station('Storage'));
    expect(onApproach.mock.calls).toEqual([['/calendar'], ['/storage']]);
  });

  it('stands on every page with what runs meanwhile, and lets one skip to the work', () => {
    show('/');
    expect(screen.getByText('a bench day runs')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Skip to the work' }).getAttribute('href')).toBe('#work');
  });
});

describe('an address', () => {
  it('that leads nowhere says so, and where to go on', () => {
    show('/no/such/page');
    expect(screen.getByText('This address leads nowhere')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Go to the shelf' }).getAttribute('href')).toBe('/gear');
  });

  it('whose page breaks says so instead of going blank', async () => {
    const quiet = vi.spyOn(console, 'error').mockImplementation(() => {});
    show('/fails');
    expect(await screen.findByRole('alert')).toBeTruthy();
    quiet.mockRestore();
  });
});
