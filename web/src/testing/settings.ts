import type { Settings } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';

/** Settings as a household begins with them, in this currency. */
export const settingsIn = (currency: string): Settings => ({
  version: 1,
  schools: care.DEFAULT_SCHOOLS,
  timeZone: 'UTC',
  currency,
  sensorRehearsedOn: null,
  drawerIsAll: false,
});
