import { schedule } from '@bright-keeper/core';
import { createContext, useContext, type ReactNode } from 'react';
import { outside } from '../outside';

/** Asked once: it costs as much as a hundred dates. */
let ownZone: string | null = null;
const browserZone = (): string => (ownZone ??= Intl.DateTimeFormat().resolvedOptions().timeZone);
const Zone = createContext<string | null>(null);

/** The household's time zone decides which day it is, wherever the browser stands. */
export const InZone = ({ timeZone, children }: { timeZone: string | null; children: ReactNode }) => (
  <Zone value={timeZone}>{children}</Zone>
);

/** Until the settings have come, the browser's own. */
export const useZone = (): string => useContext(Zone) ?? browserZone();

/** Today's calendar day of the household. */
export const useToday = (): schedule.Day => schedule.localDay(outside.now(), useZone());
