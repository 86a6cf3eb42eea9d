import { setUpMinutes, type Job, type Slot } from './problem.js';

/**
 * The fewest days that could hold these jobs, proven: within every span of days that holds some windows whole, there
 * must be days enough for their minutes, set-ups counted once for the whole span. Each such need is a count of days in
 * a run of consecutive ones, and a cover of runs is met with the fewest by taking the last free days of each, run by
 * run by their ends (rows of consecutive ones are totally unimodular: the greedy is optimal).
 *
 * @returns the slots of one such cover, which are also a good guess where the days should lie.
 */
export function fewestDays(slots: readonly Slot[], jobs: readonly Job[]): number[] {
  const chosen = new Array<boolean>(slots.length).fill(false);
  const longest = Math.max(0, ...slots.map((s) => s.minutes));
  const uniform = slots.every((s) => s.minutes === longest);
  const daysFor = (need: Need, start: number, end: number): number =>
    Math.max(1, need.halves, uniform ? Math.ceil(need.minutes / longest) : longestFirst(slots.slice(start, end + 1), need.minutes));
  const byLast = [...jobs].sort((a, b) => a.last - b.last);
  const closed: Job[] = [];
  for (let k = 0; k < byLast.length;) {
    const end = byLast[k]!.last;
    while (k < byLast.length && byLast[k]!.last === end) insertByFirst(closed, byLast[k++]!);
    // From the latest beginning backwards, each span takes in what the ones inside it asked for.
    const need: Need = { minutes: 0, halves: 0, setUps: new Set() };
    for (let i = 0; i < closed.length;) {
      const start = closed[i]!.first;
      while (i < closed.length && closed[i]!.first === start) grow(need, closed[i++]!, longest);
      takeLast(chosen, start, end, daysFor(need, start, end) - countChosen(chosen, start, end));
    }
  }
  return chosen.flatMap((taken, i) => (taken ? [i] : []));
}

/** What a span has to hold: minutes, and jobs that each fill more than half the longest day and so never share one. */
type Need = { minutes: number; halves: number; setUps: Set<string> };

function grow(need: Need, { minutes, setUp }: Job, longest: number): void {
  need.minutes += minutes;
  if (2 * minutes > longest) need.halves++;
  if (!setUp || need.setUps.has(setUp)) return;
  need.setUps.add(setUp);
  need.minutes += setUpMinutes(setUp);
}

/** Kept with the latest beginning first. */
function insertByFirst(sorted: Job[], job: Job): void {
  const at = sorted.findIndex((j) => j.first < job.first);
  sorted.splice(at < 0 ? sorted.length : at, 0, job);
}

const countChosen = (chosen: readonly boolean[], start: number, end: number): number => {
  let n = 0;
  for (let i = start; i <= end; i++) if (chosen[i]) n++;
  return n;
};

function takeLast(chosen: boolean[], start: number, end: number, lacking: number): void {
  for (let i = end, left = lacking; left > 0 && i >= start; i--) {
    if (chosen[i]) continue;
    chosen[i] = true;
    left--;
  }
}

/** How many days hold so many minutes at least, where the longest are taken. */
function longestFirst(slots: readonly Slot[], minutes: number): number {
  const rooms = slots.map((s) => s.minutes).sort((a, b) => b - a);
  let left = minutes;
  let days = 0;
  for (const room of rooms) {
    if (left <= 0) break;
    left -= room;
    days++;
  }
  return days;
}
