/** Where a piece of knowledge comes from. The interface shows it beside everything it advises. */
export type Basis = { kind: 'published'; source: string } | { kind: 'common-practice' } | { kind: 'our-choice'; reason: string };

export const commonPractice: Basis = { kind: 'common-practice' };
export const published = (source: string): Basis => ({ kind: 'published', source });
export const ourChoice = (reason: string): Basis => ({ kind: 'our-choice', reason });
