import { ourChoice } from '../../care/knowledge/index.js';
import type { Assessment } from '../../fungus/index.js';
import type { FungusThreat } from '../../storage/index.js';
import { localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';
import { openFor } from './recurring.js';

/** From here the mould index itself is the graver word. */
const NOTABLE_INDEX = 0.5;
/** Growth that is expected is acted on within days, a rising risk within the week (our choice). */
const WITHIN_DAYS: Record<FungusThreat, number> = { expected: 1, rising: 7, 'long-damp': 7, 'thin-log': 14 };

/** Only what the log does not tell makes it a warning. */
const isOnlyUnknown = ({ level, best }: Assessment): boolean => level === 'watch' && best.level === 'safe';

/** Rising now, the mark that a damp season has left, or a log too thin to tell. */
function threatOf(assessment: Assessment): FungusThreat {
  if (assessment.level === 'act') return 'expected';
  if (isOnlyUnknown(assessment)) return 'thin-log';
  const { byIndex, byDose } = assessment.daysToGrowth;
  return [byIndex, byDose].some((days) => days !== null && days > 0) ? 'rising' : 'long-damp';
}

export const fungus: DutyKind = {
  about: 'place',
  kinds: 'every',
  settledBy: { state: 'its air is dry enough' },
  name: 'Fungus risk',
  what: 'Make the place drier, or move what lies in it.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 10,
  doneBy: 'what-if',
  basis: ourChoice('Growth is expected from a mould index of 1; half of it, or the early warning, is worth a word.'),
};

export const fungusDue: Due<'place'> = {
  appliesTo: ({ assessment }) => assessment !== null && assessment.level !== 'safe',
  dueFrom: ({ id, assessment }, { facts, today }) => {
    const threat = threatOf(assessment!);
    const tells = threat === 'thin-log' ? 'gap' : assessment!.now.index >= NOTABLE_INDEX ? 'mould-index' : 'early-warning';
    const since = threat === 'thin-log' ? null : assessment!.since;
    return [
      {
        window: openFor(since ? localDay(since, facts.timeZone) : today, WITHIN_DAYS[threat]),
        ...(threat === 'expected' ? { gravity: 'spreads' as const } : {}),
        facts: {
          says: 'air',
          cause: 'fungus',
          threat,
          because: assessment!.reasons.find((r) => r.says === tells) ?? null,
          placeId: id,
          since,
        },
      },
    ];
  },
};
