import type { Supply } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { keys } from '../../api/keys';
import { Late, Reading } from './EndingCards';
import { AlsoLook, Openings } from './PlanOffers';
import { doneEvent } from './state';
import { ThingChoice } from './ThingChoice';
import { TouchLadder } from './TouchLadder';

afterEach(cleanup);

const planOf = (
  kind: care.ItemKind,
  surface: care.Surface,
  soil: care.Soil,
  severity: care.Severity,
  more: Partial<care.PlanRequest> = {},
) => care.planCleaning({ item: { kind, traits: {} }, place: 'home', findings: [{ surface, soil, severity }], ...more });
const print = planOf('lens', 'front-glass', 'fingerprint', 3);

describe('when every rung was climbed', () => {
  it.each(care.READINGS.map((r, i) => [r, ['A film', 'It lies deeper', 'Damage', 'I cannot tell'][i]!] as const))(
    'a person says what stays: %s',
    (reading, name) => {
      const act = vi.fn();
      render(<Reading step={print.steps[1]!} act={act} />);
      expect(screen.getByRole('heading', { name: 'What is it that stays?' })).toBeTruthy();
      fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${name}`) }));
      expect(act).toHaveBeenCalledWith({ type: 'reading', surface: 'front-glass', reading });
    },
  );
});

describe('a shutter that closed before “I am out”', () => {
  it.each([
    ['Nothing was inside', false],
    ['Something was inside', true],
  ] as const)('is asked about: %s', (name, inside) => {
    const act = vi.fn();
    render(<Late step={print.steps[1]!} act={act} />);
    fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${name}`) }));
    expect(act).toHaveBeenCalledWith({ type: 'late', step: print.steps[1]!.id, inside });
  });

  it('is known by when it was said, and only where a shutter runs', () => {
    const now = new Date('2026-03-10T10:00:20Z');
    const step = print.steps[1]!;
    expect(doneEvent({ exposure: null }, step, now)).toEqual({ type: 'done', step: step.id });
    expect(doneEvent({ exposure: { at: '2026-03-10T10:00:00Z', seconds: 15 } }, step, now)).toMatchObject({ at: now.toISOString() });
  });
});

describe('which cloth is taken', () => {
  const cloth = (id: string, note: string, more: Partial<Supply> = {}): Supply => ({
    id,
    version: 1,
    thing: 'glass-cloth',
    role: 'glass',
    state: 'clean',
    usesSinceWash: 0,
    stock: null,
    packSize: null,
    packPrice: null,
    openedOn: null,
    widthMm: null,
    kit: null,
    note,
    ...more,
  });
  const show = (drawer: Supply[]) => {
    const step = planOf('lens', 'front-glass', 'smear', 2, {
      onHand: [{ id: 'bulb-blower' }, { id: 'glass-cloth', thingId: 'blue', label: 'the blue one' }],
    }).steps.find((s) => s.tool === 'glass-cloth')!;
    const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
    client.setQueryData(keys.drawer, { supplies: drawer, isAll: true, along: null });
    const act = vi.fn();
    render(
      <QueryClientProvider client={client}>
        <ThingChoice step={step} taken={{}} act={act} />
      </QueryClientProvider>,
    );
    return { act, step };
  };

  it('is asked where there are two, and what is chosen counts', () => {
    const { act, step } = show([cloth('blue', 'Blue edge.'), cloth('grey', 'Grey edge.')]);
    fireEvent.change(screen.getByLabelText('Which microfibre kept for glass?'), { target: { value: 'grey' } });
    expect(act).toHaveBeenCalledWith({ type: 'take', step: step.id, id: 'glass-cloth', thingId: 'grey' });
  });

  it('is not asked where the other one is dirty or has gone over to shells', () => {
    show([cloth('blue', 'Blue edge.'), cloth('grey', 'Grey.', { state: 'dirty' }), cloth('old', 'Old.', { role: 'shell' })]);
    expect(screen.queryByLabelText(/Which microfibre/)).toBeNull();
  });
});

describe('a plan on the page', () => {
  const manual = { item: { kind: 'lens', traits: { yearMade: 1962, filterFitted: true, filterStuck: true } } } as const;

  it('leads from what lies behind a ring to its go or no-go in one tap, the filter named first', () => {
    const { openings } = planOf('lens', 'inner-glass', 'haze', 3, manual);
    render(<Openings itemId="x" openings={openings} />, { wrapper: MemoryRouter });
    expect(screen.getByRole('link', { name: 'Open it, or not?' }).getAttribute('href')).toBe('/gear/x/opening?soil=haze');
    expect(screen.getByText(/A filter is stuck on/)).toBeTruthy();
  });

  it('shows opening as a rung to be weighed, not as a step', () => {
    const plan = planOf('lens', 'inner-glass', 'haze', 3, manual);
    render(<TouchLadder surface="inner-glass" plan={plan} />, { wrapper: MemoryRouter });
    expect(screen.getByText(/Only after the go or no-go/)).toBeTruthy();
    expect(screen.queryByLabelText('step 1')).toBeNull();
  });

  it('mentions the finder beside a dirty mirror', () => {
    const { alsoLook } = planOf('slr-body', 'reflex-mirror', 'grease', 3);
    render(<AlsoLook itemId="x" entries={alsoLook} />, { wrapper: MemoryRouter });
    expect(screen.getByRole('link', { name: 'Viewfinder window' })).toBeTruthy();
  });

  it('strikes through the tool a hand would reach for, by its name', () => {
    render(<TouchLadder surface="front-glass" plan={planOf('lens', 'front-glass', 'fingerprint', 2)} />, { wrapper: MemoryRouter });
    expect(screen.getByText('Body cloth')).toBeTruthy();
  });
});
