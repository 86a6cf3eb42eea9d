import type { Airing } from '@bright-keeper/contract';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { replaceOutside } from '../../outside';
import { InZone } from '../../ui/zone';
import { AiringCard, nowWords } from './AiringCard';

let giveBack = () => {};
afterEach(() => {
  cleanup();
  giveBack();
});

const NOW = new Date('2026-01-10T12:30:00Z');
const show = (airing: Airing) => {
  giveBack = replaceOutside({ now: () => NOW });
  return render(
    <InZone timeZone="UTC">
      <AiringCard airing={airing} />
    </InZone>,
  );
};
const span = (from: string, to: string, effect: 'dries' | 'wets') => ({
  from: `2026-01-${from}:00Z`,
  to: `2026-01-${to}:00Z`,
  effect,
  toPct: 41.4,
});

describe('when to open', () => {
  it('says what opening does now, of a box and of a room', () => {
    const box: Omit<Airing, 'now'> = { by: 'room', name: 'Studio', hours: [] };
    expect(nowWords({ ...box, now: { effect: 'dries', toPct: 38.6 } })).toBe(
      'Opening it now dries it: the air of Studio is at 39 % once it is as warm as in here.',
    );
    expect(nowWords({ ...box, now: { effect: 'wets', toPct: 70 } })).toMatch(/^Keep it shut now: the air of Studio is at 70 %/);
    expect(nowWords({ by: 'weather', name: 'Roof', hours: [], now: { effect: 'neither', toPct: 50 } })).toMatch(
      /^Opening the windows now changes little/,
    );
    expect(nowWords({ ...box, now: null })).toBeNull();
  });

  it('names the hours that dry and those that wet, from now on, and what that stands on', () => {
    show({
      by: 'weather',
      name: 'Roof',
      now: { effect: 'dries', toPct: 39 },
      hours: [span('10T10:00', '10T18:00', 'dries'), span('11T02:00', '11T09:00', 'wets'), span('10T08:00', '10T09:00', 'wets')],
    });
    expect(screen.getByText(/^12:30 to 18:00, down to 41 %$/)).toBeTruthy();
    expect(screen.getByText(/^11 Jan, 02:00 to 11 Jan, 09:00, up to 41 %$/)).toBeTruthy();
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
    expect(screen.getByText(/^By the forecast/)).toBeTruthy();
  });

  it('is nothing where all of it is past', () => {
    const { container } = show({ by: 'weather', name: 'Roof', now: null, hours: [span('10T08:00', '10T09:00', 'wets')] });
    expect(container.textContent).toBe('');
  });
});
