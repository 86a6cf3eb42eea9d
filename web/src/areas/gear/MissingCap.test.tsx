import { routes } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { dutyOf } from '../../testing/duties';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { MissingCap } from './MissingCap';

afterEach(endPage);

type Shown = Parameters<typeof MissingCap>[0]['item'];
const lens: Shown = { id: '1', kind: 'lens', traits: {}, due: [] };
const show = (item: Shown, answer: Handler = { entryId: 'e' }) =>
  showPage(() => <MissingCap item={item} />, '/', '/', { [`POST ${routes.capMissing}`]: answer });
const missing = (...surfaces: ('front-cap' | 'rear-cap')[]) => [dutyOf('cap-missing', { facts: { says: 'caps', missing: surfaces } })];

describe('a lost cap', () => {
  it('is noted in two taps', async () => {
    const page = show(lens);
    fireEvent.click(screen.getByRole('button', { name: 'A cap is missing…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Rear cap' }));
    await waitFor(() => expect(page.written()[0]!.body).toEqual({ itemId: '1', surface: 'rear-cap' }));
    expect(await screen.findByRole('button', { name: 'A cap is missing…' })).toBeTruthy();
  });

  it('is asked for once: what is noted is not offered again, and of what has no caps nothing is', () => {
    show({ ...lens, due: missing('front-cap') });
    fireEvent.click(screen.getByRole('button', { name: 'A cap is missing…' }));
    expect(screen.queryByRole('button', { name: 'Front cap' })).toBeNull();
    endPage();
    show({ ...lens, due: missing('front-cap', 'rear-cap') });
    expect(screen.queryByRole('button')).toBeNull();
    endPage();
    show({ ...lens, kind: 'filter' });
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('says what the server says where it refuses, and leaves the choice open', async () => {
    show(lens, new Refusal({ status: 409, code: 'cap-missing-already', title: 'That is noted already' }));
    fireEvent.click(screen.getByRole('button', { name: 'A cap is missing…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Front cap' }));
    expect(await screen.findByText('That is noted already')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Front cap' })).toBeTruthy();
  });
});
