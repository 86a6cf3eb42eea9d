import { care } from '@bright-keeper/core';
import { VERDICT_WORDS } from '../../ui/words';

export const KIND_OPTIONS = Object.fromEntries(care.ITEM_KINDS.map((k) => [k, care.kindFacts(k).plural]));
export const NEED_WORDS = { ...VERDICT_WORDS, 'never-looked': 'Not looked at' };
export const DUE_FILTERS_WORDS = { overdue: 'Overdue', 'this-month': 'Due within a month' };
export const OUT_WORDS = { 'not-for-two-years': 'Not out for two years' };
export const SORT_WORDS = { due: 'Sort: next due', added: 'Sort: newest first' };
