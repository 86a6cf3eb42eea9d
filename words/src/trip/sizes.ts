import type { trip } from '@bright-keeper/core';
import { inWords } from '../text.js';

const sizeWords = ({ sizeMm, covers }: trip.CapSize): string => {
  const rings = covers.filter(({ byRing }) => byRing).map(({ threadMm }) => `${threadMm}`);
  return rings.length > 0 ? `${sizeMm} mm (by a ring on ${inWords(rings)} mm as well)` : `${sizeMm} mm`;
};

/** With which spare front caps every thread can be closed: those that are there, and the fewest there should be besides. */
export function capSizesWords(sizes: readonly trip.CapSize[]): string {
  const [has, wants] = [sizes.filter((s) => s.owned), sizes.filter((s) => !s.owned)];
  const had = has.length > 0 ? `Spare front caps that are there: ${inWords(has.map(sizeWords))}.` : '';
  const wanted =
    wants.length > 0
      ? `So that every thread can be closed, the fewest ${has.length > 0 ? 'more' : 'spare front caps'}: ${inWords(wants.map(sizeWords))}.`
      : 'They close every thread.';
  return [had, wanted].filter(Boolean).join(' ');
}

/** What spare caps have to fit, of what comes along; each a line of its own. */
export function sizesAlongWords({ caps, rearCaps, bodyCaps }: trip.SizesAlong): string[] {
  return [
    ...(caps.length > 0
      ? [`Spare front caps: ${inWords(caps.map((cap) => `${sizeWords(cap)}${cap.owned ? ', which is there' : ''}`))}.`]
      : []),
    ...(rearCaps.length > 0 ? [`A spare rear cap for ${inWords(rearCaps)}.`] : []),
    ...(bodyCaps.length > 0 ? [`A body cap for ${inWords(bodyCaps)}.`] : []),
  ];
}
