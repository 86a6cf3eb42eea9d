import { routes, type Supply } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { idOf, pageOf } from '../../testing/kept';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { RetouchCost } from './RetouchCost';

afterEach(endPage);

const body = pageOf(idOf(1), { kind: 'mirrorless-body', traits: { servicePrice: 70 } });
const pack = (id: string, thing: care.Material, packPrice: number | null): Supply => ({
  id,
  version: 1,
  thing,
  role: 'sensor',
  state: 'clean',
  usesSinceWash: 0,
  stock: 100,
  packSize: 100,
  packPrice,
  openedOn: null,
  widthMm: thing === 'sensor-swab' ? 24 : null,
  note: '',
  kit: null,
});
const show = (supplies: Supply[]) =>
  showPage(() => <RetouchCost item={body} shows={4} />, '/', '/', {
    [`GET ${routes.supplies}`]: { supplies, isAll: false, along: null },
    [`GET ${routes.settings}`]: {
      ...settingsIn('NOK'),
      schools: { ...settingsIn('NOK').schools, sensor: 'self' },
      sensorRehearsedOn: '2026-01-01',
    },
  });

describe('what a clean costs against a workshop', () => {
  it('says after how many the packs have paid, where it is known what they cost', async () => {
    show([pack('1', 'sensor-fluid', 150), pack('2', 'sensor-swab', 300)]);
    expect(
      await screen.findByText(/At NOK 70 the packs it takes from, NOK 450 in all, have paid for themselves after \d+ cleans\./),
    ).toBeTruthy();
  });
  it('and does not guess it where one of them is not known', async () => {
    show([pack('1', 'sensor-fluid', 150), pack('2', 'sensor-swab', null)]);
    expect(await screen.findByText(/Against that, a clean of one’s own/)).toBeTruthy();
    expect(screen.queryByText(/have paid for themselves/)).toBeNull();
  });
});
