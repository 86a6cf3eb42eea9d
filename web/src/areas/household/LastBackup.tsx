import { Link } from 'react-router';
import { Notice } from '../../ui/parts';
import { At } from '../../ui/when';
import { useHealth } from './queries';

/** When all this was last put in a safe place; a warning where that is too long ago. */
export function LastBackup() {
  const backup = useHealth().data?.backup;
  if (!backup) return null;
  const { lastAt, late, trouble } = backup;
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
