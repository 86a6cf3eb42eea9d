import type { care, gear, schedule, trip } from '@bright-keeper/core';
import type { Neighbour } from '../storage/places.js';
import type { ImportMapping, ImportTarget, ItemInput, ItemStatus, KindMeant } from './schema.js';

export type SurfaceState = {
  surface: care.Surface;
  findings: Omit<care.Finding, 'surface'>[];
  verdict: care.Verdict;
  because: care.Because;
  /** Instant of the look or clean this is known from. */
  knownSince: string;
};

export type Item = ItemInput & {
  particulars: gear.Particulars;
  belongsTo: string | null;
  id: string;
  version: number;
  status: ItemStatus;
  archivedAt: string | null;
  /** Why it is the household's no more; only of what is archived. */
  gone: gear.Gone | null;
  createdAt: string;
  updatedAt: string;
};

/** A picture or paper of a thing; `blob` is what its bytes are called by. */
export type ItemFile = {
  id: string;
  role: gear.FileRole;
  name: string;
  type: string;
  bytes: number;
  blob: string;
  at: string;
  /** The picture the thing is known by. */
  isFace: boolean;
};

/** A thing as the shelf shows it. */
export type ShelfItem = Item & {
  /** The picture it is known by; null while it has none. */
  face: string | null;
  /** Where it lies; null when nobody has said. */
  place: { id: string; name: string; since: string } | null;
  surfaces: SurfaceState[];
  /** Gravest verdict over its surfaces; null when it was never looked at. */
  verdict: care.Verdict | null;
  /** What falls due first; what the last look asks for is told by the verdict. */
  nextDue: schedule.Duty | null;
};
/** A group of the shelf: a place, a kind, a tag or a verdict, by its key and its name; null where there is none. */
export type ShelfGroup = gear.Group & { name: string | null };
export type ShelfGroups = { groups: ShelfGroup[] };
export type Shelf = { items: ShelfItem[]; nextCursor: string | null; total: number };

/** A thing with everything its page shows. */
export type ItemPage = ShelfItem & {
  due: schedule.Duty[];
  /** Why and since when it is not here; null while it is. */
  away: { why: schedule.AwayReason; since: string; until: string | null; to: string | null; estimate: number | null } | null;
  /** Touches per surface over the last 12 months. */
  contacts: Partial<Record<care.Surface, number>>;
  /** A gentle word about surfaces that are touched without evidence or more than their peers. */
  gentleWords: Partial<Record<care.Surface, care.GentleWord>>;
  /** What shared a place with it in the last 12 weeks it was kept with others; only while it is in quarantine. */
  neighbours: Neighbour[];
  /** What is expected on it since something happened outdoors, where nobody has looked since. */
  noted: schedule.Noted[];
  /** What it belongs to, and what belongs to it, the nearest first, where that is not gone. */
  together: { to: NamedThing | null; things: NamedThing[] };
  /** Other things with the same serial number: one of them is mistyped, or the same thing twice. */
  sameSerial: NamedThing[];
  /** Its pictures and papers, the oldest first. */
  files: ItemFile[];
  fit: ThingFit;
  openTeardownId: string | null;
  openLookId: string | null;
  openCleaningId: string | null;
};

