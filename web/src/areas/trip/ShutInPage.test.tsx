import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { ShutInPage } from './ShutInPage';
import { givesWayAt, gramsWords, shutInFrom } from './shutInView';

afterEach(endPage);
const show = (query = '') => showPage(ShutInPage, '/outings/shut-in', `/outings/shut-in${query}`, {});

describe('what is shut in', () => {
  it('says of a port that it fogs, how much settles, and what keeps it clear', async () => {
    show('?volumeL=10&closedC=28&closedPct=75&waterC=18');
    expect(await screen.findByText('It fogs from within')).toBeTruthy();
    expect(screen.getByText(/would be at 13[23] %: 0\.1 g of water settles/)).toBeTruthy();
    expect(screen.getByText(/^0\.[34] g of freshly dried gel keeps it at 80 %/)).toBeTruthy();
  });

  it('promises nothing between fogging and clear', async () => {
    show('?closedC=20&closedPct=70&waterC=16');
    expect(await screen.findByText('It may fog at the glass')).toBeTruthy();
    endPage();
    show('?closedC=20&closedPct=40&waterC=18');
    expect(await screen.findByText('It stays clear')).toBeTruthy();
    expect(screen.queryByText(/freshly dried gel keeps/)).toBeNull();
  });

  it('says of a bag how warm it gets and what gives way, and less of a light one', async () => {
    const page = show('?airC=32&startC=28&thing=small-lens');
    expect(await screen.findByText('The bag comes to about 56 °C')).toBeTruthy();
    expect(screen.getByText(/From 50 °C on: Old cement/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'A light bag, or a white cloth over it' }));
    await waitFor(() => expect(page.address()).toContain('shelter=light-bag'));
    expect(await screen.findByText('The bag comes to about 41 °C')).toBeTruthy();
    expect(screen.getByText(/A parked car comes to about 57 °C in an hour, and does more harm/)).toBeTruthy();
  });

  it('says beside a field what it cannot read, keeps it, and answers nothing from it', async () => {
    show('?waterC=cold');
    expect(await screen.findByText('A number from -2 to 40.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(/^The water, °C/).value).toBe('cold');
    expect(screen.queryByText(/fogs|stays clear|may fog/)).toBeNull();
  });

  it.each(['shelter=moon', 'sun=constructor', 'breeze=toString', 'thing=__proto__'])('takes the usual for %s', (wrong) => {
    expect(shutInFrom(new URLSearchParams(wrong))).toEqual(shutInFrom(new URLSearchParams()));
  });

  it('weighs upwards, and names no more than gives way', () => {
    expect([gramsWords(0.21), gramsWords(9.99), gramsWords(12.2)]).toEqual(['0.3 g', '10.0 g', '13 g']);
    expect(givesWayAt(39)).toEqual([]);
    expect(givesWayAt(46)).toHaveLength(2);
  });
});
