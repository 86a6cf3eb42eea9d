import type { SupplyInput } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { useState } from 'react';
import { Controller, type Control } from 'react-hook-form';
import { toNumber } from '../../ui/toNumber';

type Props = { control: Control<SupplyInput>; name: 'stock' | 'packSize'; isFluid: boolean; invalid: boolean };

/** How much of it: a fluid in millilitres, as one reads them off a bottle, kept in drops; the rest by the piece. */
export function AmountField({ control, name, isFluid, invalid }: Props) {
  // What is typed stays as it is typed: drops turned back into millilitres would move the digits under one's hand.
  const [text, setText] = useState<string>();
  const shown = (units: number) => String(isFluid ? care.dropsToMl(units) : units);
  const kept = (typed: unknown) => (isFluid && typeof typed === 'number' ? care.mlToDrops(typed) : typed);
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <input
          id={name}
          inputMode="decimal"
          className="input"
          aria-invalid={invalid}
          value={text ?? (field.value === null ? '' : shown(field.value))}
          onChange={(e) => {
            setText(e.target.value);
            field.onChange(kept(toNumber(e.target.value)));
          }}
        />
      )}
    />
  );
}
