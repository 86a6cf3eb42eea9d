import type { Health } from '@bright-keeper/contract';
import { Link } from 'react-router';
import { Notice } from '../../ui/parts';
import { fullInstant } from '../../ui/dates';
import { At } from '../../ui/when';
import { useZone } from '../../ui/zone';
import { useHealth } from './queries';

/** A clock that is wrong, or was: what is dated ahead of it counts for nothing until one is set right. */
function WrongClock({ now, datedAhead }: { now: string; datedAhead: string }) {
  const zone = useZone();
  return (
    <Notice tone="attention">
      This machine’s clock says {fullInstant(now, zone)}, but something here is dated {fullInstant(datedAhead, zone)}. One of the two is
      wrong. If the clock is, set it; if it was, what is dated ahead counts for nothing until that day.
    </Notice>
  );
}

/** When all this was last put in a safe place, a warning where that is too long ago, and whether the clock can be gone by. */
export function LastBackup() {
  const health = useHealth().data;
  if (!health) return null;
  const { now, clock, backup } = health;
  return (
    <div className="space-y-3">
      {clock.datedAhead && <WrongClock now={now} datedAhead={clock.datedAhead} />}
      {backup && <Standing {...backup} />}
    </div>
  );
}

function Standing({ lastAt, late, trouble }: NonNullable<Health['backup']>) {
  const when = lastAt ? (
    <>
      Last backup: <At instant={lastAt} />.
    </>
  ) : (
    'There is no backup yet.'
  );
  const link = (
    <Link to="/settings/data" className="link">
      Look after your data
    </Link>
  );
  if (late || trouble)
    return (
      <Notice tone="attention">
        {when} {trouble && <>The last try failed: {trouble}. </>}
        {link}
      </Notice>
    );
  return lastAt ? (
    <p className="text-sm text-soft">
      {when} {link}
    </p>
  ) : null;
}
