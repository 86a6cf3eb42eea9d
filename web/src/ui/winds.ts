/** What one says of a wind, and what it is reckoned as, m/s (our choice). */
export const WINDS = { calm: ['Calm', 0], breeze: ['A breeze on the face', 2.5], wind: ['Leaves and twigs move', 5] } as const;
export type Wind = keyof typeof WINDS;
