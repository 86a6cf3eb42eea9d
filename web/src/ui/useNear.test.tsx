import { act, cleanup, render, screen } from '@testing-library/react';
import { useRef } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { useNear } from './useNear';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function Chart() {
  const place = useRef<HTMLDivElement>(null);
  const near = useNear(place);
  return <div ref={place}>{near ? 'drawn' : 'not yet'}</div>;
}

describe('what is large', () => {
  it('waits until it is near, and stays once it was', () => {
    let seen: (entries: { isIntersecting: boolean }[]) => void = () => {};
    const disconnect = vi.fn();
    vi.stubGlobal(
      'IntersectionObserver',
      class {
        constructor(callback: typeof seen) {
          seen = callback;
        }
        observe(): void {}
        disconnect = disconnect;
      },
    );
    render(<Chart />);
    expect(screen.getByText('not yet')).toBeTruthy();
    act(() => seen([{ isIntersecting: false }]));
    expect(screen.getByText('not yet')).toBeTruthy();
    act(() => seen([{ isIntersecting: true }]));
    expect(screen.getByText('drawn')).toBeTruthy();
    expect(disconnect).toHaveBeenCalled();
  });

  it('is drawn at once where nobody can tell', () => {
    render(<Chart />);
    expect(screen.getByText('drawn')).toBeTruthy();
  });
});
