import { care } from '@bright-keeper/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DryRun, PowerCheck, RunningExposure, StartExposure } from './SensorCards';

const NOW = new Date('2026-03-10T10:00:00Z');
beforeEach(() => void vi.useFakeTimers({ now: NOW }));
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

/** A wet sensor clean of a body with these traits. */
const swabOf = (traits: care.Traits): care.Step & { sensor: care.SensorWork } => {
  const plan = care.planCleaning({
    item: { kind: 'mirrorless-body', traits },
    place: 'home',
    findings: [{ surface: 'sensor-cover', soil: 'grease', severity: 3 }],
  });
  return plan.steps.find((s) => s.sensor) as care.Step & { sensor: care.SensorWork };
};
const seconds = () => screen.getByLabelText(/How long is the exposure/);
const isOff = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name }).disabled;

describe('power before a swab', () => {
  it('is safe only once the battery is said to be full, and tells how a floating sensor is held', () => {
    const act = vi.fn();
    render(<PowerCheck step={swabOf({ sensorStabilised: true })} act={act} />);
    expect(screen.getByText(/The sensor floats/)).toBeTruthy();
    expect(isOff('Power is safe')).toBe(true);
    fireEvent.click(screen.getByLabelText(/Battery full/));
    fireEvent.click(screen.getByRole('button', { name: 'Power is safe' }));
    expect(act).toHaveBeenCalledWith(expect.objectContaining({ type: 'power-checked', heldOpen: 'cleaning-mode' }));
  });

  it('says nothing of a floating sensor where it does not float', () => {
    render(<PowerCheck step={swabOf({ sensorStabilised: false })} act={() => undefined} />);
    expect(screen.queryByText(/The sensor floats/)).toBeNull();
  });
});

describe('an exposure that holds the shutter', () => {
  it.each([
    ['14', true],
    ['15', false],
    ['900', false],
    ['901', true],
    ['', true],
  ])('of %s s: the start is off %s', (text, off) => {
    render(<StartExposure step={swabOf({})} act={() => undefined} />);
    fireEvent.change(seconds(), { target: { value: text } });
    expect(isOff('The shutter is open')).toBe(off);
  });

  it('begins with as much time as makes no haste, and from the moment it is pressed', () => {
    const act = vi.fn();
    const step = swabOf({});
    render(<StartExposure step={step} act={act} />);
    fireEvent.click(screen.getByRole('button', { name: 'The shutter is open' }));
    expect(act).toHaveBeenCalledWith({ type: 'exposure', step: step.id, at: NOW.toISOString(), seconds: 30 });
  });

  it.each([
    [2, 'Open. Work calmly.'],
    [13, 'Out now'],
    [16, 'Closed'],
  ])('%i s after it began says “%s”', (after, words) => {
    render(<RunningExposure exposure={{ at: new Date(NOW.getTime() - after * 1000).toISOString(), seconds: 15 }} />);
    expect(screen.getByRole('timer').textContent).toContain(words);
  });
});

describe('the dry run', () => {
  it('counts only when one is out in time', () => {
    const act = vi.fn();
    const step = swabOf({});
    render(<DryRun step={step} act={act} format="full-frame" />);
    fireEvent.change(seconds(), { target: { value: '15' } });
    fireEvent.click(screen.getByRole('button', { name: 'Start the dry run' }));
    vi.setSystemTime(NOW.getTime() + 15_500);
    fireEvent.click(screen.getByRole('button', { name: 'I am out' }));
    expect(act).not.toHaveBeenCalled();
    expect(screen.getByText(/It closed while you were inside/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Start the dry run' }));
    fireEvent.click(screen.getByRole('button', { name: 'I am out' }));
    expect(act).toHaveBeenCalledWith({ type: 'rehearsed', step: step.id });
  });
});
