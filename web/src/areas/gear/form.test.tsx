import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { KindField, TraitFields } from './ItemFields';
import { useItemForm } from './useItemForm';

afterEach(cleanup);

function Form() {
  const { kind, fields, changeKind } = useItemForm({ name: 'X', kind: 'lens', traits: {}, notes: '', acquiredOn: null });
  return (
    <form>
      <KindField control={fields.control} onKind={changeKind} />
      <TraitFields kind={kind} form={fields} />
    </form>
  );
}
const box = (name: RegExp) => screen.getByRole<HTMLInputElement>('checkbox', { name });
const choice = (name: string) => screen.getByLabelText<HTMLSelectElement>(name);
const tell = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('the form of a thing', () => {
  it('sets what is usual for the year that is told, and says why', () => {
    render(<Form />);
    expect(box(/Electronic contacts/).checked).toBe(true);
    tell('Year made', '1958');
    expect(box(/Electronic contacts/).checked).toBe(false);
    expect(box(/Open focus thread/).checked).toBe(true);
    expect(choice('Coating').value).toBe('single');
    expect(screen.getByText('Up to about 1970 glass has one soft layer.')).toBeTruthy();
  });

  it('leaves what was ticked by hand when the year changes', () => {
    render(<Form />);
    fireEvent.click(box(/Rubberised finish/));
    tell('Year made', '1950');
    expect(box(/Rubberised finish/).checked).toBe(true);
    tell('Year made', '2012');
    expect(choice('Coating').value).toBe('multi');
    expect(box(/Electronic contacts/).checked).toBe(true);
  });

  it('keeps nothing of the old kind’s design, but its year', () => {
    render(<Form />);
    tell('Year made', '1990');
    fireEvent.click(screen.getByRole('radio', { name: 'SLR body' }));
    expect(box(/Digital/).checked).toBe(false);
    fireEvent.click(screen.getByRole('radio', { name: 'underwater port' }));
    expect(choice('Optic made of').value).toBe('acrylic');
    fireEvent.click(screen.getByRole('radio', { name: 'lens' }));
    expect(choice('Optic made of').value).toBe('glass');
  });
});
