import type { ItemKind } from '../care/kinds/index.js';

/** Whatever a duty can be about. */
export const SUBJECT_KINDS = ['thing', 'place', 'hygrometer', 'supply', 'outing', 'household'] as const;
export type SubjectKind = (typeof SUBJECT_KINDS)[number];
export type SubjectRef = { kind: SubjectKind; id: string };
/** The household is one: its id is the one that names nothing. */
export const HOUSEHOLD: SubjectRef = { kind: 'household', id: '00000000-0000-0000-0000-000000000000' };

/** A subject as a page names it; a thing says its kind, so that a person knows what to expect. */
export type NamedSubject = SubjectRef & { name: string; itemKind?: ItemKind };

export const subjectKey = ({ kind, id }: SubjectRef): string => `${kind}/${id}`;
