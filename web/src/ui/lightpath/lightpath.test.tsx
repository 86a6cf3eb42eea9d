import { care } from '@bright-keeper/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { LightPath } from './LightPath';
import { surfaceLook } from './surfaceLook';

afterEach(cleanup);

describe('the section of a thing', () => {
  it('tells a surface’s state in words, and is tapped or pressed', () => {
    const onSelect = vi.fn();
    render(
      <LightPath
        kind="lens"
        traits={{}}
        states={[{ surface: 'front-glass', verdict: 'clean', findings: [{ soil: 'fingerprint', severity: 3 }] }]}
        onSelect={onSelect}
      />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'front glass: fingerprint, obvious' }));
    fireEvent.keyDown(screen.getByRole('button', { name: 'rear glass: not looked at' }), { key: 'Enter' });
    expect(onSelect.mock.calls).toEqual([['front-glass'], ['rear-glass']]);
  });

  it('is a picture, not a row of buttons, where nothing can be chosen', () => {
    render(<LightPath kind="filter" traits={{}} states={[]} />);
    expect(screen.queryAllByRole('button')).toEqual([]);
    expect(screen.getAllByRole('img').length).toBe(care.surfacesOf('filter').length);
  });
});

describe('how a surface is painted', () => {
  it.each([
    [undefined, 'unknown', null],
    [{ surface: 'front-glass', verdict: 'leave', findings: [] }, 'good', null],
    [{ surface: 'front-glass', verdict: 'leave', findings: [{ soil: 'dust', severity: 1 }] }, 'good', 'specks'],
    [
      {
        surface: 'front-glass',
        verdict: 'clean',
        findings: [
          { soil: 'dust', severity: 1 },
          { soil: 'fingerprint', severity: 3 },
        ],
      },
      'attention',
      'whorl',
    ],
    [{ surface: 'inner-glass', verdict: 'isolate', findings: [{ soil: 'fungus', severity: 2 }] }, 'act', 'threads'],
  ] as const)('%j is toned %s with the pattern %s', (known, tone, pattern) => {
    expect(surfaceLook('front-glass', known as never)).toMatchObject({ tone, pattern });
  });
});
