import { Eye } from 'lucide-react';
import { NavLink } from 'react-router';
import { useOwnRole } from '../../api/useOwnRole';

/** On every page of one who may look and change nothing. */
export function ReadingOnly() {
  if (useOwnRole() !== 'reader') return null;
  return (
    <NavLink to="/settings/access" className="flex min-h-11 items-center gap-1.5 px-1 text-sm whitespace-nowrap text-lamp">
      <Eye size={20} aria-hidden="true" /> <span className="max-sm:sr-only">Reading only</span>
    </NavLink>
  );
}
