import { care } from '@bright-keeper/core';
import { ShieldAlert } from 'lucide-react';
import { useNavigate, useParams } from 'react-router';
import { Failure, Loading, Page } from '../../ui/parts';
import { useItem, useUpdateItem } from '../gear';
import { BigButton } from './BigButton';
import { useChoices, withChoice } from '../../ui/choices';
import { placeFrom } from './planChoices';
import { Toggle } from './Toggle';

/** What was tried already stands in the address, so that a reload goes on where one stood. */
const triedFrom = (params: URLSearchParams): care.FilterWayId[] =>
  care.FILTER_WAYS.map((w) => w.id).filter((id) => (params.get('tried') ?? '').split(',').includes(id));

/** A stuck filter, gentlest way first, one at a time. */
export function StuckFilterPage() {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const [params, setParams] = useChoices();
  const item = useItem(id);
  const update = useUpdateItem(id);
  if (item.isPending) return <Loading />;
  if (item.isError) return <Failure error={item.error} onRetry={() => void item.refetch()} />;
  const place = placeFrom(params);
  const tried = triedFrom(params);
  const way = care.nextFilterWay(tried, place);
  const { name, kind, traits, notes, acquiredOn, version } = item.data;
  const remember = (filterStuck: boolean) =>
    update.mutate(
      { name, kind, traits: { ...traits, filterStuck }, notes, acquiredOn, version },
      { onSuccess: () => void navigate(`/gear/${id}`) },
    );
  return (
    <Page title={<>Stuck filter: {name}</>} sub="Grip before force, and force on the filter’s rim alone.">
      <div className="mb-4 flex gap-2" role="group" aria-label="Where">
        <Toggle on={place === 'home'} onChange={() => setParams(withChoice(params, 'place', null), { replace: true })}>
          At home
        </Toggle>
        <Toggle on={place === 'field'} onChange={() => setParams(withChoice(params, 'place', 'field'), { replace: true })}>
          In the field
        </Toggle>
      </div>
      {update.error && <Failure error={update.error} />}
      <div className="sheet max-w-3xl space-y-5 p-5">
        {way ? (
          <>
            <p className="text-soft">
              {tried.length + 1} of {care.FILTER_WAYS.length}, gentlest first
            </p>
            <h2 className="text-xl font-semibold">{way.name}</h2>
            <p className="text-lg">{way.how}</p>
            {way.caution && (
              <p className="flex gap-3 rounded bg-act-tint px-4 py-2">
                <ShieldAlert size={20} className="mt-0.5 shrink-0 text-act" aria-hidden="true" /> {way.caution}
              </p>
            )}
            <div className="grid grid-cols-2 gap-2">
              <BigButton filled disabled={update.isPending} onClick={() => remember(false)}>
                It came off
              </BigButton>
              <BigButton onClick={() => setParams(withChoice(params, 'tried', [...tried, way.id].join(',')))}>Still stuck</BigButton>
            </div>
          </>
        ) : (
          <>
            <h2 className="text-xl font-semibold">{place === 'field' ? 'Shoot with it on' : 'A workshop’s job'}</h2>
            <p className="text-lg">
              {place === 'field'
                ? 'Nothing more out here. At home a rubber cup or a filter wrench comes next.'
                : 'Nothing gentle is left. A workshop saws the ring; the thread of the lens is worth more than the filter.'}
            </p>
            <BigButton filled disabled={update.isPending} onClick={() => remember(true)}>
              Note that it is stuck
            </BigButton>
          </>
        )}
      </div>
    </Page>
  );
}
