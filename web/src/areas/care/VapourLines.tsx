import { care } from '@bright-keeper/core';
import { vapourLine } from '@bright-keeper/words';
import { Link } from 'react-router';
import { vapourPage } from './vapourView';

/** What goes into the air of the room, a line for each solvent; each leads to the sum for one's own room. */
export const VapourLines = ({ uses }: { uses: readonly care.Use[] }) =>
  care.solventsIn(uses).map(({ solvent, mL }) => (
    <p key={solvent} className="text-sm text-soft">
      {vapourLine(solvent, mL)}{' '}
      <Link className="underline" to={vapourPage(solvent, mL)}>
        In my room
      </Link>
    </p>
  ));
