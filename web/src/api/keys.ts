/** Every query key, in one place, so that a change knows what it makes stale. */
export const keys = {
  today: ['today'] as const,
  shelf: ['gear', 'shelf'] as const,
  shelfBy: (filters: object) => ['gear', 'shelf', filters] as const,
  item: (id: string) => ['gear', 'item', id] as const,
  log: (id: string) => ['gear', 'log', id] as const,
  look: (id: string) => ['inspection', 'look', id] as const,
  cleaning: (id: string) => ['care', 'cleaning', id] as const,
  cleanings: ['care', 'cleanings'] as const,
  drawer: ['supplies', 'drawer'] as const,
  places: ['storage', 'places'] as const,
  teardown: (id: string) => ['care', 'teardown', id] as const,
  settings: ['settings'] as const,
};
