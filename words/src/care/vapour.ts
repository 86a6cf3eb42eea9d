import { care } from '@bright-keeper/core';

/** Two figures, as far as a balance of a room is worth. */
function figure(value: number): number {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(value)) - 1);
  return Math.round(value / step) * step;
}
const ppm = (value: number): string => (value < 1 ? 'less than 1 ppm' : `about ${figure(value)} ppm`);
function amount(mL: number): string {
  const digits = mL < 0.1 ? 2 : mL < 10 ? 1 : 0;
  return `${Number(Math.max(mL, 0.01).toFixed(digits))} mL`;
}

/** What a step or a plan puts into the air of a small shut room, against what is allowed over a quarter of an hour; one sentence. */
export function vapourLine(solvent: care.Solvent, mL: number): string {
  const { atOncePpm } = care.vapourIn({ solvent, mL, ...care.USUAL_ROOM });
  const most = atOncePpm < 1 ? 'less than 1 ppm' : `at most ${figure(atOncePpm)} ppm`;
  return `Its ${amount(mL)}, counted as ${care.solventFacts(solvent).name}, gives ${most} in a small shut room (${care.USUAL_ROOM.roomM3} m³); the limit over a quarter of an hour is ${care.quarterLimitPpm(solvent)} ppm.`;
}

const VERDICT: Record<care.VapourVerdict, { title: string; does: string }> = {
  within: { title: 'Within the limits', does: 'Nearer to the bottle it is more: keep the bottle shut and a window open.' },
  day: {
    title: 'Above the limit of a working day',
    does: 'Open the window before the bottle, do it in portions, and do not stay in it all day.',
  },
  quarter: {
    title: 'Above the limit of a quarter of an hour',
    does: 'Not in this room as it is: less of it, a larger room, or outdoors. Spilled, open the window, leave, and wipe it up with gloves once it is aired.',
  },
  danger: {
    title: 'Dangerous at once',
    does: 'Never in this room. Spilled, no flame and no switch: leave it, open what can be opened from outside, and ask for trained help.',
  },
};

export const vapourVerdictWords = (verdict: care.VapourVerdict): { title: string; does: string } => VERDICT[verdict];

/** What is in the air of a room, and what may be. */
export function vapourWords(solvent: care.Solvent, { atOncePpm, quarterPpm, dayPpm }: care.VapourInRoom): string[] {
  const { dayPpm: day, quarterPpm: quarter, dangerPpm } = care.solventFacts(solvent);
  return [
    `All of it in the air at once: ${ppm(atOncePpm)}; from ${dangerPpm} ppm on it is dangerous at once.`,
    `Over the first quarter of an hour: ${ppm(quarterPpm)}; the limit is ${care.quarterLimitPpm(solvent)} ppm${quarter === null ? ' (three times that of a day, where none is named)' : ''}.`,
    `Over eight hours: ${ppm(dayPpm)}; the limit is ${day} ppm.`,
  ];
}
