import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { filtersBefore, jointsOf, onNothing, threadsOf, type FilterFit, type Fitting } from './fit.js';
import type { Particulars } from './particulars.js';

const thing = (id: string, kind: Fitting['kind'], particulars: Particulars): Fitting => ({ id, kind, particulars });

/**
 * A bench of mounts put together by hand (common practice): screw mount 42 × 1 and the 42 × 0.75 thread of telescopes,
 * eyepiece barrels of 1.25 and 2 inches, and two bayonets that are made up.
 */
const SHELF: Fitting[] = [
  thing('screw lens', 'lens', { mount: 'M42x1' }),
  thing('arc lens', 'lens', { mount: 'Arc' }),
  thing('bow lens', 'lens', { mount: 'bow' }),
  thing('arc body', 'mirrorless-body', { takesMount: 'ARC' }),
  thing('bow body', 'slr-body', { takesMount: 'Bow ' }),
  thing('screw body', 'film-camera', { takesMount: 'M 42 × 1'.replace('×', 'x') }),
  thing('screw to bow', 'accessory', { mount: 'Bow', takesMount: 'M42x1' }),
  thing('bow to arc', 'accessory', { mount: 'Arc', takesMount: 'Bow' }),
  thing('bow converter', 'teleconverter', { mount: 'Bow', takesMount: 'Bow' }),
  thing('wide eyepiece', 'eyepiece', { mount: '1.25″' }),
  thing('large eyepiece', 'eyepiece', { mount: '2″' }),
  thing('telescope', 'refractor', { takesMount: '2″' }),
  thing('reducer', 'accessory', { mount: '2″', takesMount: '1.25″' }),
  thing('no word', 'lens', {}),
];
const joints = (id: string) =>
  Object.fromEntries(
    jointsOf(SHELF)
      .filter((joint) => joint.thing === id)
      .map((joint) => [joint.on, joint.through]),
  );

describe('what goes on what', () => {
  it.each<[string, Record<string, string[]>]>([
    ['arc lens', { 'arc body': [] }],
    ['bow lens', { 'bow body': [], 'arc body': ['bow to arc'] }],
    ['screw lens', { 'screw body': [], 'bow body': ['screw to bow'], 'arc body': ['screw to bow', 'bow to arc'] }],
    ['wide eyepiece', { telescope: ['reducer'] }],
    ['large eyepiece', { telescope: [] }],
    ['no word', {}],
    ['bow converter', {}],
    ['arc body', {}],
  ])('%s', (id, wanted) => expect(joints(id)).toEqual(wanted));

  it('names what goes on nothing here, and of a mount of mere signs nothing', () => {
    const shelf = [...SHELF, thing('stray', 'lens', { mount: 'Quill' }), thing('dash', 'lens', { mount: '–' })];
    expect(onNothing(SHELF)).toEqual([]);
    expect(onNothing(shelf)).toEqual(['stray']);
  });

  it('puts nothing between twice, and as little as there is: whatever lies on the shelf', () => {
    const mounts = fc.constantFrom('a', 'b', 'c', 'd');
    const piece = fc.record({ mount: mounts, takesMount: mounts });
    fc.assert(
      fc.property(mounts, mounts, fc.array(piece, { maxLength: 6 }), (lens, body, pieces) => {
        const shelf = [
          thing('lens', 'lens', { mount: lens }),
          thing('body', 'slr-body', { takesMount: body }),
          ...pieces.map((p, i) => thing(`p${i}`, 'accessory', p)),
        ];
        const [joint] = jointsOf(shelf);
        // By hand: none, one or two between.
        const one = pieces.some((p) => p.takesMount === lens && p.mount === body);
        const two = pieces.some((p, i) =>
          pieces.some((q, j) => i !== j && p.takesMount === lens && q.takesMount === p.mount && q.mount === body),
        );
        const fewest = lens === body ? 0 : one ? 1 : two ? 2 : null;
        expect(joint?.through.length ?? null).toBe(fewest);
        expect(new Set(joint?.through).size).toBe(joint?.through.length ?? 0);
      }),
    );
  });
});

describe('filters before lenses', () => {
  const shelf = [
    thing('small', 'lens', { threadMm: 49 }),
    thing('middle', 'lens', { threadMm: 52 }),
    thing('large', 'lens', { threadMm: 77 }),
    thing('polariser', 'filter', { threadMm: 77 }),
    thing('grey', 'filter', { threadMm: 52 }),
    thing('ring', 'accessory', { threadMm: 52, takesThreadMm: 67 }),
    thing('ring too', 'accessory', { threadMm: 67, takesThreadMm: 77 }),
    thing('down', 'accessory', { threadMm: 77, takesThreadMm: 52 }),
    thing('a cap', 'accessory', { threadMm: 77 }),
    thing('no word', 'lens', {}),
  ];
  it.each<[string, string, FilterFit, string[]]>([
    ['large', 'polariser', 'direct', []],
    ['middle', 'polariser', 'by-rings', ['ring', 'ring too']],
    ['small', 'polariser', 'ring-missing', []],
    ['middle', 'grey', 'direct', []],
    ['small', 'grey', 'ring-missing', []],
    ['large', 'grey', 'too-small', []],
  ])('before the %s one the %s: %s', (before, filter, fit, rings) => {
    expect(filtersBefore(shelf).find((s) => s.before === before && s.filter === filter)).toEqual({ before, filter, fit, rings });
  });
  it('tells of one thing the pairs it has a part in, and of a ring those it stands between', () => {
    const parts = (of: string) => filtersBefore(shelf, of).map((s) => `${s.filter} ${s.before}`);
    expect(parts('small')).toEqual(['polariser small', 'grey small']);
    expect(parts('grey')).toEqual(['grey small', 'grey middle', 'grey large']);
    expect(parts('ring too')).toEqual(['polariser middle']);
    expect(parts('a cap')).toEqual([]);
  });
  it('asks for each pair once, and for nothing without a thread', () => expect(filtersBefore(shelf)).toHaveLength(6));
  it('tells its threads, filters and rings for whoever buys rings', () => {
    expect(threadsOf(shelf)).toEqual({
      threads: [49, 52, 77],
      filters: [52, 77],
      rings: [
        { from: 52, to: 67 },
        { from: 67, to: 77 },
        { from: 77, to: 52 },
      ],
    });
  });
});
