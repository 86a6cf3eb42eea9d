import {
  fieldsOf,
  itemInput,
  JOI_OPTIONS,
  type ImportCorrections,
  type ImportKinds,
  type ImportMapping,
  type ImportRow,
  type ImportTarget,
  type Item,
  type ItemInput,
  type KindMeant,
} from '@bright-keeper/contract';
import { care, gear } from '@bright-keeper/core';
import { bare } from './headings.js';
import { conditionOf } from './conditions.js';
import { STATUS_UNKNOWN, statusOf } from './statusWords.js';
import { isNo, otherCurrency, readDay, readMeasure, readYesNo, type DayOrder } from './cells.js';

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
  /** What the keeper said that rows are whose kind was not plainly given, by `sameKindUnsaid`. */
  kinds: ReadonlyMap<string, care.ItemKind>;
  corrections: ImportCorrections;
  dayOrder: DayOrder;
  now: Date;
  /** In which sums are kept, as its three letters. */
  currency: string;
  /** By their names in small letters. */
  places: ReadonlyMap<string, { id: string; name: string }>;
  /** What stands on the shelf that this row is of, and no row before has taken for its own; null where there is none. */
  take: (input: ItemInput) => OnShelf | null;
};

/** A cell as the trait's type; what cannot be read stays text, so that the schema names it. */
function readTrait(trait: care.TraitId, cell: string): unknown {
  const facts = care.TRAITS[trait];
  if (facts.input === 'number') return readMeasure(cell, facts.unit);
  if (facts.input === 'choice') return cell.toLowerCase().replaceAll(' ', '-');
  return readYesNo(cell);
}

/** A cell as the particular's type; what cannot be read stays text, so that the schema names it. */
function readParticular(id: gear.ParticularId, cell: string, { dayOrder, now }: ReadAgainst): unknown {
  const facts = gear.particularFacts(id);
  const { input } = facts;
  if (input === 'number') return readMeasure(cell, facts.unit);
  if (input === 'choice') return id === 'condition' ? (conditionOf(cell) ?? cell) : cell.toLowerCase().replaceAll(' ', '-');
  if (input === 'day') return readDay(cell, dayOrder, now, 'may-be-ahead').day;
  if (input === 'words')
    return cell
      .split(/[,;|]/)
      .map((word) => word.trim())
      .filter((word) => word !== '');
  return cell.replace(/\s+/g, ' ');
}

const unitOf = (facts: care.TraitFacts | gear.ParticularFacts): string => (facts.input === 'number' ? facts.unit : '');

/** One column for all mounts: of what only takes one, it is that. */
const particularMeant = (id: gear.ParticularId, kind: care.ItemKind): gear.ParticularId =>
  id === 'mount' && !gear.particularsOf(kind).includes('mount') ? 'takesMount' : id;

/** Of a kind that was not plainly given: how it is written, and what the words of the row tell. */
export type KindUnsaid = Pick<KindMeant, 'written' | 'guessed'>;
/** As one way of writing a kind is told from another. */
export const sameKindUnsaid = ({ written, guessed }: KindUnsaid): string => `${bare(written)}/${guessed ?? ''}`;

/** The kind as it is written, else as the keeper said of such rows, else as the words of the row tell. */
function kindOf(written: string, words: string, meant: ReadAgainst['kinds']): { kind: unknown; unsaid: KindUnsaid | null } {
  const known = KIND_WORDS.get(bare(written));
  if (known) return { kind: known, unsaid: null };
  const unsaid = { written, guessed: care.guessKind(`${written} ${words}`) };
  return { kind: meant.get(sameKindUnsaid(unsaid)) ?? unsaid.guessed ?? (written || undefined), unsaid };
}

/** Errors by the heading of the column they came from, so that the person finds the cell. */
const targetOf = (field: string): ImportTarget => {
  const [part, name] = field.split('.');
  return (part === 'traits' ? `trait:${name}` : part === 'particulars' ? name : part) as ImportTarget;
};

/** A row, and the thing it is of where that is there already; where its kind was not plainly given, what it is taken for. */
export type ReadRow = ImportRow & { there: OnShelf | null; unsaid: Omit<ImportKinds, 'rows'> | null };

