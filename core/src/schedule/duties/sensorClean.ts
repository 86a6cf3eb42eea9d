import { commonPractice } from '../../care/knowledge/index.js';
import { addDays, localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';
import { around, openFor } from './recurring.js';

/** Specks wait: nothing grows on a sensor (our choice). */
const MAY_WAIT_DAYS = 28;
/** While one still knows what was done. */
const PROOF_DAYS = 14;
/** A forecast further out than this is none. */
const FARTHEST_DAYS = 365;

/** What the last test frame asks for: a clean, now or on the day by which so many will show that it is worth it; or after one the proof. */
export const sensorClean: DutyKind = {
  about: 'thing',
  kinds: ['slr-body', 'mirrorless-body'],
  settledBy: { deed: 'frame' },
  name: 'Sensor clean',
  what: 'What shows at the apertures in use: air first, a swab only for what air did not move.',
  gravity: 'routine',
  setUp: 'camera-open',
  minutes: 20,
  doneBy: 'frame',
  basis: commonPractice,
};

export const sensorCleanDue: Due<'thing'> = {
  appliesTo: ({ sensor, surfaces, status }) =>
    // Where a look has found the same, that asks for it.
    status === 'in-use' && sensor != null && !surfaces.some((s) => s.surface === 'sensor-cover' && s.verdict !== 'leave'),
  dueFrom: ({ id, sensor }, { journal, facts: { timeZone } }) => {
    if (!sensor) return [];
    const cleaned = journal.last({ kind: 'thing', id }, (d) => d.kind === 'clean' && 'sensor-cover' in d.outcomes);
    const { advice, shows, next } = sensor;
    const frameOn = localDay(sensor.frameAt, timeZone);
    // After a clean a new frame tells what is left.
    if (cleaned && cleaned.at > sensor.frameAt)
      return [
        { window: openFor(cleaned.day, PROOF_DAYS), minutes: 5, facts: { says: 'sensor', advice, shows, frameOn, cleanedOn: cleaned.day } },
      ];
    // What one cannot be sure of asks for another frame, not for a clean.
    if (advice === 'look-again') return [];
    if (advice !== 'leave') return [{ window: openFor(frameOn, MAY_WAIT_DAYS), facts: { says: 'sensor', advice, shows, frameOn } }];
    if (!next || next.likelyDays > FARTHEST_DAYS) return [];
    const likely = Math.round(next.likelyDays);
    return [
      {
        window: around(frameOn, likely, Math.max(7, Math.round(likely / 4))),
        facts: { says: 'sensor', advice, shows, frameOn },
        estimate: {
          from: addDays(frameOn, Math.round(next.earlyDays)),
          to: addDays(frameOn, Math.round(Math.min(next.lateDays, FARTHEST_DAYS))),
        },
      },
    ];
  },
};
