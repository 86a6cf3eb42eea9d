import { gravity as verdictGravity, type Verdict } from '../../care/index.js';
import { holds, natureOf, ourChoice, type SoilNature } from '../../care/knowledge/index.js';
import type { SurfaceFacts, ThingFacts } from '../facts.js';
import type { Gravity } from '../gravity.js';
import type { SetUpId } from '../setUps.js';
import type { SettledBy } from '../settling.js';
import { localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';
import { isLook, openFor } from './recurring.js';

type Asks = Exclude<Verdict, 'leave'>;

const severest = ({ findings }: SurfaceFacts): number => Math.max(0, ...findings.map((f) => f.severity));
const byGravity = (a: SurfaceFacts, b: SurfaceFacts): number =>
  verdictGravity(b.verdict) - verdictGravity(a.verdict) || severest(b) - severest(a);

const gravestOf = ({ surfaces }: ThingFacts): Verdict =>
  surfaces.reduce<Verdict>((worst, s) => (verdictGravity(s.verdict) > verdictGravity(worst) ? s.verdict : worst), 'leave');

/** Soils that eat, grind or grow for as long as they stay. */
const RESTLESS: readonly SoilNature[] = ['soluble', 'corrosion'];
const isRestless = ({ verdict, findings }: SurfaceFacts): boolean =>
  verdict === 'clean' && findings.some((f) => f.severity > 0 && (RESTLESS.includes(natureOf(f.soil)) || holds(f.soil, 'grains')));

type Sort = { name: string; what: string; gravity: Gravity; setUp: SetUpId; minutes: number; why: string; settledBy: SettledBy };

const need = ({ why, ...described }: Sort): DutyKind => ({
  about: 'thing',
  kinds: 'every',
  ...described,
  doneBy: 'plan',
  basis: ourChoice(why),
});

export const isolate = need({
  name: 'Isolate it',
  what: 'Keep it from everything else, and read its plan before anything touches it.',
  gravity: 'spreads',
  setUp: 'desk',
  minutes: 10,
  settledBy: { state: 'it lies apart' },
  why: 'Growth spreads to what lies beside it: that does not wait for a free evening.',
});
export const handOver = need({
  name: 'Hand it over',
  what: 'What is left is a workshop’s: read why, and send it.',
  gravity: 'harms',
  setUp: 'desk',
  minutes: 10,
  settledBy: { state: 'it is away, or you chose to live with it' },
  why: 'Two weeks is soon enough to send what nobody should touch at home.',
});
export const clean = need({
  name: 'Clean it',
  what: 'What was found asks for a clean: its plan says how far to go.',
  gravity: 'spoils',
  setUp: 'air',
  minutes: 15,
  settledBy: { state: 'nothing asks for a clean' },
  why: 'It shows in pictures and does no harm by itself: four weeks leave room for one good bench day.',
});

export const replace = need({
  name: 'Renew the part',
  what: 'What is worn keeps no water or light out: a new one goes in before it is used again.',
  gravity: 'harms',
  setUp: 'desk',
  minutes: 10,
  settledBy: { state: 'nothing worn was seen' },
  why: 'A worn ring floods at the next dive, a worn seal fogs the next film: a week leaves time to get a new one.',
});
export const wait = need({
  name: 'It waits',
  what: 'Fog clears, water dries, a stuck filter comes off: until then nothing else is done. Then look again.',
  gravity: 'harms',
  setUp: 'desk',
  minutes: 5,
  settledBy: { state: 'what it waited for has come' },
  why: 'Fog is gone within the hour and water eats within days: the next day tells.',
});

const WITHIN_DAYS: Record<Asks, number> = { isolate: 0, 'hand-over': 14, replace: 7, wait: 1, clean: 28 };
const RESTLESS_DAYS = 2;

/** What the last look asks for: one duty for a thing, by the gravest of its surfaces. */
export const needDue = (verdict: Asks): Due<'thing'> => ({
  // Work that was begun goes on; it is not begun a second time.
  appliesTo: (thing) => gravestOf(thing) === verdict && !thing.open.some((o) => o.work === 'cleaning'),
  dueFrom: (thing, { journal, facts }) => {
    const asking = thing.surfaces.filter((s) => s.verdict !== 'leave').sort(byGravity);
    const looked = journal.last({ kind: 'thing', id: thing.id }, isLook);
    const restless = asking.some(isRestless);
    const within = WITHIN_DAYS[verdict];
    const window = openFor(looked?.day ?? localDay(thing.addedAt, facts.timeZone), restless ? Math.min(within, RESTLESS_DAYS) : within);
    return [{ window, facts: { says: 'need', verdict, surfaces: asking }, ...(restless ? { gravity: 'worsens' as const } : {}) }];
  },
});