/** One line of the file as a thing, or what is wrong with it. */
export function readRow(line: number, cells: Record<string, string>, against: ReadAgainst): ReadRow {
  const { mapping, corrections, dayOrder, now, places } = against;
  const corrected = corrections[line] ?? {};
  const cell = (target: ImportTarget): string =>
    corrected[target] ?? (mapping[target] === undefined ? '' : (cells[mapping[target]] ?? '')).trim();
  const heading = (target: ImportTarget): string => mapping[target] ?? target;
  const told: Record<string, string> = {};

  // A list with a maker and a model has no name besides.
  const name = cell('name') || [cell('maker'), cell('model')].filter((word) => word !== '').join(' ');
  const words = [name, cell('maker'), cell('model')].join(' ');
  const { kind, unsaid } = kindOf(cell('kind'), words, against.kinds);
  const knownKind = care.ITEM_KINDS.find((k) => k === kind);
  // A column for all kinds is empty or "no" where a kind has no such thing; what says more is set aside and told.
  const setAside = (target: ImportTarget) => {
    if (knownKind && !isNo(cell(target)))
      told[heading(target)] = `“${cell(target)}” was left out: nothing is asked of it for a ${care.kindFacts(knownKind).name}.`;
  };
  // A sum is kept in one currency: of another one it is the number only, and that is said.
  const tellCurrency = (target: ImportTarget, unit: string) => {
    const other = unit === 'money' ? otherCurrency(cell(target), against.currency) : null;
    if (other !== null) told[heading(target)] = `“${cell(target)}” is in ${other}: the number was taken as it is, as ${against.currency}.`;
  };
  const traits: Record<string, unknown> = {};
  for (const trait of care.TRAIT_IDS) {
    const target = `trait:${trait}` as const;
    if (cell(target) === '') continue;
    if (knownKind && !care.traitsOf(knownKind).includes(trait)) setAside(target);
    else {
      traits[trait] = readTrait(trait, cell(target));
      tellCurrency(target, unitOf(care.traitFacts(trait)));
    }
  }
  const particulars: Record<string, unknown> = {};
  for (const target of gear.PARTICULAR_IDS) {
    if (cell(target) === '') continue;
    const id = knownKind ? particularMeant(target, knownKind) : target;
    if (knownKind && !gear.particularsOf(knownKind).includes(id)) setAside(target);
    else {
      const read = readParticular(id, cell(target), against);
      // A list of single things has a column of ones: of one, nothing is said.
      if (id === 'count' && read === 1) continue;
      particulars[id] ??= read;
      tellCurrency(target, unitOf(gear.particularFacts(id)));
    }
  }
  const acquired = cell('acquiredOn');
  const { day, taken } = readDay(acquired, dayOrder, now);
  if (taken) told[heading('acquiredOn')] = `“${acquired}” was taken as ${day}.`;
  const place = places.get(cell('place').toLowerCase()) ?? null;
  if (cell('place') !== '' && !place)
    told[heading('place')] = `“${cell('place')}” is no place of yours: it is put nowhere. Make the place first, or move it later.`;

  const status = statusOf(cell('status'));
  const draft = { name, kind, traits, particulars, notes: cell('notes'), acquiredOn: acquired === '' ? null : day };
  const checked = itemInput.validate(draft, JOI_OPTIONS);
  const wrong: [ImportTarget, string][] = [
    ...Object.entries(checked.error ? fieldsOf(checked.error) : {}).map(([field, message]): [ImportTarget, string] => [
      targetOf(field),
      message,
    ]),
    ...(status === 'unknown' ? [['status', STATUS_UNKNOWN] satisfies [ImportTarget, string]] : []),
  ];
  const takenFor = unsaid && { ...unsaid, kind: knownKind ?? null };
  const row = { line, cells, place, unsaid: takenFor, isKindGuessed: unsaid !== null && knownKind !== undefined, told, there: null };
  if (checked.error || wrong.length > 0)
    return {
      ...{ ...row, fate: 'wrong', input: null, isolates: false },
      errors: Object.fromEntries(wrong.map(([target, message]) => [heading(target), message])),
      wrong: wrong.map(([target]) => target),
    };
  const there = against.take(checked.value);
  // What has fungus is not put with the others because a list still says so.
  const isolates = status === 'quarantined' && there?.status !== 'quarantined';
  const isApart = isolates || there?.status === 'quarantined';
  if (isApart && place) told[heading('place')] = `It is in quarantine and stays apart, not in ${place.name}.`;
  if (status === 'in-use' && there?.status === 'quarantined')
    told[heading('status')] = 'It is in quarantine and stays there: whoever has looked at it lets it go on its page.';
  const input = there ? merged(there, checked.value) : checked.value;
  const goes = isApart ? null : place;
  const fate = !there ? 'new' : isolates || isChanged(there, input, goes) ? 'update' : 'same';
  return { ...row, place: goes, fate, input, there, isolates, errors: {}, wrong: [] };
}

/** What is there, with what the list says of it: a cell that is empty takes nothing away. */
const merged = (there: Item, { name, kind, traits, particulars, notes, acquiredOn }: ItemInput): ItemInput => ({
  name,
  kind,
  traits: { ...there.traits, ...traits },
  particulars: { ...there.particulars, ...particulars },
  notes: notes || there.notes,
  acquiredOn: acquiredOn ?? there.acquiredOn,
});

const sorted = (told: object): string => JSON.stringify(Object.entries(told).sort(([a], [b]) => a.localeCompare(b)));
const isChanged = (there: OnShelf, input: ItemInput, place: { id: string } | null): boolean =>
  there.name !== input.name ||
  there.notes !== input.notes ||
  there.acquiredOn !== input.acquiredOn ||
  sorted(there.traits) !== sorted(input.traits) ||
  sorted(there.particulars) !== sorted(input.particulars ?? {}) ||
  (place !== null && place.id !== there.placeId);
