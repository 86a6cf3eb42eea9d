import type { trip } from '@bright-keeper/core';
import type { ReactNode } from 'react';
import { Notice } from '../../ui/parts';

/** What cannot go, and whose word counts. @param hasCells spare cells go along. */
export const CarrierRules = ({ travel, hasCells = true, children }: { travel: trip.Travel; hasCells?: boolean; children?: ReactNode }) =>
  travel === 'own-way' ? null : (
    <Notice tone="attention">
      {children}
      <p>
        {travel === 'flight'
          ? `Nothing flammable is packed.${hasCells ? ' Spare cells go in the cabin, never in the hold, each with its contacts covered.' : ''} The airline’s and the authority’s dangerous-goods rules decide: ask them before you go.`
          : 'Neither cells nor anything flammable is packed. The carrier’s rules decide: ask before you send it.'}
      </p>
    </Notice>
  );
