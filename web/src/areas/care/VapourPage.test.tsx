import { care } from '@bright-keeper/core';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { VapourLines } from './VapourLines';
import { VapourPage } from './VapourPage';
import { vapourFrom, vapourPage } from './vapourView';

afterEach(() => {
  cleanup();
  endPage();
});
const show = (address = '/vapour') => showPage(VapourPage, '/vapour', address, {});

describe('vapour in the room', () => {
  // 10 mL of methanol in 30 m³ at 25 °C are 200 ppm (NIOSH Pocket Guide, the conversion by hand).
  it('says what is in the air at once, and what may be', async () => {
    show('/vapour?solvent=methanol&mL=10');
    expect(await screen.findByText('All of it in the air at once: about 200 ppm; from 6000 ppm on it is dangerous at once.')).toBeTruthy();
    expect(screen.getByText('Within the limits')).toBeTruthy();
  });

  it('a spilled bottle is not within them, until the windows are open; the address keeps what was chosen', async () => {
    const page = show('/vapour?solvent=methanol&mL=20');
    expect(await screen.findByText('Above the limit of a quarter of an hour')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Windows wide open' }));
    expect(await screen.findByText('Within the limits')).toBeTruthy();
    await waitFor(() => expect(page.address()).toContain('airing=open'));
    fireEvent.change(screen.getByLabelText('The room, m³'), { target: { value: '1' } });
    expect(await screen.findByText('A number from 2 to 10000.')).toBeTruthy();
    expect(screen.queryByText('Within the limits')).toBeNull();
  });

  it('takes what an address says wrongly for nothing said', () => {
    expect(vapourFrom(new URLSearchParams('solvent=toString&airing=never&mL=1'))).toMatchObject({ solvent: 'isopropanol', airing: 'shut' });
    expect(vapourPage('acetone', 0.12345)).toBe('/vapour?solvent=acetone&mL=0.12');
  });
});

describe('at the step', () => {
  const lines = (...uses: care.Use[]) => {
    const { container } = render(
      <MemoryRouter>
        <VapourLines uses={uses} />
      </MemoryRouter>,
    );
    return container.textContent;
  };
  it('says what its drops come to, and leads to the sum for one’s own room; without a solvent nothing', () => {
    expect(lines({ material: 'isopropanol', amount: { quantity: 20, unit: 'drop' } })).toBe(
      'Its 1 mL, counted as isopropyl alcohol, gives at most 11 ppm in a small shut room (30 m³); the limit over a quarter of an hour is 500 ppm. In my room',
    );
    cleanup();
    expect(lines({ material: 'sensor-fluid', amount: { quantity: 1, unit: 'drop' } })).toMatch(
      /^Its 0\.05 mL, counted as methanol, gives at most 1 ppm in/,
    );
    cleanup();
    expect(lines({ material: 'water', amount: { quantity: 2, unit: 'drop' } })).toBe('');
  });
});
