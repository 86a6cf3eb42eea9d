import type { Role } from '@bright-keeper/contract';
import { useSyncExternalStore } from 'react';
import { ownRole } from './ownRole';

/** What whoever is at this browser may do; null where the household is kept by one alone. */
export const useOwnRole = (): Role | null => useSyncExternalStore(ownRole.subscribe, ownRole.get);
