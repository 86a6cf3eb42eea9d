import { DEW_BASIS } from '../../air/index.js';
import { localHour } from '../day.js';
import { isTicked } from '../journal.js';
import type { Due, DutyKind } from './duty.js';

/** Under an open night sky: the strap warms before the glass is as cold as the sky makes it. */
export const dewTonight: DutyKind = {
  about: 'outing',
  kinds: 'every',
  settledBy: { deed: 'tick' },
  name: 'The strap on before the dew',
  what: 'Fit the hood, switch the strap on, and cap what is not in use: keeping dew away takes watts, taking it off the hour.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 2,
  doneBy: 'mark',
  basis: DEW_BASIS,
};

/** While one is out there, where the station of the household foretells it for tonight. */
export const dewTonightDue: Due<'outing'> = {
  appliesTo: ({ isUnderSky, from, to }, { today }) => isUnderSky === true && from <= today && today <= to,
  dueFrom: (outing, { journal, facts, today }, code) => {
    const told = facts.hygrometers.find(({ outdoor, dewFrom }) => outdoor && dewFrom);
    const isDone = journal.of({ kind: 'outing', id: outing.id }).some((e) => e.day === today && isTicked(e.data, code));
    if (!told?.dewFrom || isDone) return [];
    return [
      {
        window: { earliest: today, due: today, latest: today },
        facts: { says: 'dew', by: told.name, fromHour: localHour(told.dewFrom, facts.timeZone) },
        part: today,
      },
    ];
  },
};
