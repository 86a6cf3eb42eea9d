import { routes, type ItemExposure } from '@bright-keeper/contract';
import { fungus } from '@bright-keeper/core';
import { assessWords, homeWords } from '@bright-keeper/words';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { http } from '../../api/http';
import { keys } from '../../api/keys';
import { Failure, Section } from '../../ui/parts';
import { At } from '../../ui/when';
import { StandingChip } from '../storage';

const useExposure = (id: string) =>
  useQuery({ queryKey: keys.exposure(id), queryFn: () => http.get<ItemExposure>(routes.itemExposure(id)) });

/** Exposure over all its stays, and the home that would suit it. */
export function Exposure({ itemId }: { itemId: string }) {
  const exposure = useExposure(itemId);
  if (exposure.isError) return <Failure error={exposure.error} onRetry={() => void exposure.refetch()} />;
  if (!exposure.data) return null;
  const { assessment, standing, surfaceState, measuredDays, keptDays, home, sick } = exposure.data;
  if (!assessment && !home && !sick) return null;
  return (
    <Section title="Fungus exposure" aside={`as ${fungus.SURFACE_STATES[surfaceState].name}`}>
      <div className="sheet space-y-2 p-4">
        {assessment ? (
          <>
            <p>
              <StandingChip standing={standing} />{' '}
              {assessment.since && (standing.says === 'watch' || standing.says === 'act') && (
                <span className="text-soft">
                  since <At instant={assessment.since} />
                </span>
              )}
            </p>
            <ul className="space-y-1 text-sm text-soft">
              {assessment.reasons.map((r) => (
                <li key={r.says}>{assessWords(r)}</li>
              ))}
              <li>
                Measured {Math.round(measuredDays)} of the {Math.round(keptDays)} days it has been kept.
              </li>
            </ul>
          </>
        ) : (
          <p className="text-soft">No place it lay in was ever measured.</p>
        )}
        {sick && home && !home.place && (
          <p className="border-t border-line pt-2 text-sm">
            It lives alone until it has been clean for twelve weeks, and none of your places is empty: a zip bag with a sachet, apart from
            the rest.
          </p>
        )}
        {home?.place && !home.stays && (
          <p className="border-t border-line pt-2 text-sm">
            A good home:{' '}
            <Link className="font-medium underline" to={`/storage/${home.place.id}`}>
              {home.place.name}
            </Link>
            . {home.reasons.slice(0, 2).map(homeWords).join(' ')}
          </p>
        )}
      </div>
    </Section>
  );
}
