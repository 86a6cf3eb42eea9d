import { defaultsOf, traitFacts, traitsOf, type TraitId, type Traits } from '../knowledge/traits.js';
import { kindFacts, type ItemKind } from './registry.js';
import type { Preset } from './kind.js';

/** The presets of a kind that hold for these traits, in order: a later one overrules an earlier. */
export const presetsFor = (kind: ItemKind, traits: Traits): Preset[] => kindFacts(kind).presets.filter((p) => p.when(traits));

/**
 * The given traits over what kind and year tell: defaults first, then the presets that hold, then what was said.
 * A preset may lean on what was said or preset before it (a collapsible lens has an open thread).
 */
export function withDefaults(kind: ItemKind, traits: Traits): Traits {
  const { presets } = kindFacts(kind);
  let all: Traits = { ...defaultsOf(kind), ...traits };
  for (const preset of presets) if (traits[preset.trait] === undefined && preset.when(all)) all = { ...all, [preset.trait]: preset.value };
  return all;
}

/** True of the thing itself and not of its design. */
const isOfTheThing = (trait: TraitId): boolean => traitFacts(trait).outlivesKind;

const kept = (kind: ItemKind, traits: Traits): Traits =>
  Object.fromEntries(
    traitsOf(kind)
      .filter((t) => isOfTheThing(t) && traits[t] !== undefined)
      .map((t) => [t, traits[t]]),
  );

/** It stands otherwise than it would if nobody had said anything of it. */
function isTouched(kind: ItemKind, traits: Traits, trait: TraitId): boolean {
  const { [trait]: value, ...others } = traits;
  return withDefaults(kind, others)[trait] !== value;
}

/** A person changed the kind, or one trait, of a thing on a form where every trait shows its value. */
export type TraitChange = { kind: ItemKind } | { trait: TraitId; value: Traits[TraitId] };

/**
 * All traits after such a change. Another kind sets them anew and keeps only what is true of the thing itself
 * (year, worth, size): an acrylic port that becomes a lens is glass. A changed year, or any trait a preset leans
 * on, moves those that still stand as they were preset; what a person set otherwise stays.
 */
export function retrait(kind: ItemKind, traits: Traits, change: TraitChange): Traits {
  if ('kind' in change) return withDefaults(change.kind, kept(change.kind, traits));
  const said: Traits = { ...traits, [change.trait]: change.value };
  const touched = traitsOf(kind).filter((t) => t === change.trait || isOfTheThing(t) || isTouched(kind, traits, t));
  return withDefaults(kind, Object.fromEntries(touched.map((t) => [t, said[t]])));
}
