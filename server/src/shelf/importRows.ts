import {
  fieldsOf,
  IMPORT_TARGETS,
  itemInput,
  JOI_OPTIONS,
  type ImportCorrections,
  type ImportMapping,
  type ImportRow,
  type ImportTarget,
  type Item,
  type ItemInput,
} from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { isNo, readDay, readNumber, readYesNo, type DayOrder } from './cells.js';

/** Words people write over such columns, besides our own names for them. */
const OTHER_HEADINGS: Partial<Record<ImportTarget, string[]>> = {
  name: [
    'item',
    'title',
    'model',
    'lens',
    'thing',
    'description',
    'bezeichnung',
    'titel',
    'titre',
    'título',
    'gegenstand',
    'what',
    'gerät',
    'modell',
    'nom',
    'désignation',
    'modèle',
    'nombre',
    'modelo',
    'objeto',
  ],
  kind: ['type', 'category', 'class', 'art', 'typ', 'kategorie', 'genre', 'catégorie', 'tipo', 'clase', 'categoría'],
  notes: ['note', 'remark', 'remarks', 'comment', 'comments', 'notizen', 'bemerkung', 'bemerkungen', 'remarque', 'notas', 'observaciones'],
  acquiredOn: [
    'acquired',
    'acquired on',
    'bought',
    'bought on',
    'purchased',
    'purchase date',
    'date',
    'since',
    'gekauft',
    'gekauft am',
    'kaufdatum',
    'datum',
    'achete le',
    'acheté le',
    'achat',
    'date d achat',
    'comprado',
    'fecha',
    'fecha de compra',
  ],
  place: [
    'place',
    'location',
    'where',
    'stored in',
    'storage',
    'kept in',
    'ort',
    'lagerort',
    'lieu',
    'emplacement',
    'rangement',
    'lugar',
    'ubicación',
  ],
  'trait:yearMade': ['year', 'made', 'baujahr', 'jahr', 'année', 'annee', 'año', 'ano'],
  'trait:value': ['price', 'worth', 'preis', 'wert', 'prix', 'valeur', 'precio', 'valor'],
};

const traitOf = (target: ImportTarget): care.TraitId | null => (target.startsWith('trait:') ? (target.slice(6) as care.TraitId) : null);
const bare = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

function headingsFor(target: ImportTarget): string[] {
  const trait = traitOf(target);
  const own = trait ? [trait, care.TRAITS[trait].name] : [target];
  return [target, ...own, ...(OTHER_HEADINGS[target] ?? [])].map(bare);
}

/** The column for each target, by the words over it; each column is taken once. */
export function guessMapping(columns: readonly string[]): ImportMapping {
  const free = new Set(columns);
  const mapping: ImportMapping = {};
  for (const target of IMPORT_TARGETS) {
    const names = headingsFor(target);
    const column = [...free].find((c) => names.includes(bare(c)));
    if (!column) continue;
    mapping[target] = column;
    free.delete(column);
  }
  return mapping;
}

const KIND_WORDS = new Map<string, care.ItemKind>(
  care.ITEM_KINDS.flatMap((kind) => [kind, care.KINDS[kind].name, care.KINDS[kind].plural].map((word) => [bare(word), kind] as const)),
);
KIND_WORDS.set('mirrorless', 'mirrorless-body');
KIND_WORDS.set('body', 'mirrorless-body');
KIND_WORDS.set('camera', 'mirrorless-body');

/** A thing as it stands on the shelf, and where it lies. */
export type OnShelf = Item & { placeId: string | null };

/** What a list is read against: what the keeper said of it, and what is there. */
export type ReadAgainst = {
  mapping: ImportMapping;
  defaultKind: care.ItemKind | null;
  corrections: ImportCorrections;
  dayOrder: DayOrder;
  now: Date;
  /** By their names in small letters. */
  places: ReadonlyMap<string, { id: string; name: string }>;
  /** What stands on the shelf under this `shelfKey` and no row before has taken for its own; null where there is none. */
  take: (key: string) => OnShelf | null;
};

/** Things of one name and kind are one thing where a list comes again. */
export const shelfKey = ({ name, kind }: Pick<ItemInput, 'name' | 'kind'>): string => `${kind}/${name.trim().toLowerCase()}`;

/** A cell as the trait's type; what cannot be read stays text, so that the schema names it. */
function readTrait(trait: care.TraitId, cell: string): unknown {
  const facts = care.TRAITS[trait];
  if (facts.input === 'number') return readNumber(cell);
  if (facts.input === 'choice') return cell.toLowerCase().replaceAll(' ', '-');
  return readYesNo(cell);
}

