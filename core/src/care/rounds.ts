import { familyOf, surfaceFacts, type Family, type Surface } from './knowledge/surfaces.js';
import type { Step } from './types.js';

/** How the thing is held and opened while a surface is worked on. What lies in the camera has a set-up of its own, each. */
export type SetUp = 'outside' | 'at-the-mount' | 'glass' | 'loose-parts';

const OF_FAMILY: Record<Family, SetUp | null> = {
  shell: 'outside',
  display: 'glass',
  glass: 'glass',
  mount: 'at-the-mount',
  contacts: 'at-the-mount',
  cap: 'loose-parts',
  leather: 'outside',
  bellows: null,
  seal: null,
  thread: 'outside',
  cells: 'outside',
  bay: 'outside',
  blades: null,
  track: null,
  curtain: null,
  foam: null,
  sensor: null,
  mirror: null,
  matte: null,
  chamber: null,
  inner: null,
  bath: null,
};

/** The set-up of a surface; null where it is opened and blown by itself. */
export function setUpOf(surface: Surface): SetUp | null {
  if (familyOf(surface) === 'seal' && surfaceFacts(surface).nearOpening) return 'at-the-mount';
  const setUp = OF_FAMILY[familyOf(surface)];
  // A hot shoe has contacts like a mount, and lies outside like a shell.
  return setUp === 'at-the-mount' && !surfaceFacts(surface).nearOpening ? 'outside' : setUp;
}

/** Every caution of these steps, once each: a card that tells of several steps at once carries all of them. */
export const cautionsTogether = (steps: readonly Pick<Step, 'cautions'>[]): Step['cautions'] => [
  ...new Set(steps.flatMap((s) => s.cautions)),
];

/** Air that opens a surface and asks no more than how clean it is; grains are looked for one surface at a time. */
const opensWithAir = (step: Step): boolean =>
  step.method === 'blow' && step.pass === 1 && !step.completes && (step.look === null || step.look.asks === 'clean');

/**
 * The rounds of air of a plan: surfaces that follow each other in one set-up are blown in one go and looked at in
 * one go. Each round is the ids of the first steps it does; a surface alone is no round.
 */
export function roundsOf(steps: readonly Step[]): string[][] {
  const surfaces = [...new Set(steps.map((s) => s.surface))];
  const rounds: { setUp: SetUp | null; ids: string[] }[] = [];
  for (const surface of surfaces) {
    const first = steps.find((s) => s.surface === surface)!;
    const setUp = opensWithAir(first) ? setUpOf(surface) : null;
    const last = rounds.at(-1);
    if (setUp && last?.setUp === setUp) last.ids.push(first.id);
    else rounds.push({ setUp, ids: [first.id] });
  }
  return rounds.filter((r) => r.setUp !== null && r.ids.length > 1).map((r) => r.ids);
}
