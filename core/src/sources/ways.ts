/** How readings come from a device to here: what a household can choose for one. */
export const WAY_IDS = ['hand', 'csv', 'folder', 'push', 'mqtt', 'poll'] as const;
export type WayId = (typeof WAY_IDS)[number];

/** One way: who begins, and whether a silence of its intervals says that something is wrong. */
export type Way = {
  /** It is fetched, listened to or watched by the program, as the keeper has said where. */
  isFed: boolean;
  /** It should be heard at its interval; what a person reads or copies comes when they do. */
  isSteady: boolean;
};

export const WAYS: Readonly<Record<WayId, Way>> = {
  hand: { isFed: false, isSteady: false },
  csv: { isFed: false, isSteady: false },
  folder: { isFed: true, isSteady: false },
  push: { isFed: false, isSteady: true },
  mqtt: { isFed: true, isSteady: true },
  poll: { isFed: true, isSteady: true },
};
