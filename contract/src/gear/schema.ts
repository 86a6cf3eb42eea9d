import { care, gear, type schedule } from '@bright-keeper/core';
import Joi from 'joi';
import { day, id, version } from '../joi.js';

export const ITEM_STATUSES = ['in-use', 'quarantined'] as const;
export type ItemStatus = (typeof ITEM_STATUSES)[number];

/** What a person gives for a thing. */
export type ItemInput = {
  name: string;
  kind: care.ItemKind;
  traits: care.Traits;
  notes: string;
  acquiredOn: string | null;
  /** Where left out, a new thing has none, and one that is there keeps its own. */
  particulars?: gear.Particulars;
  /** What it travels and lies with. Where left out, a new thing belongs to nothing, and one that is there to what it did. */
  belongsTo?: string | null;
};
export type ItemUpdate = ItemInput & { version: number };

const LONGEST_NAME = 120;
const LONGEST_NOTE = 4000;

function traitSchema(trait: care.TraitId): Joi.Schema {
  const facts: care.TraitFacts = care.TRAITS[trait];
  switch (facts.input) {
    case 'yes-no':
      return Joi.boolean();
    case 'choice':
      return Joi.string().valid(...facts.choices);
    case 'number': {
      const number = Joi.number().min(facts.min).max(facts.max).allow(null);
      return trait === 'yearMade' ? number.integer() : number;
    }
    default:
      return facts satisfies never;
  }
}

/** The traits a kind has, and no others. */
export const traitsSchema = (kind: care.ItemKind): Joi.ObjectSchema =>
  Joi.object(Object.fromEntries(care.traitsOf(kind).map((trait) => [trait, traitSchema(trait)])));

/** Traits as they are kept: whatever kind it is. */
export const traitsDocument = Joi.object(Object.fromEntries(care.TRAIT_IDS.map((trait) => [trait, traitSchema(trait)])));

/** A line of text with something in it: it is kept as it is typed, without the blanks around it. */
const line = (longest: number): Joi.StringSchema =>
  Joi.string()
    .pattern(/^\S(.*\S)?$/, 'something to read, without blanks around it')
    .max(longest);

/** A tag: words that a list of them can be told apart in. */
const tagWords = line(gear.PARTICULARS.tags.longest).pattern(/^[^,;|]+$/, 'one word or several, without commas, semicolons or bars');

function particularSchema(id: gear.ParticularId): Joi.Schema {
  const facts = gear.particularFacts(id);
  switch (facts.input) {
    case 'text':
      return line(facts.longest);
    case 'choice':
      return Joi.string().valid(...facts.choices);
    case 'number': {
      const number = Joi.number().min(facts.min).max(facts.max);
      return facts.whole ? number.integer() : number;
    }
    case 'day':
      return day();
    case 'words':
      return (
        Joi.array()
          .items(tagWords)
          .min(1)
          .max(facts.most)
          // What is no text is told of by its own check, and compared before.
          .unique((a: unknown, b: unknown) => typeof a === 'string' && typeof b === 'string' && a.toLowerCase() === b.toLowerCase())
      );
    default:
      return facts satisfies never;
  }
}

const schemaOf = (ids: readonly gear.ParticularId[]): Joi.ObjectSchema<gear.Particulars> =>
  Joi.object(Object.fromEntries(ids.map((id) => [id, particularSchema(id)])));

/** Particulars as they are kept: whatever kind it is. */
export const particularsDocument = schemaOf(gear.PARTICULAR_IDS);

/** The particulars a kind has, and no others. */
const particularsByKind = Joi.when('kind', {
  switch: care.ITEM_KINDS.map((kind) => ({ is: kind, then: schemaOf(gear.particularsOf(kind)) })),
  otherwise: Joi.object().unknown(),
});

const traitsByKind = Joi.when('kind', {
  switch: care.ITEM_KINDS.map((kind) => ({ is: kind, then: traitsSchema(kind).required() })),
  otherwise: Joi.object().unknown().required(),
});

const itemFields = {
  // Not trimmed here: nothing is converted by a check. The service trims.
  name: Joi.string()
    .pattern(/\S/, 'something to read')
    .max(LONGEST_NAME)
    .messages({ 'string.pattern.name': 'This must not be empty.' })
    .required(),
  kind: Joi.string()
    .valid(...care.ITEM_KINDS)
    .required(),
  traits: traitsByKind,
  notes: Joi.string().allow('').max(LONGEST_NOTE).default(''),
  acquiredOn: day().allow(null).default(null),
  particulars: particularsByKind,
  belongsTo: id().allow(null),
};

