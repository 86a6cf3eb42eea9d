import { customType, timestamp } from 'drizzle-orm/pg-core';

/** An instant to the millisecond. */
export const instant = (name: string) => timestamp(name, { withTimezone: true, precision: 3 });
/** Bytes as they are. */
export const bytes = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' });
