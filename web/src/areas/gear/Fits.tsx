import type { ItemPage } from '@bright-keeper/contract';
import { Link } from 'react-router';
import { Section } from '../../ui/parts';
import { FitLines, jointLinesOf, pairLines } from './fitLists';

/** What it goes on or what goes on it, and what is screwed before it; what fits nothing is said on the page of all. */
export function Fits({ item: { id, fit } }: { item: Pick<ItemPage, 'id' | 'fit'> }) {
  const threads = fit.threads.filter((pair) => pair.fit !== 'too-small');
  const lines = [
    ...jointLinesOf(id, fit.mounts),
    ...pairLines(
      threads.filter((p) => p.filter.id === id),
      'before',
    ),
    ...pairLines(
      threads.filter((p) => p.filter.id !== id),
      'filter',
    ),
  ];
  if (lines.length === 0) return null;
  return (
    <Section
      title="What it fits"
      aside={
        <Link className="underline" to="/gear/fit">
          What fits what
        </Link>
      }
    >
      <FitLines lines={lines} />
    </Section>
  );
}