/** What stood in the fields of a thing before they were changed. */
export const fieldsBefore = Joi.object<schedule.FieldsBefore>({
  ...{ name: Joi.string(), notes: Joi.string().allow(''), acquiredOn: day().allow(null), belongsTo: id().allow(null) },
  kind: Joi.string().valid(...care.ITEM_KINDS),
  traits: traitsDocument,
});

export const itemInput = Joi.object<ItemInput>(itemFields);
export const itemUpdate = Joi.object<ItemUpdate>({ ...itemFields, version: version().required() });

export type StatusChange = { version: number; status: ItemStatus };
export const statusChange = Joi.object<StatusChange>({
  version: version().required(),
  status: Joi.string()
    .valid(...ITEM_STATUSES)
    .required(),
});

export type Versioned = { version: number };
export const versioned = Joi.object<Versioned>({ version: version().required() });

/** Why a thing is gone for good; whether its day has come, the server knows. */
export const goneFields = {
  why: Joi.string()
    .valid(...gear.GONE_REASONS)
    .required(),
  on: day().required(),
  for: Joi.number().min(0).max(gear.PARTICULARS.paid.max).allow(null).required(),
};
/** Off the shelf for now, or gone for good. */
/** `together`: what belongs to it is gone with it; what came, came for all of it. */
export type ArchiveItem = Versioned & { gone?: gear.Gone; together?: boolean };
export const archiveItem = Joi.object<ArchiveItem>({
  version: version().required(),
  gone: Joi.object(goneFields),
  together: Joi.boolean(),
});

/** So many of several equal ones become a line of their own. */
export type SplitItem = Versioned & { count: number };
export const splitItem = Joi.object<SplitItem>({ version: version().required(), count: Joi.number().integer().min(1).max(998).required() });

const LONGEST_FILE_NAME = 200;
const fileName = () =>
  Joi.string()
    .pattern(/^\P{Cc}*\P{White_Space}\P{Cc}*$/u, 'something to read')
    .max(LONGEST_FILE_NAME)
    .messages({ 'string.pattern.name': 'This must not be empty.' });
const fileRole = () => Joi.string().valid(...gear.FILE_ROLES);
/** What a picture or paper is called; what it is is guessed from that where it is not said. */
export type ItemFileQuery = { name: string; role?: gear.FileRole };
export const itemFileQuery = Joi.object<ItemFileQuery>({ name: fileName().required(), role: fileRole() });
/** `isFace`: the thing is known by this picture from now on. */
export type ItemFileUpdate = { name: string; role: gear.FileRole; isFace?: true };
export const itemFileUpdate = Joi.object<ItemFileUpdate>({
  name: fileName().required(),
  role: fileRole().required(),
  isFace: Joi.valid(true),
});
export type ItemFileParam = { id: string; fileId: string };
export const itemFileParam = Joi.object<ItemFileParam>({ id: id().required(), fileId: id().required() });

/** As many as a shelf is walked at once. */
const MOST_AT_ONCE = 2000;
export type ManyThings = { itemIds: string[] };
export const manyThings = Joi.object<ManyThings>({ itemIds: Joi.array().items(id()).min(1).max(MOST_AT_ONCE).unique().required() });
/** One tag that many things are to have, or to have no more. */
export type TagThings = ManyThings & { tag: string; has: boolean };
export const tagThings = Joi.object<TagThings>({
  itemIds: manyThings.extract('itemIds').required(),
  tag: tagWords.required(),
  has: Joi.boolean().required(),
});
/** What many things are to belong to; null for nothing. */
export type PutTogether = ManyThings & { belongsTo: string | null };
export const putTogether = Joi.object<PutTogether>({
  itemIds: manyThings.extract('itemIds').required(),
  belongsTo: id().allow(null).required(),
});
/** Which of them it was done to: the others were so already. */
export type DoneToMany = { itemIds: string[] };

export const idParam = Joi.object<{ id: string }>({ id: id().required() });

