import type { PlaceSummary } from '@bright-keeper/contract';
import { storage, type schedule } from '@bright-keeper/core';
import { Link } from 'react-router';
import { ClimateRibbon } from '../../ui/ClimateRibbon';
import { At } from '../../ui/when';
import { useToday } from '../../ui/zone';
import { StandingChip } from './StandingChip';
import { airWords, wantsWords, zoneName } from './words';

/** What of the gel is left and until when, in a line. */
export function GelLine({ gel }: { gel: NonNullable<PlaceSummary['gel']> }) {
  return (
    <>
      {gel.massG} g of {storage.DESICCANTS[gel.kind].name}: {Math.round(gel.left * 100)} % left,{' '}
      {gel.spentOn ? (
        <>
          spent <At instant={gel.spentOn} />
        </>
      ) : (
        'not spent within a year'
      )}
    </>
  );
}

/** A place in the list: its ribbon, what it says now, and how it is. */
export function PlaceCard({ place, span, wants }: { place: PlaceSummary; span: number; wants: readonly schedule.Duty[] }) {
  const today = useToday();
  return (
    <li className="sheet p-4">
      <div className="mb-2 flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <Link to={`/storage/${place.id}`} className="text-lg font-semibold hover:underline">
          {place.name}
        </Link>
        <StandingChip standing={place.standing} />
        <span className="text-soft">
          {storage.placeFacts(place.kind).name} · {place.things} {place.things === 1 ? 'thing' : 'things'}
        </span>
        <span className="ml-auto font-semibold">
          {place.latest ? (
            <>
              {airWords(place.latest)} <span className="text-sm font-normal text-soft">{place.zone && zoneName(place.zone)}</span>
            </>
          ) : (
            <span className="text-sm font-normal text-soft">no hygrometer</span>
          )}
        </span>
      </div>
      {place.ribbon.length > 0 && <ClimateRibbon days={place.ribbon} span={span} today={today} highPct={place.highPct} />}
      <p className="mt-2 text-sm text-soft">
        {place.latest && (
          <>
            Last heard <At instant={place.latest.at} />.{' '}
          </>
        )}
        {place.gel && (
          <>
            <GelLine gel={place.gel} />.{' '}
          </>
        )}
        {wantsWords(wants)}
      </p>
    </li>
  );
}
