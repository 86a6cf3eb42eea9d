import {
  fieldsOf,
  IMPORT_TARGETS,
  itemInput,
  JOI_OPTIONS,
  type ImportMapping,
  type ImportRow,
  type ImportTarget,
} from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';

/** Words people write over such columns, besides our own names for them. */
const OTHER_HEADINGS: Partial<Record<ImportTarget, string[]>> = {
  name: ['item', 'title', 'model', 'lens', 'thing', 'description'],
  kind: ['type', 'category', 'class'],
  notes: ['note', 'remark', 'remarks', 'comment', 'comments'],
  acquiredOn: ['acquired', 'acquired on', 'bought', 'bought on', 'purchased', 'purchase date', 'date'],
  'trait:yearMade': ['year', 'made'],
  'trait:value': ['price', 'worth'],
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

const YES = ['yes', 'y', 'true', '1', 'x'];
const NO = ['no', 'n', 'false', '0', '-'];

const number = (text: string): number | string => {
  const plain = text.replace(/\s/g, '').replace(/^(\d+),(\d{1,2})$/, '$1.$2');
  return plain !== '' && Number.isFinite(Number(plain)) ? Number(plain) : text;
};

/** A cell as the trait's type; what cannot be read stays text, so that the schema names it. */
function readTrait(trait: care.TraitId, cell: string): unknown {
  const facts = care.TRAITS[trait];
  const word = cell.toLowerCase();
  if (facts.input === 'number') return number(cell);
  if (facts.input === 'choice') return word.replaceAll(' ', '-');
  if (YES.includes(word)) return true;
  return NO.includes(word) ? false : cell;
}

/** Days as people write them: ISO, or day first with dots or slashes. */
function readDay(cell: string): string {
  const match = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/.exec(cell);
  if (!match) return cell;
  const [, dayOfMonth, month, year] = match;
  return `${year}-${month!.padStart(2, '0')}-${dayOfMonth!.padStart(2, '0')}`;
}

type Draft = { name: unknown; kind: unknown; traits: Record<string, unknown>; notes: unknown; acquiredOn: unknown };

function draftOf(cells: Record<string, string>, mapping: ImportMapping, defaultKind?: care.ItemKind): Draft {
  const cell = (target: ImportTarget) => (mapping[target] === undefined ? '' : (cells[mapping[target]] ?? ''));
  const kindText = cell('kind');
  const kind = kindText === '' ? defaultKind : (KIND_WORDS.get(bare(kindText)) ?? kindText);
  const knownKind = care.ITEM_KINDS.find((k) => k === kind);
  const traits: Record<string, unknown> = {};
  for (const trait of care.TRAIT_IDS) {
    const text = cell(`trait:${trait}`);
    // A column for all kinds is empty or "no" where a kind has no such trait; anything more is refused below.
    const belongs = !knownKind || care.traitsOf(knownKind).includes(trait);
    if (text === '' || (!belongs && NO.includes(text.toLowerCase()))) continue;
    traits[trait] = readTrait(trait, text);
  }
  const acquired = cell('acquiredOn');
  return { name: cell('name'), kind, traits, notes: cell('notes'), acquiredOn: acquired === '' ? null : readDay(acquired) };
}

/** Errors by the heading of the column they came from, so that the person finds the cell. */
function byColumn(fields: Record<string, string>, mapping: ImportMapping): Record<string, string> {
  return Object.fromEntries(
    Object.entries(fields).map(([field, message]) => {
      const target = (field.startsWith('traits.') ? `trait:${field.slice(7)}` : field) as ImportTarget;
      return [mapping[target] ?? field, message];
    }),
  );
}

/** One line of the file as a thing, or what is wrong with it. */
export function readRow(line: number, cells: Record<string, string>, mapping: ImportMapping, defaultKind?: care.ItemKind): ImportRow {
  const checked = itemInput.validate(draftOf(cells, mapping, defaultKind), JOI_OPTIONS);
  if (checked.error) return { line, cells, input: null, errors: byColumn(fieldsOf(checked.error), mapping) };
  return { line, cells, input: checked.value, errors: {} };
}