/** What the shelf may be filtered by. `needs` is the gravest verdict over all surfaces, or `never-looked`. */
export const NEEDS = [...care.VERDICTS, 'never-looked'] as const;
export type Need = (typeof NEEDS)[number];
export const DUE_FILTERS = ['overdue', 'this-month'] as const;
/** When it was out last, as outings tell: not for two years. */
export const OUT_FILTERS = ['not-for-two-years'] as const;
export const SHELF_SORTS = ['name', 'added', 'due'] as const;
/** Of what nobody said where it lies. */
export const NO_PLACE = 'none';
export type ShelfQuery = {
  search: string;
  tag?: string;
  /** What has no tag at all. */
  untagged?: boolean;
  /** The id of the place it lies in, or that nobody said. */
  place?: string;
  kind?: care.ItemKind;
  needs?: Need;
  due?: (typeof DUE_FILTERS)[number];
  out?: (typeof OUT_FILTERS)[number];
  status?: ItemStatus;
  archived: boolean;
  sort: (typeof SHELF_SORTS)[number];
  limit: number;
  cursor?: string;
};
const filterFields = {
  search: Joi.string().allow('').max(LONGEST_NAME).default(''),
  tag: Joi.string().max(40),
  untagged: Joi.boolean(),
  place: Joi.alternatives(Joi.valid(NO_PLACE), id()),
  kind: Joi.string().valid(...care.ITEM_KINDS),
  needs: Joi.string().valid(...NEEDS),
  due: Joi.string().valid(...DUE_FILTERS),
  out: Joi.string().valid(...OUT_FILTERS),
  status: Joi.string().valid(...ITEM_STATUSES),
  archived: Joi.boolean().default(false),
};
export const shelfQuery = Joi.object<ShelfQuery>({
  ...filterFields,
  sort: Joi.string()
    .valid(...SHELF_SORTS)
    .default('name'),
  limit: Joi.number().integer().min(1).max(200).default(60),
  cursor: Joi.string().max(600),
});

/** The same shelf, told in groups. */
export type GroupQuery = Omit<ShelfQuery, 'sort' | 'limit' | 'cursor'> & { by: gear.Grouping };
/** How an inventory is laid out: as a table, a page for each thing, or what is gone for good. */
/** `on`: as it stood at the end of that day; today's where none is named. */
export type InventoryAsOf = { on?: string };
export const inventoryAsOf = Joi.object<InventoryAsOf>({ on: day() });
export type InventoryQuery = InventoryAsOf & { as: 'table' | 'pages' | 'gone' };
export const inventoryQuery = Joi.object<InventoryQuery>({ as: Joi.string().valid('table', 'pages', 'gone').default('table'), on: day() });

export const groupQuery = Joi.object<GroupQuery>({
  ...filterFields,
  by: Joi.string()
    .valid(...gear.GROUPINGS)
    .required(),
});

export type LogQuery = { limit: number; cursor?: string };
export const logQuery = Joi.object<LogQuery>({ limit: Joi.number().integer().min(1).max(200).default(40), cursor: Joi.string().max(600) });

/** Where a column of the file goes: a particular by its own name, a trait as `trait:<id>`. */
export const IMPORT_TARGETS = [
  'name',
  'kind',
  'notes',
  'acquiredOn',
  'place',
  'status',
  ...gear.PARTICULAR_IDS,
  ...care.TRAIT_IDS.map((t) => `trait:${t}` as const),
] as const;
export type ImportTarget = (typeof IMPORT_TARGETS)[number];
export type ImportMapping = Partial<Record<ImportTarget, string>>;
/** What is to stand in a row instead of what the file has there, by the line of the row. */
export type ImportCorrections = Record<string, Partial<Record<ImportTarget, string>>>;

/** Rows with the same word for their kind, of which their other words tell the same: what they are taken for. */
export type KindMeant = { written: string; guessed: care.ItemKind | null; kind: care.ItemKind };
const MOST_KINDS_MEANT = 200;
const kindOrNone = () =>
  Joi.string()
    .valid(...care.ITEM_KINDS)
    .allow(null);

const LARGEST_FILE_BASE64 = 14_000_000;
const LONGEST_CELL = 5000;

export type ImportRequest = {
  fileBase64: string;
  /** The column of the file for each target; left out, it is guessed from the headings. */
  mapping?: ImportMapping;
  /** What rows are whose kind was not plainly given. */
  kinds?: KindMeant[];
  corrections?: ImportCorrections;
  /** Dates that can be read both ways have their month first; the day first where left out. */
  monthFirst?: boolean;
};
const eachTarget = (schema: () => Joi.Schema) => Joi.object(Object.fromEntries(IMPORT_TARGETS.map((t) => [t, schema()])));
export const importRequest = Joi.object<ImportRequest>({
  fileBase64: Joi.string().base64().max(LARGEST_FILE_BASE64).required(),
  mapping: eachTarget(() => Joi.string().max(500)),
  kinds: Joi.array()
    .items(
      Joi.object<KindMeant>({
        written: Joi.string().allow('').max(LONGEST_CELL).required(),
        guessed: kindOrNone().required(),
        kind: Joi.string()
          .valid(...care.ITEM_KINDS)
          .required(),
      }),
    )
    .max(MOST_KINDS_MEANT),
  corrections: Joi.object().pattern(
    /^\d{1,7}$/,
    eachTarget(() => Joi.string().allow('').max(LONGEST_CELL)),
  ),
  monthFirst: Joi.boolean(),
});
