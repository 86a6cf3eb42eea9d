import { Link } from 'react-router';
import { ClimateRibbon, RibbonLegend } from '../../ui/ClimateRibbon';
import { Section } from '../../ui/parts';
import { useToday } from '../../ui/zone';
import { useOverview } from '../storage';
import { pctWords } from '../storage';

/** Each measured place as a ribbon. */
export function Ribbons() {
  const overview = useOverview();
  const today = useToday();
  const measured = (overview.data?.places ?? []).filter((p) => p.ribbon.length > 0);
  if (!overview.data || measured.length === 0) return null;
  return (
    <Section title="The air" aside={`${overview.data.ribbonDays} days`}>
      <ul className="sheet divide-y divide-line">
        {measured.map((place) => (
          <li key={place.id} className="px-4 py-2.5">
            <p className="mb-1 flex justify-between gap-2">
              <Link to={`/storage/${place.id}`} className="font-medium hover:underline">
                {place.name}
              </Link>
              {place.latest && <span className="text-sm font-semibold">{pctWords(place.latest.humidityPct)}</span>}
            </p>
            <ClimateRibbon days={place.ribbon} span={overview.data.ribbonDays} today={today} highPct={place.highPct} />
          </li>
        ))}
      </ul>
      <div className="mt-2">
        <RibbonLegend />
      </div>
    </Section>
  );
}
