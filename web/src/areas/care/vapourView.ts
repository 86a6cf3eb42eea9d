import { care } from '@bright-keeper/core';
import { chosenOf } from '../../ui/choices';
import { entryOf, type Entry } from '../../ui/numberEntry';

export const FIELDS = {
  mL: { label: 'How much of it, mL', min: 0, max: 5000, usual: 1 },
  roomM3: { label: 'The room, m³', min: 2, max: 10_000, usual: care.USUAL_ROOM.roomM3 },
} as const;
export type FieldId = keyof typeof FIELDS;
export const FIELD_IDS = Object.keys(FIELDS) as FieldId[];

export const AIRING_WORDS: Record<care.AiringOfRoom, string> = {
  shut: 'Door and window shut',
  ajar: 'A window ajar',
  open: 'Windows wide open',
};
const SOLVENTS = Object.fromEntries(care.SOLVENT_IDS.map((id) => [id, id])) as Record<care.Solvent, care.Solvent>;

export type VapourView = {
  solvent: care.Solvent;
  airing: care.AiringOfRoom;
  entries: Record<FieldId, Entry>;
  /** Null while a field cannot be read. */
  result: (care.VapourInRoom & { verdict: care.VapourVerdict }) | null;
};

/** Everything the page shows, from its address. */
export function vapourFrom(params: URLSearchParams): VapourView {
  const solvent = chosenOf(SOLVENTS, params.get('solvent'), 'isopropanol');
  const airing = chosenOf<care.AiringOfRoom>(care.AIRINGS, params.get('airing'), 'shut');
  const entries = Object.fromEntries(FIELD_IDS.map((id) => [id, entryOf(params.get(id), undefined, FIELDS[id])])) as VapourView['entries'];
  const [mL, roomM3] = [entries.mL.value, entries.roomM3.value];
  if (mL === null || roomM3 === null) return { solvent, airing, entries, result: null };
  const inRoom = care.vapourIn({ solvent, mL, roomM3, airChangesPerH: care.AIRINGS[airing] });
  return { solvent, airing, entries, result: { ...inRoom, verdict: care.vapourVerdict(solvent, inRoom) } };
}

/** The page for so much of a solvent. */
export const vapourPage = (solvent: care.Solvent, mL: number): string => `/vapour?solvent=${solvent}&mL=${Math.round(mL * 100) / 100}`;
