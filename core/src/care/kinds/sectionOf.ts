import type { Traits } from '../knowledge/traits.js';
import { kindFacts, type ItemKind } from './registry.js';
import { withDefaults } from './retrait.js';
import type { Section } from './section.js';

/** The side-on section of a thing from its kind and traits: geometry as data, drawn by whoever shows it. */
export const sectionOf = (kind: ItemKind, traits: Traits): Section => kindFacts(kind).section(withDefaults(kind, traits));

export type { Region, Section } from './section.js';
