import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { SupplyInput } from '@bright-keeper/contract';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { SupplyForm } from './SupplyForm';
import { stockWords } from './words';

afterEach(cleanup);

const NEW: SupplyInput = {
  thing: 'bulb-blower',
  state: 'clean',
  stock: null,
  packSize: null,
  packPrice: null,
  openedOn: null,
  widthMm: null,
  note: '',
};

describe('a stock in words', () => {
  it.each([
    ['lens-fluid', 1200, '60 mL, 600 cleans'],
    ['lens-fluid', 15, '0.8 mL, 7 cleans'],
    ['lens-tissue', 1, '1 sheet'],
    ['sensor-swab', 4, '4 swabs'],
  ] as const)('%s, %i units: %s', (thing, stock, words) => expect(stockWords(thing, stock)).toBe(words));
});

describe('putting something in', () => {
  const fill = (steps: () => void) => {
    const save = vi.fn((_: SupplyInput) => Promise.resolve());
    render(<SupplyForm kits={[]} start={NEW} verb="Put it in" save={save} onDone={() => undefined} error={null} />);
    steps();
    fireEvent.click(screen.getByRole('button', { name: 'Put it in' }));
    return save;
  };

  it('reads a fluid in millilitres and keeps it in drops', async () => {
    const save = fill(() => {
      fireEvent.change(screen.getByLabelText('What'), { target: { value: 'lens-fluid' } });
      fireEvent.change(screen.getByLabelText('How much is left (mL)'), { target: { value: '12.5' } });
    });
    await waitFor(() => expect(save).toHaveBeenCalled());
    expect(save.mock.calls[0]![0]).toMatchObject({ thing: 'lens-fluid', stock: 250 });
  });

  it('takes what nobody counted as unknown, not as nothing', async () => {
    const save = fill(() => fireEvent.change(screen.getByLabelText('What'), { target: { value: 'lens-tissue' } }));
    await waitFor(() => expect(save).toHaveBeenCalled());
    expect(save.mock.calls[0]![0]).toMatchObject({ thing: 'lens-tissue', stock: null });
  });

  it('keeps what was typed and says beside the field what is wrong with it', async () => {
    const save = fill(() => {
      fireEvent.change(screen.getByLabelText('What'), { target: { value: 'lens-fluid' } });
      fireEvent.change(screen.getByLabelText('How much is left (mL)'), { target: { value: 'half' } });
    });
    await screen.findByRole('alert');
    expect(screen.getByLabelText<HTMLInputElement>('How much is left (mL)').value).toBe('half');
    expect(save).not.toHaveBeenCalled();
  });

  it('counts another thing anew: drops are no sheets', async () => {
    const save = fill(() => {
      fireEvent.change(screen.getByLabelText('What'), { target: { value: 'lens-fluid' } });
      fireEvent.change(screen.getByLabelText('How much is left (mL)'), { target: { value: '50' } });
      fireEvent.change(screen.getByLabelText('What'), { target: { value: 'lens-tissue' } });
    });
    await waitFor(() => expect(save).toHaveBeenCalled());
    expect(save.mock.calls[0]![0].stock).toBeNull();
  });
});
