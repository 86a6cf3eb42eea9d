/** One rung of a ladder as one comes to it: how likely it is to do it, what it takes, and whether it touches. */
export type Rung = { odds: number; minutes: number; touches: number };
/** What a whole ladder is likely to take: one climbs only where the rung before did not do it. */
export type LadderAhead = { minutes: number; touches: number; comesOff: number };

/** Minutes and touches to be expected of a ladder, and how likely it is that the mark comes off on it. */
export function ladderAhead(rungs: readonly Rung[]): LadderAhead {
  let still = 1;
  const ahead = { minutes: 0, touches: 0 };
  for (const { odds, minutes, touches } of rungs) {
    ahead.minutes += still * minutes;
    ahead.touches += still * touches;
    still *= 1 - odds;
  }
  return { ...ahead, comesOff: 1 - still };
}

/** Up to which rung of a ladder it is worth to climb. `rungs` is how many of them, 0 for none; `worth` what is gained by it. */
export type WhenToStop = { rungs: number; worth: number };

/**
 * Where to stop on a ladder: from the top down, a rung is worth its wear where what may come off by it and by those above is
 * worth more than its touches. Backward induction over the rungs; the order of them is the planner's and is not touched.
 *
 * @param markCosts what the mark costs if it stays, in touches: how much wear one would give for a picture without it.
 */
export function whenToStop(rungs: readonly Rung[], markCosts: number): WhenToStop {
  let [best, worthAfter] = [0, 0];
  for (let i = rungs.length - 1; i >= 0; i--) {
    const { odds, touches } = rungs[i]!;
    const worth = odds * markCosts - touches + (1 - odds) * worthAfter;
    if (worth > 0) {
      best = worthAfter > 0 ? best : i + 1;
      worthAfter = worth;
    } else {
      worthAfter = 0;
      best = 0;
    }
  }
  return { rungs: best, worth: worthAfter };
}

/** What a mark costs if it stays, in touches, by how much of it there is (our choice): each grade twice the one before. */
export const markCosts = (severity: number): number => 2 ** severity;
