import {
  contextOf,
  gravity as verdictGravity,
  growthIsReachable,
  reachInside,
  type Verdict,
  verdictFor,
  withDefaults,
} from '../../care/index.js';
import { holds, natureOf, ourChoice, type SoilNature, type Surface } from '../../care/knowledge/index.js';
import type { SurfaceFacts, ThingFacts } from '../facts.js';
import type { Gravity } from '../gravity.js';
import type { SetUpId } from '../setUps.js';
import type { SettledBy } from '../settling.js';
import { earlier, localDay } from '../day.js';
import type { Context, Due, DutyKind } from './duty.js';
import { isLook, openFor } from './recurring.js';

type Asks = Exclude<Verdict, 'leave'>;

const severest = ({ findings }: SurfaceFacts): number => Math.max(0, ...findings.map((f) => f.severity));
const byGravity = (a: SurfaceFacts, b: SurfaceFacts): number =>
  verdictGravity(b.verdict) - verdictGravity(a.verdict) || severest(b) - severest(a);

/**
 * What each surface asks for as the world stands now: what lies apart asks to be cleaned, where a cloth reaches it, or
 * handed over; a filter that is off bars nothing any more; and what the keeper chose to live with rests until it changes.
 */
function askingNow(thing: ThingFacts, { journal }: Pick<Context, 'journal'>): SurfaceFacts[] {
  const accepted = acceptedOf(thing, journal);
  return thing.surfaces.flatMap((surface) => {
    const asks = asksNow(surface, thing);
    if (asks === 'leave' || (mayBeLivedWith(asks) && accepted.get(surface.surface) === findingsKey(surface.findings))) return [];
    return [{ ...surface, verdict: asks }];
  });
}

function asksNow({ surface, verdict, findings, because }: SurfaceFacts, { kind, traits, status }: ThingFacts): Verdict {
  if (verdict === 'wait' && because.reason === 'behind-stuck-filter')
    return verdictFor(
      findings.map((f) => ({ ...f, surface })),
      contextOf({ item: { kind, traits }, place: 'home' }),
    ).verdict;
  if (verdict !== 'isolate' || status !== 'quarantined') return verdict;
  if (findings.some((f) => f.severity > 0 && growthIsReachable(surface, f.soil))) return 'clean';
  const growth = findings.find((f) => f.severity > 0 && natureOf(f.soil) === 'growth');
  return growth && reachInside(surface, growth.soil, { kind, traits: withDefaults(kind, traits) }).by === 'owner' ? 'weigh' : 'hand-over';
}

/** What a workshop would take may be lived with, and what lies behind a ring; growth and a cut ring may not. */
export const MAY_BE_LIVED_WITH: readonly string[] = ['hand-over', 'weigh'] satisfies Verdict[];
const mayBeLivedWith = (asks: Verdict): boolean => MAY_BE_LIVED_WITH.includes(asks);

const findingsKey = (findings: SurfaceFacts['findings']): string =>
  findings
    .filter((f) => f.severity > 0)
    .map((f) => `${f.soil} ${f.severity}`)
    .sort()
    .join(', ');

/** What was found where, when the keeper last chose to live with it. */
function acceptedOf({ id }: ThingFacts, journal: Context['journal']): Map<Surface, string> {
  const entries = journal.of({ kind: 'thing', id });
  const chosen = entries.findLastIndex(
    (e) => e.data.kind === 'skipped' && MAY_BE_LIVED_WITH.includes(e.data.task) && e.data.reason === 'lived-with',
  );
  const known = new Map<Surface, string>();
  for (const { data } of entries.slice(0, chosen + 1))
    if (data.kind === 'look') for (const v of data.verdicts) known.set(v.surface, findingsKey(v.findings));
  return known;
}

const gravestOf = (surfaces: readonly SurfaceFacts[]): Verdict =>
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

export const weigh = need({
  name: 'Weigh opening it',
  what: 'It lies behind one ring: undo it, hand it to a workshop, or live with it.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 10,
  settledBy: { state: 'it was cleaned, is away, or you chose to live with it' },
  why: 'Haze and stiff threads worsen over seasons: a month is time to ask for a price.',
});

const WITHIN_DAYS: Record<Asks, number> = { isolate: 0, 'hand-over': 14, weigh: 28, replace: 7, wait: 1, clean: 28 };
const RESTLESS_DAYS = 2;

/** What the last look asks for: one duty for a thing, by the gravest of its surfaces. */
export const needDue = (verdict: Asks): Due<'thing'> => ({
  // Work that was begun goes on; it is not begun a second time.
  appliesTo: (thing, context) => !thing.open.some((o) => o.work === 'cleaning') && gravestOf(askingNow(thing, context)) === verdict,
  dueFrom: (thing, context) => {
    const { journal, facts } = context;
    const asking = askingNow(thing, context).sort(byGravity);
    const looked = journal.last({ kind: 'thing', id: thing.id }, isLook);
    const restless = asking.some(isRestless);
    const within = WITHIN_DAYS[verdict];
    // A look elsewhere does not give what was found here more time.
    const known = asking.flatMap((s) => (s.knownSince ? [localDay(s.knownSince, facts.timeZone)] : []));
    const since = known.length > 0 ? known.reduce(earlier) : (looked?.day ?? localDay(thing.addedAt, facts.timeZone));
    const window = openFor(since, restless ? Math.min(within, RESTLESS_DAYS) : within);
    // Salt and grains eat and grind on: they never slip for a routine look.
    const gravity = restless && verdict === 'clean' ? ('harms' as const) : null;
    const minutes = verdict === 'clean' ? thing.cleanMinutes : undefined;
    return [
      {
        window,
        facts: { says: 'need', verdict, surfaces: asking },
        ...(gravity ? { gravity } : {}),
        ...(minutes ? { minutes: Math.ceil(minutes) } : {}),
      },
    ];
  },
});
