import type { Drawer, Place, ShelfItem } from '@bright-keeper/contract';
import { care, gear } from '@bright-keeper/core';
import { capital } from '@bright-keeper/words';

/** One of the things that were found, and where it leads. */
export type Found = { key: string; to: string; name: string; aside: string };
export type FoundGroup = { title: string; found: Found[] };

/** Pages by what they are called and what one would look for. */
const PAGES: readonly { to: string; name: string; words: string }[] = [
  { to: '/', name: 'Today', words: 'due duties now' },
  { to: '/gear', name: 'Gear', words: 'shelf inventory things' },
  { to: '/gear/new', name: 'Add a thing', words: 'new lens body' },
  { to: '/gear/import', name: 'Import a list', words: 'csv xlsx ods spreadsheet' },
  { to: '/gear/inventory', name: 'Print the inventory', words: 'insurer insurance value pdf' },
  { to: '/gear/labels', name: 'Labels', words: 'qr code sticker print' },
  { to: '/gear/fit', name: 'What fits what', words: 'mount thread adapter step ring cap hood' },
  { to: '/clean', name: 'Clean', words: 'bench plan' },
  { to: '/diagnose', name: 'Where is the dirt?', words: 'spots picture' },
  { to: '/field', name: 'In the field', words: 'outdoors sand spray rain' },
  { to: '/vapour', name: 'Vapour in the room', words: 'ppm solvent methanol alcohol acetone spilled limit' },
  { to: '/warm-up', name: 'In from the cold', words: 'warm wait condensation' },
  { to: '/dew', name: 'Dew tonight', words: 'heater strap' },
  { to: '/outings/shut-in', name: 'Shut in', words: 'port housing fog under water bag sun heat car hot sachet' },
  { to: '/causes', name: 'How did it get dirty?', words: 'why cause dust comes from outing place' },
  { to: '/practice', name: 'Practice', words: 'train learn quiz exercise sensor rehearse' },
  { to: '/report', name: 'Condition report', words: 'sell buyer insurer sign state of' },
  { to: '/report/check', name: 'Check a report', words: 'signature edited forged verify' },
  { to: '/costs', name: 'What care took', words: 'cost time money spent used up' },
  { to: '/offer', name: 'Worth buying?', words: 'fungus price offer' },
  { to: '/storage', name: 'Storage', words: 'humidity damp places' },
  { to: '/storage/homes', name: 'Where everything lives best', words: 'homes' },
  { to: '/calendar/week', name: 'The week', words: 'agenda' },
  { to: '/calendar/others', name: 'Other calendars', words: 'busy ics feed' },
  { to: '/hygrometers', name: 'Hygrometers', words: 'salt test log readings' },
  { to: '/calendar', name: 'Calendar', words: 'agenda bench days week' },
  { to: '/calendar/rhythms', name: 'Rhythms', words: 'how often interval' },
  { to: '/outings', name: 'Outings', words: 'trip journey' },
  { to: '/outings/pack', name: 'Pack for it', words: 'kit bag' },
  { to: '/outings/lens-change', name: 'Change a lens out there', words: 'wind rain' },
  { to: '/outings/pictures', name: 'Outings from pictures', words: 'exif photographs' },
  { to: '/supplies', name: 'Supplies', words: 'drawer fluid cloth wipes' },
  { to: '/handbook', name: 'Handbook', words: 'how to method soil' },
  { to: '/settings', name: 'Settings', words: 'schools currency zone' },
  { to: '/settings/data', name: 'Data and backups', words: 'export restore move' },
  { to: '/settings/data/trail', name: 'Who changed what', words: 'trail log' },
  { to: '/settings/alarms', name: 'Alarms', words: 'mail webhook notify quiet hours' },
  { to: '/settings/access', name: 'Access', words: 'phone network passphrase pair' },
];

/** Every word of what is asked stands somewhere in it, in any order. */
export function says(text: string, asked: string): boolean {
  const low = text.toLowerCase();
  return asked
    .toLowerCase()
    .split(/\s+/)
    .every((word) => low.includes(word));
}

/** Whether a thing is found by a text where the household cannot be asked: by its name, what was told of it, or where it lies. */
export const isFoundBy = ({ name, notes, particulars, place }: ShelfItem, text: string): boolean =>
  says([name, notes, ...gear.wordsTold(particulars), place?.name ?? ''].join(' '), text);

const MOST_OF_A_SORT = 6;
type Known = { things: readonly ShelfItem[]; places: readonly Place[]; supplies: Drawer['supplies'] };

const thing = (item: ShelfItem): Found => ({
  key: `thing ${item.id}`,
  to: `/gear/${item.id}`,
  name: item.name,
  aside: [care.kindFacts(item.kind).name, ...(item.place ? [item.place.name] : []), ...(item.archivedAt ? ['off the shelf'] : [])].join(
    ' · ',
  ),
});

/** What is found by a text, by sorts, the things first; sorts of which there is nothing are left out. */
export function foundBy(asked: string, { things, places, supplies }: Known): FoundGroup[] {
  const text = asked.trim();
  if (text === '') return [];
  const groups: FoundGroup[] = [
    { title: 'Things', found: things.map(thing) },
    {
      title: 'Places',
      found: places
        .filter((p) => says(`${p.name} ${p.note}`, text))
        .map((p) => ({ key: `place ${p.id}`, to: `/storage/${p.id}`, name: p.name, aside: 'place' })),
    },
    {
      title: 'Supplies',
      found: supplies
        .map((s) => ({ ...s, name: capital(care.thingName(s.thing)) }))
        .filter((s) => says(`${s.name} ${s.note}`, text))
        .map((s) => ({ key: `supply ${s.id}`, to: '/supplies', name: s.name, aside: 'in the drawer' })),
    },
    {
      title: 'Pages',
      found: PAGES.filter((p) => says(`${p.name} ${p.words}`, text)).map((p) => ({
        key: `page ${p.to}`,
        to: p.to,
        name: p.name,
        aside: 'page',
      })),
    },
    {
      title: 'Handbook',
      found: [{ key: 'handbook', to: `/handbook?search=${encodeURIComponent(text)}`, name: `Ask the handbook: “${text}”`, aside: '' }],
    },
  ];
  return groups.map((g) => ({ ...g, found: g.found.slice(0, MOST_OF_A_SORT) })).filter((g) => g.found.length > 0);
}

/** Where the pages named here lead, for whoever checks that they are there. */
export const NAMED_PAGES = PAGES.map(({ to }) => to);
