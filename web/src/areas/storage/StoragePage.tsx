import { RibbonLegend } from '../../ui/ClimateRibbon';
import { ButtonLink, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import { useInSlices } from '../../ui/useInSlices';
import { concernsPlace, Duties, useAtHand } from '../schedule';
import { HowLongThere } from './HowLongThere';
import { PlaceCard } from './PlaceCard';
import { useOverview } from './queries';
import { airWords } from './words';

/** Every place as a ribbon of days, and what wants the keeper about them. */
export function StoragePage() {
  const overview = useOverview();
  const drawing = useInSlices(overview.isPending);
  const wants = useAtHand((d) => concernsPlace(d)) ?? [];
  if (drawing || overview.isPending) return <Loading />;
  if (overview.isError) return <Failure error={overview.error} onRetry={() => void overview.refetch()} />;
  const { places, outdoors, ribbonDays, longOwned } = overview.data;
  const ahead = outdoors?.forecast?.readings.slice(0, 24) ?? [];
  return (
    <Page
      title="Storage"
      sub="Is it safe, since when not, and what is the cheapest thing that fixes it."
      actions={
        <>
          {places.length > 0 && <ButtonLink to="/storage/homes">Where should it live?</ButtonLink>}
          <ButtonLink to="/warm-up">In from the cold</ButtonLink>
          <ButtonLink to="/hygrometers">Hygrometers</ButtonLink>
          <ButtonLink to="/storage/new" look={places.length === 0 ? 'filled' : 'plain'}>
            Add a place
          </ButtonLink>
        </>
      }
    >
      {places.length === 0 ? (
        <Empty title="Where do your things live?" action={<ButtonLink to="/storage/new">Add the first place</ButtonLink>}>
          A shelf, a cupboard, a box: say where, put a hygrometer beside it, and Bright Keeper reads it against fungus.
        </Empty>
      ) : (
        <div className="space-y-8">
          {wants.length > 0 && (
            <Section title="Wants you">
              <Duties duties={wants} />
            </Section>
          )}
          <HowLongThere longOwned={longOwned} />
          <Section title="Places" aside={`the last ${ribbonDays} days`}>
            {places.some((p) => p.ribbon.length > 0) && (
              <div className="mb-3">
                <RibbonLegend />
              </div>
            )}
            <ul className="space-y-3">
              {places.map((place) => (
                <PlaceCard key={place.id} place={place} span={ribbonDays} wants={wants.filter((d) => concernsPlace(d, place.id))} />
              ))}
            </ul>
          </Section>
          {outdoors?.latest && (
            <Section title="Outside">
              <p className="sheet p-4">
                {outdoors.name}: <span className="font-semibold">{airWords(outdoors.latest)}</span>
                {ahead.length > 0 && (
                  <span className="text-soft">
                    {' '}
                    · the next day between {Math.min(...ahead.map((r) => r.temperatureC)).toFixed(0)} and{' '}
                    {Math.max(...ahead.map((r) => r.temperatureC)).toFixed(0)} °C, up to{' '}
                    {Math.max(...ahead.map((r) => r.humidityPct)).toFixed(0)} %
                  </span>
                )}
              </p>
            </Section>
          )}
        </div>
      )}
    </Page>
  );
}
