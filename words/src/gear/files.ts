import type { gear } from '@bright-keeper/core';

export const FILE_ROLE_WORDS: Record<gear.FileRole, string> = {
  picture: 'Picture',
  receipt: 'Receipt',
  manual: 'Manual',
  report: 'Report or estimate',
  other: 'Other paper',
};

export const GONE_WORDS: Record<gear.GoneReason, string> = {
  sold: 'sold',
  'given-away': 'given away',
  lost: 'lost',
  stolen: 'stolen',
  broken: 'broken beyond repair',
};

/** What a sum that came for it is. */
export const GONE_SUM_WORDS: Record<gear.GoneReason, string> = {
  sold: 'Sold for',
  'given-away': '',
  lost: 'Paid by the insurer',
  stolen: 'Paid by the insurer',
  broken: 'Paid by the insurer',
};
