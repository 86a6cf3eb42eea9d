import { describe, expect, it } from 'vitest';
import { ITEM_KINDS, surfacesOf } from '../care/kinds/index.js';
import { familyOf } from '../care/knowledge/index.js';
import { LIGHTS, shownBy } from './lights.js';

describe('what a light shows', () => {
  it('is the outside by day, the faces by a lamp, and what lies further in only by a torch through it (common practice)', () => {
    const lens = { zoomExtends: true };
    expect(shownBy('daylight', 'lens', lens)).toEqual(expect.arrayContaining(['barrel', 'zoom-ring']));
    expect(shownBy('daylight', 'lens', lens)).not.toContain('front-glass');
    expect(shownBy('lamp', 'lens', lens)).toEqual(expect.arrayContaining(['front-glass', 'rear-glass', 'barrel', 'lens-mount']));
    expect(shownBy('lamp', 'lens', lens)).not.toContain('inner-glass');
    expect(shownBy('torch', 'lens', lens)).toContain('inner-glass');
  });

  it.each(ITEM_KINDS)('of a %s: a stronger light shows all that a weaker one does, and none shows a sensor', (kind) => {
    const own = surfacesOf(kind);
    const shown = LIGHTS.map((light) => shownBy(light, kind));
    expect(shown[1]).toEqual(expect.arrayContaining(shown[0]!));
    expect(shown[2]).toEqual(expect.arrayContaining(shown[1]!));
    expect(shown[2]).toEqual(own.filter((surface) => familyOf(surface) !== 'sensor'));
  });
});
