import type { Cleaning, LookAnswer, LookDoc } from '@bright-keeper/contract';
import { type care, inspection } from '@bright-keeper/core';
import type { Kept, Waiting, WaitingCleaning, WaitingLook } from '../../kept';
import { useKept } from '../../api/useKept';
import { v4 as newId } from 'uuid';
import { outside } from '../../outside';

/** Which of two tellings stands. */
export type Side = 'here' | 'there';

/** What the household has of what it did not take. */
export const theirsOf = <Doc extends LookDoc | Cleaning>({ trouble }: Waiting): Doc | null => (trouble?.current as Doc | undefined) ?? null;

/** The surfaces of which the two say different things, each with both. */
export function differencesIn(waiting: WaitingLook): { surface: care.Surface; here: LookAnswer; there: LookAnswer }[] {
  const theirs = theirsOf<LookDoc>(waiting);
  if (!theirs) return [];
  const { differing } = inspection.seenTogether(waiting.base ?? [], waiting.look.answers, theirs.answers);
  const of = (answers: readonly LookAnswer[], surface: care.Surface) => answers.find((a) => a.surface === surface)!;
  return differing.map((surface) => ({ surface, here: of(waiting.look.answers, surface), there: of(theirs.answers, surface) }));
}

/** What stands after a person has chosen, surface by surface: on top of what the household has. */
export function chosenLook(waiting: WaitingLook, chosen: Partial<Record<care.Surface, Side>>): WaitingLook {
  const theirs = theirsOf<LookDoc>(waiting)!.answers;
  const { answers } = inspection.seenTogether(waiting.base ?? [], waiting.look.answers, theirs);
  const stands = answers.map((a) => (chosen[a.surface] === 'there' ? theirs.find((t) => t.surface === a.surface)! : a));
  return { ...waiting, look: { ...waiting.look, answers: stands }, base: theirs, trouble: null };
}

/** The same as one of its own, ended now where it was not: what the household has stays as it is. */
export function asItsOwn<W extends WaitingLook | WaitingCleaning>(waiting: W, now: Date): W {
  const id = newId();
  const endedMs = waiting.endedMs ?? now.getTime();
  const common = { ...waiting, id, base: null, endedMs, trouble: null };
  if (waiting.kind === 'look') {
    const theirs = theirsOf<LookDoc>(waiting)?.answers ?? [];
    const answers = waiting.look.answers.filter(
      (a) =>
        !inspection.saysTheSame(
          [a],
          theirs.filter((t) => t.surface === a.surface),
        ),
    );
    return { ...common, look: { ...waiting.look, id, answers } };
  }
  const { events } = waiting.cleaning;
  const isEnded = waiting.endedMs !== null;
  return { ...common, cleaning: { ...waiting.cleaning, id, events: isEnded ? events : [...events, { type: 'stop' as const }] } };
}

/** What a person may do about what the household did not take. */
export function useSettle() {
  const kept = useKept();
  const on = async (work: (kept: Kept) => Promise<unknown>): Promise<void> => {
    if (!kept) return;
    await work(kept);
    await kept.carry();
  };
  return {
    again: (waiting: Waiting) => on(({ room }) => room.keep({ ...waiting, trouble: null })),
    letGo: ({ id }: Waiting) => on(({ room }) => room.drop(id)),
    takeLook: (waiting: WaitingLook, chosen: Partial<Record<care.Surface, Side>>) =>
      on(({ room }) => room.keep(chosenLook(waiting, chosen))),
    takeCleaning: (waiting: WaitingCleaning) =>
      on(({ room }) => room.keep({ ...waiting, base: theirsOf<Cleaning>(waiting)!.events, trouble: null })),
    asItsOwn: (waiting: WaitingLook | WaitingCleaning) =>
      on(async ({ room }) => {
        await room.keep(asItsOwn(waiting, outside.now()));
        await room.drop(waiting.id);
      }),
  };
}
