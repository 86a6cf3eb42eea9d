import { ITEM_KINDS } from '../../care/kinds/index.js';
import type { DutyKind } from './duty.js';

/**
 * What a duty's record still lacks that types cannot see, in words for whoever adds one: no kind it is for, nothing that
 * could settle it, an action that does not lead to what settles it. Empty when it is whole. That something makes it due
 * at all, a test shows, which asks for a world in which it falls due.
 */
export function checkDuty(code: string, { name, what, kinds, settledBy, doneBy, minutes, about }: DutyKind): string[] {
  const bySeeing = 'seeing' in settledBy;
  const looks = ['look', 'frame', 'mark'];
  return [
    ...(name === '' || !/[.!?]$/.test(what) ? ['it wants a name, and a sentence that says what doing it means'] : []),
    ...(kinds !== 'every' && kinds.length === 0 ? ['it names no kind it is for: it never falls due'] : []),
    ...(kinds !== 'every' && kinds.some((k) => !ITEM_KINDS.includes(k)) ? ['it names a kind nobody knows'] : []),
    ...(kinds !== 'every' && about !== 'thing' ? ['only a duty about things is for some kinds of them'] : []),
    ...('state' in settledBy && settledBy.state === '' ? ['it wants words for the state of the world that settles it'] : []),
    ...(bySeeing && !looks.includes(doneBy) ? ['it is settled by seeing, but its action does not lead to a look'] : []),
    ...(minutes > 0 ? [] : ['minutes must be above 0']),
  ].map((fault) => `duty ${code}: ${fault}`);
}
