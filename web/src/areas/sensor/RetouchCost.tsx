import type { ItemPage, Supply } from '@bright-keeper/contract';
import { type care, sensor, supplies } from '@bright-keeper/core';
import { money } from '@bright-keeper/words';
import { useState } from 'react';
import { planOfSpecks } from '../care';
import { useSettings } from '../settings';
import { useDrawer } from '../supplies';

/** What a shop asks for a wet clean, where the body does not say (common practice: 40 to 75). */
const SHOP = { from: 40, to: 75 } as const;

const ASKED = [
  { name: 'frames', label: 'Pictures a year at that aperture', most: 1_000_000 },
  { name: 'panoramas', label: 'and panoramas', most: 10_000 },
  { name: 'framesEach', label: 'of pictures each', most: 500 },
] as const satisfies { name: keyof sensor.YearOfPictures; label: string; most: number }[];

const minutes = (min: number): string =>
  min < 1 ? `${Math.round(min * 60)} s` : min < 90 ? `${Math.round(min)} min` : `${(min / 60).toFixed(1)} h`;

/** What the packs cost that something is taken from; null where it is not known of all. */
function packsFor(uses: readonly care.Use[], drawer: readonly Supply[]): number | null {
  const prices = uses.map(({ material }) => drawer.find((s) => s.thing === material)?.packPrice ?? null);
  return prices.length === 0 || prices.includes(null) ? null : prices.reduce<number>((sum, price) => sum + price!, 0);
}

/** After how many cleans of one's own the packs have paid for themselves; empty where that is not known, or never. */
function paidWords(totals: care.CleaningPlan['totals'], drawer: readonly Supply[], shop: number, currency: string): string {
  const kit = packsFor(totals.materials, drawer);
  if (kit === null) return '';
  const { paidAfter } = supplies.costPerClean({ perClean: totals.cost, kit, shop });
  if (paidAfter === null) return '';
  const after = paidAfter <= 1 ? 'the first clean' : `${paidAfter} cleans`;
  return ` At ${money(shop, currency)} the packs it takes from, ${money(kit, currency)} in all, have paid for themselves after ${after}.`;
}

/** What a clean costs here: by the plan from the drawer and by the body's own service price, as far as they are known. */
function CleanCost({ item, shows }: { item: ItemPage; shows: number }) {
  const settings = useSettings().data;
  const drawer = useDrawer().data;
  if (!settings || !drawer) return null;
  const of = { item, mySchools: settings.schools, drawer, sensorRehearsed: settings.sensorRehearsedOn !== null };
  const { totals } = planOfSpecks(of, shows);
  const own = money(totals.cost, settings.currency);
  const price = item.traits.servicePrice;
  const shop = price ? money(price, settings.currency) : `${SHOP.from} to ${money(SHOP.to, settings.currency)} (common practice)`;
  const paid = paidWords(totals, drawer.supplies, price ?? SHOP.from, settings.currency);
  return (
    <p className="mt-1 text-soft">
      {settings.schools.sensor === 'service'
        ? `Against that, a workshop’s clean: ${shop}.`
        : `Against that, a clean of one’s own: ${minutes(totals.minutes)} and ${own} if every step is needed; a workshop’s: ${shop}.${paid}`}
    </p>
  );
}

/** What taking the specks out of a year's pictures by hand costs, against a clean. */
export function RetouchCost({ item, shows }: { item: ItemPage; shows: number }) {
  const [year, setYear] = useState<sensor.YearOfPictures>({ frames: 200, panoramas: 0, framesEach: 8 });
  if (shows === 0) return null;
  const sure = (n: number): number => (Number.isFinite(n) && n > 0 ? n : 0);
  const { pictureMin, panoramaMin, yearHours } = sensor.retouch(shows, {
    frames: sure(year.frames),
    panoramas: sure(year.panoramas),
    framesEach: sure(year.framesEach),
  });
  return (
    <div className="text-sm">
      <div className="flex flex-wrap gap-x-3 gap-y-1">
        {ASKED.map(({ name, label, most }) => (
          <label key={name} className="flex items-center gap-2">
            {label}
            <input
              className="input w-24"
              type="number"
              min={0}
              max={most}
              value={Number.isNaN(year[name]) ? '' : year[name]}
              onChange={(e) => setYear({ ...year, [name]: e.target.valueAsNumber })}
            />
          </label>
        ))}
      </div>
      <p className="mt-1 text-soft">
        By hand, at {sensor.SECONDS_A_SPOT} s a speck: a picture {minutes(pictureMin)}, a panorama {minutes(panoramaMin)}, a year{' '}
        {minutes(yearHours * 60)}.
      </p>
      <CleanCost item={item} shows={shows} />
    </div>
  );
}
