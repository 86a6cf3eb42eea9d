import type { ItemPage, SurfaceState } from '@bright-keeper/contract';
import { inspection } from '@bright-keeper/core';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { SurfaceCard } from './SurfaceCard';

afterEach(cleanup);

const known = (more: Partial<SurfaceState> = {}): SurfaceState => ({
  surface: 'front-glass',
  findings: [],
  verdict: 'leave',
  because: { reason: 'nothing-found' },
  knownSince: new Date().toISOString(),
  ...more,
});
function show(state: SurfaceState | null, touches = 0) {
  const item = {
    kind: 'lens',
    surfaces: state ? [state] : [],
    contacts: touches > 0 ? { 'front-glass': touches } : {},
    gentleWords: {},
  } as unknown as ItemPage;
  const onSelect = vi.fn();
  render(<SurfaceCard item={item} surface="front-glass" surfaces={['front-glass', 'rear-glass']} onSelect={onSelect} />);
  return onSelect;
}

describe('the card of a surface', () => {
  it('praises what was left alone, and only that', () => {
    show(known());
    expect(screen.getByText('Nothing found. A good deed: it was left alone.')).toBeTruthy();
    cleanup();
    show(known(), 1);
    expect(screen.queryByText(/left alone/)).toBeNull();
    expect(screen.getByText('Nothing is on it that has to go.')).toBeTruthy();
  });

  it('counts touches in words, and holds them against a rub test on glass', () => {
    show(known(), 1);
    expect(screen.getByText(/^As of/).textContent).toMatch(/1 touch in 12 months\..*% of a rub test/);
    cleanup();
    show(known(), 3);
    expect(screen.getByText(/^As of/).textContent).toContain('3 touches in 12 months.');
  });

  it('names what lies on it and why that matters', () => {
    const findings = [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }] as const;
    const { verdict, because } = inspection.assessSurface({ kind: 'lens', traits: {} }, findings);
    show(known({ findings: [{ soil: 'fingerprint', severity: 3 }], verdict, because }));
    const first = screen.getAllByRole('list')[0]!;
    expect(within(first).getByRole('listitem').textContent).toBe('fingerprint, obvious');
    expect(screen.getByText('Clean it')).toBeTruthy();
    expect(screen.getByText('A print on the glass veils into the light and feeds fungus.')).toBeTruthy();
  });

  it('leads to every other surface, and says of one nobody looked at that nobody did', () => {
    const onSelect = show(null);
    expect(screen.getByText('Not looked at yet.')).toBeTruthy();
    const rear = screen.getByRole('button', { name: 'rear glass' });
    expect(rear.getAttribute('title')).toBe('not looked at');
    fireEvent.click(rear);
    expect(onSelect).toHaveBeenCalledWith('rear-glass');
  });
});
