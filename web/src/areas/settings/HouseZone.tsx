import type { ReactNode } from 'react';
import { InZone } from '../../ui/zone';
import { useSettings } from './queries';

/** Every page counts days as the household does. */
export function HouseZone({ children }: { children: ReactNode }) {
  const settings = useSettings();
  return <InZone timeZone={settings.data?.timeZone ?? null}>{children}</InZone>;
}
