import { gravity as verdictGravity, type Verdict } from '../../care/index.js';
import { ourChoice, type Soil } from '../../care/knowledge/index.js';
import type { SurfaceFacts, ThingFacts } from '../facts.js';
import type { Gravity } from '../gravity.js';
import type { SetUpId } from '../setUps.js';
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
const RESTLESS: readonly Soil[] = ['salt', 'grit', 'corrosion'];
const isRestless = ({ verdict, findings }: SurfaceFacts): boolean =>
  verdict === 'clean' && findings.some((f) => f.severity > 0 && RESTLESS.includes(f.soil));

type Sort = { name: string; what: string; gravity: Gravity; setUp: SetUpId; minutes: number; why: string };

const need = ({ why, ...described }: Sort): DutyKind => ({ about: 'thing', ...described, doneBy: 'plan', basis: ourChoice(why) });

export const isolate = need({
  name: 'Isolate it',
  what: 'Keep it from everything else, and read its plan before anything touches it.',
  gravity: 'spreads',
  setUp: 'desk',
  minutes: 10,
  why: 'Growth spreads to what lies beside it: that does not wait for a free evening.',
});
export const handOver = need({
  name: 'Hand it over',
  what: 'What is left is a workshop’s: read why, and send it.',
  gravity: 'harms',
  setUp: 'desk',
  minutes: 10,
  why: 'Two weeks is soon enough to send what nobody should touch at home.',
});
export const clean = need({
  name: 'Clean it',
  what: 'What was found asks for a clean: its plan says how far to go.',
  gravity: 'spoils',
  setUp: 'air',
  minutes: 15,
  why: 'It shows in pictures and does no harm by itself: four weeks leave room for one good bench day.',
});

const WITHIN_DAYS: Record<Asks, number> = { isolate: 0, 'hand-over': 14, clean: 28 };
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