/** The kind as it is written, else as the words of the row tell, else as the keeper said for those. */
function kindOf(written: string, name: string, defaultKind: care.ItemKind | null): { kind: unknown; isGuessed: boolean } {
  const known = KIND_WORDS.get(bare(written));
  if (known) return { kind: known, isGuessed: false };
  const guessed = care.guessKind(`${written} ${name}`);
  if (guessed) return { kind: guessed, isGuessed: true };
  return { kind: written === '' && defaultKind ? defaultKind : written || undefined, isGuessed: false };
}

/** Errors by the heading of the column they came from, so that the person finds the cell. */
const targetOf = (field: string): ImportTarget => (field.startsWith('traits.') ? `trait:${field.slice(7)}` : field) as ImportTarget;

/** A row, and the thing it is of where that is there already. */
export type ReadRow = ImportRow & { there: OnShelf | null };

/** One line of the file as a thing, or what is wrong with it. */
export function readRow(line: number, cells: Record<string, string>, against: ReadAgainst): ReadRow {
  const { mapping, corrections, dayOrder, now, places } = against;
  const corrected = corrections[line] ?? {};
  const cell = (target: ImportTarget): string =>
    corrected[target] ?? (mapping[target] === undefined ? '' : (cells[mapping[target]] ?? '')).trim();
  const heading = (target: ImportTarget): string => mapping[target] ?? target;
  const told: Record<string, string> = {};

  const { kind, isGuessed } = kindOf(cell('kind'), cell('name'), against.defaultKind);
  const knownKind = care.ITEM_KINDS.find((k) => k === kind);
  const traits: Record<string, unknown> = {};
  for (const trait of care.TRAIT_IDS) {
    const target = `trait:${trait}` as const;
    const text = cell(target);
    if (text === '') continue;
    if (!knownKind || care.traitsOf(knownKind).includes(trait)) traits[trait] = readTrait(trait, text);
    // A column for all kinds is empty or "no" where a kind has no such trait; what says more is set aside and told.
    else if (!isNo(text)) told[heading(target)] = `“${text}” was left out: nothing is asked of it for a ${care.kindFacts(knownKind).name}.`;
  }
  const acquired = cell('acquiredOn');
  const { day, taken } = readDay(acquired, dayOrder, now);
  if (taken) told[heading('acquiredOn')] = `“${acquired}” was taken as ${day}.`;
  const place = places.get(cell('place').toLowerCase()) ?? null;
  if (cell('place') !== '' && !place)
    told[heading('place')] = `“${cell('place')}” is no place of yours: it is put nowhere. Make the place first, or move it later.`;

  const draft = { name: cell('name'), kind, traits, notes: cell('notes'), acquiredOn: acquired === '' ? null : day };
  const checked = itemInput.validate(draft, JOI_OPTIONS);
  const row = { line, cells, place, isKindGuessed: isGuessed, told, there: null };
  if (checked.error) {
    const fields = Object.entries(fieldsOf(checked.error)).map(([field, message]) => [targetOf(field), message] as const);
    return {
      ...row,
      fate: 'wrong',
      input: null,
      errors: Object.fromEntries(fields.map(([target, message]) => [heading(target), message])),
      wrong: fields.map(([target]) => target),
    };
  }
  const there = against.take(shelfKey(checked.value));
  // What has fungus is not put with the others because a list still says so.
  const isApart = place !== null && there?.status === 'quarantined';
  if (isApart) told[heading('place')] = `It is in quarantine and stays apart, not in ${place.name}.`;
  const input = there ? merged(there, checked.value) : checked.value;
  const goes = isApart ? null : place;
  const fate = !there ? 'new' : isChanged(there, input, goes) ? 'update' : 'same';
  return { ...row, place: goes, fate, input, there, errors: {}, wrong: [] };
}

/** What is there, with what the list says of it: a cell that is empty takes nothing away. */
const merged = (there: Item, { name, kind, traits, notes, acquiredOn }: ItemInput): ItemInput => ({
  name,
  kind,
  traits: { ...there.traits, ...traits },
  notes: notes || there.notes,
  acquiredOn: acquiredOn ?? there.acquiredOn,
});

const sorted = (traits: care.Traits): string => JSON.stringify(Object.entries(traits).sort(([a], [b]) => a.localeCompare(b)));
const isChanged = (there: OnShelf, input: ItemInput, place: { id: string } | null): boolean =>
  there.name !== input.name ||
  there.notes !== input.notes ||
  there.acquiredOn !== input.acquiredOn ||
  sorted(there.traits) !== sorted(input.traits) ||
  (place !== null && place.id !== there.placeId);