/** A thing another one has to do with. */
export type NamedThing = { id: string; name: string };
/** What goes on what by mount, and what stands between. */
export type JoinedThings = { thing: NamedThing; on: NamedThing; through: NamedThing[] };
/** A filter before a lens, and by which rings. */
export type ScrewedThings = { filter: NamedThing; before: NamedThing; fit: gear.FilterFit; rings: NamedThing[] };
/** Every joint and every pair of filter and lens a thing has a part in. */
export type ThingFit = { mounts: JoinedThings[]; threads: ScrewedThings[] };
/** The words a shelf uses already, for whoever types the next: each once, the most used first. */
export type Vocabulary = { tags: { tag: string; things: number }[]; words: Partial<Record<gear.ParticularId, string[]>> };
/** What fits what over the whole shelf. */
export type FitPage = {
  mounts: JoinedThings[];
  /** Things with a mount to go on that nothing here takes. */
  nowhere: NamedThing[];
  pairs: ScrewedThings[];
  /** The step rings to add, the fewest that bring every filter before every lens it is not too small for. */
  ringsToAdd: [number, number][];
  areRingsFewest: boolean;
  /** Caps that were noted as lost, how large each has to be, and the spare one that fits. */
  wantedCaps: { of: NamedThing; cap: care.Surface; size: gear.CapWanted['size']; spare: NamedThing | null }[];
  /** Caps and hoods that belong to nothing, and how many of each are left when the lost ones are replaced. */
  spareCaps: { thing: NamedThing; left: number }[];
  /** The fewest sizes of front cap that close every thread, spare ones and those to have. */
  capSizes: trip.CapSize[];
  /** Lenses without a hood, where hoods are written down. */
  hoodless: NamedThing[];
  /** How many things say nothing of a mount or a thread though their kind has one. */
  silent: number;
};

/** A thing as it stands in a printed inventory, with its pictures and papers. */
export type InventoryThing = Item & {
  face: string | null;
  place: { id: string; name: string } | null;
  files: Pick<ItemFile, 'id' | 'role' | 'name' | 'type' | 'blob' | 'at'>[];
};
/** What is on the shelf, by name; and what is gone for good, the last first. */
export type Inventory = { things: InventoryThing[]; gone: InventoryThing[] };

/** What the shelf was worth at the end of months and is today, the oldest first; and of how many of its lines that is known. */
export type WorthOverTime = { days: (gear.Worth & { day: string; things: number })[] };

/** What the log of a thing tells: the journal's entries about it. */
export type LogData = schedule.ThingLogData;
/** `keeper`: who wrote it, where there were several. */
export type LogEntry = { id: string; itemId: string; at: string; keeper: string | null; data: LogData };
export type Log = { entries: LogEntry[]; nextCursor: string | null };

/** What becomes of a row: a new thing, one that is there already and changed by it or not, or none. */
export type ImportFate = 'new' | 'update' | 'same' | 'wrong';
export type ImportRow = {
  line: number;
  fate: ImportFate;
  input: ItemInput | null;
  /** Where it goes; null where the file does not say, or not so that we know. */
  place: { id: string; name: string } | null;
  /** It goes into quarantine, because the list says so. */
  isolates: boolean;
  cells: Record<string, string>;
  /** By the heading of its column. */
  errors: Record<string, string>;
  /** What can be corrected where it stands. */
  wrong: ImportTarget[];
  /** The kind was told by the words of the row. */
  isKindGuessed: boolean;
  /** What was left out of it or taken otherwise, by the heading of its column. */
  told: Record<string, string>;
};
/** Rows whose kind was not plainly given: how many there are, and what they are taken for; null where nothing tells. */
export type ImportKinds = Omit<KindMeant, 'kind'> & { kind: care.ItemKind | null; rows: number };
export type ImportPreview = {
  encoding: string;
  delimiter: string;
  /** In which form it came. */
  form: 'csv' | 'xlsx' | 'ods';
  columns: string[];
  mapping: ImportMapping;
  total: number;
  good: number;
  bad: number;
  /** Of the good ones: those that are there already and are changed by the list, and those it says nothing new of. */
  updates: number;
  same: number;
  /** Days were found that can be read day first and month first. */
  areDaysAmbiguous: boolean;
  /** Most rows first, up to a limit; what a row was corrected to is not among them. */
  kinds: ImportKinds[];
  /** Every bad row up to a limit, and the first good ones, those first of which something is told. */
  rows: ImportRow[];
  /** What was noticed about the file as a whole. */
  notices: string[];
};
export type ImportResult = { imported: number; updated: number; same: number; leftOut: number };
