import { care, type gear, inspection } from '@bright-keeper/core';
import { particularsDocument, traitsDocument, BECAUSE } from '@bright-keeper/contract';
import { defineDocument } from '../db/index.js';

/** What is known of a thing that changes advice. */
export const TRAITS_DOCUMENT = defineDocument<care.Traits>({ name: 'item.traits', version: 1, schema: traitsDocument, upgrades: {} });

/** What the inventory holds of a thing besides. */
export const PARTICULARS_DOCUMENT = defineDocument<gear.Particulars>({
  name: 'item.particulars',
  version: 1,
  schema: particularsDocument,
  upgrades: {},
});

/** A surface as version 1 kept it: its reason was a sentence. The thing and the schools came beside it. */
export type SurfaceStateV1 = {
  text: string;
  verdict: care.Verdict;
  surface: care.Surface;
  findings: { soil: care.Soil; severity: care.Severity }[];
  kind: care.ItemKind;
  traits: care.Traits;
  schools: Partial<care.Schools> | null;
};

/** The ends at the bench, by the first words of the sentences that version 1 wrote. */
const BENCH_ENDS: readonly [string, care.BenchEnd['reason']][] = [
  ['A film is left', 'film-left'],
  ['It lies behind this face', 'lies-deeper'],
  ['It is damage, not dirt', 'is-damage'],
  ['It did not come off', 'did-not-come-off'],
  ['The shutter closed', 'shutter-closed-on-it'],
];
/** It was a verdict of its own then; now it is one that waits. */
const BEHIND_FILTER = 'It lies behind a stuck filter';

/** From a sentence to its code: an end at the bench by its words, the rest by asking again what was found. */
export function becauseFromV1({ text, verdict, surface, findings, kind, traits, schools }: SurfaceStateV1): care.Because {
  const end = BENCH_ENDS.find(([words]) => text.startsWith(words));
  if (end) return { reason: end[1] };
  if (text.startsWith(BEHIND_FILTER)) return { reason: 'behind-stuck-filter' };
  if (!(kind in care.KINDS) || !findings.every((f) => f.soil in care.SOILS)) return { reason: 'decided-then' };
  const now = inspection.assessSurface(
    { kind, traits },
    findings.map((f) => ({ ...f, surface })),
    schools ?? undefined,
  );
  // What lies behind a ring its owner may undo was handed over then, for the same reason that it is weighed now.
  const isSame = now.verdict === verdict || (now.verdict === 'weigh' && verdict === 'hand-over');
  return isSame ? now.because : { reason: 'decided-then' };
}

/** Why a surface has the verdict it has. */
export const BECAUSE_DOCUMENT = defineDocument<care.Because>({
  name: 'surface_state.because',
  version: 2,
  schema: BECAUSE,
  upgrades: { 1: (data) => becauseFromV1(data as SurfaceStateV1) },
});
