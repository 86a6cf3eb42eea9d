import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import type { ReactNode } from 'react';

/** One line that opens. */
export const Fold = ({ title, aside, children }: { title: string; aside?: string; children: ReactNode }) => (
  <Disclosure as="div">
    <DisclosureButton className="group flex min-h-11 w-full items-center gap-2 px-4 text-left font-medium">
      <ChevronDown size={18} className="group-data-open:rotate-180" aria-hidden="true" /> {title}
      {aside && <span className="ml-auto text-sm font-normal text-soft">{aside}</span>}
    </DisclosureButton>
    <DisclosurePanel>{children}</DisclosurePanel>
  </Disclosure>
);
