import type { SurfaceState } from '@bright-keeper/contract';
import { care, inspection } from '@bright-keeper/core';
import { VERDICT_WORDS } from '../words';

/** How a surface is painted: a tint for the verdict, a pattern for the dirt that tells most. */
export type Tone = 'unknown' | 'good' | 'attention' | 'act';
export type SurfaceLook = { tone: Tone; pattern: care.SoilPattern | null; words: string };

export const TONE_OF: Record<care.Verdict, Tone> = {
  leave: 'good',
  clean: 'attention',
  wait: 'attention',
  replace: 'act',
  weigh: 'attention',
  'hand-over': 'act',
  isolate: 'act',
};

export const TONE_CLASSES: Record<Tone, { fill: string; ink: string }> = {
  unknown: { fill: 'fill-sheet', ink: 'text-soft' },
  good: { fill: 'fill-glass-tint', ink: 'text-glass' },
  attention: { fill: 'fill-lamp-tint', ink: 'text-lamp' },
  act: { fill: 'fill-act-tint', ink: 'text-act' },
};

type Known = Pick<SurfaceState, 'surface' | 'findings' | 'verdict'>;

/** What a surface looks like from what is known of it. */
export function surfaceLook(surface: care.Surface, known: Known | undefined): SurfaceLook {
  if (!known) return { tone: 'unknown', pattern: null, words: 'not looked at' };
  const telling = inspection.mostTelling(known.findings.map((f) => ({ ...f, surface })));
  if (!telling)
    return {
      tone: TONE_OF[known.verdict],
      pattern: null,
      words: known.verdict === 'leave' ? 'clean' : VERDICT_WORDS[known.verdict].toLowerCase(),
    };
  const names = known.findings.map((f) => `${care.SOILS[f.soil].name}, ${care.SEVERITY_NAMES[f.severity]}`).join('; ');
  return { tone: TONE_OF[known.verdict], pattern: care.SOILS[telling.soil].pattern, words: names };
}
