import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { routes, type BenchDays, type Devices, type Log, type Outing, type Places, type Shelf } from '@bright-keeper/contract';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { start, type Running } from './server.js';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** The demo household, running, and an address of every view in it. */
export async function startDemo(request: APIRequestContext): Promise<{ running: Running; views: Record<string, string> }> {
  const running = await start({ program: 'demo' });
  const { items } = (await (await request.get(`${running.url}${routes.gear}?limit=200`)).json()) as Shelf;
  const id = items.find((i) => i.name === 'Corvane 35/2')!.id;
  const look = (await (
    await request.post(running.url + routes.looks, { data: { itemId: items.find((i) => i.name === 'Corvane 28/2')!.id } })
  ).json()) as { id: string };
  const cleaning = (await (await request.post(running.url + routes.cleanings, { data: { itemId: id, place: 'home' } })).json()) as {
    id: string;
  };
  const { places } = (await (await request.get(running.url + routes.places)).json()) as Places;
  const { devices } = (await (await request.get(running.url + routes.devices)).json()) as Devices;
  const { plan } = (await (await request.get(running.url + routes.benchDays)).json()) as BenchDays;
  const cupboard = places.find((p) => p.name === 'Oak cupboard')!;
  const body = items.find((i) => i.name === 'Skerrow M2')!;
  const old = items.find((i) => i.name.startsWith('Ostrane 58'))!;
  const outings = (await (await request.get(running.url + routes.outings)).json()) as Outing[];
  const { entries } = (await (await request.get(running.url + routes.itemLog(id))).json()) as Log;
  const over = entries.map((e) => e.data).find((data) => data.kind === 'look')!;
  const teardown = (await (
    await request.post(running.url + routes.teardowns, { data: { itemId: old.id, depth: 'front-group' } })
  ).json()) as { id: string };
  const views = {
    Today: '/',
    Gear: '/gear',
    'Add a thing': '/gear/new',
    'What fits what': '/gear/fit',
    Inventory: '/gear/inventory',
    Labels: '/gear/labels',
    Import: '/gear/import',
    Item: `/gear/${id}`,
    Edit: `/gear/${id}/edit`,
    Plan: `/gear/${id}/plan`,
    Clean: '/clean',
    Look: `/look/${look.id}`,
    'Correct a look': `/look/${over.lookId}/correct`,
    'Inventory, a page a thing': '/gear/inventory?as=pages',
    'What is gone': '/gear/inventory?as=gone',
    'A part of a thing': `/gear/new?to=${id}`,
    Bench: `/bench/${cleaning.id}`,
    Storage: '/storage',
    'Add a place': '/storage/new',
    Homes: '/storage/homes',
    Place: `/storage/${cupboard.id}?span=year`,
    'Edit a place': `/storage/${cupboard.id}/edit`,
    'What if': `/storage/${cupboard.id}/what-if?ownWarmerC=0`,
    'What if, by rule of thumb': `/storage/${places.find((p) => p.name === 'Gasket box')!.id}/what-if`,
    Hygrometers: `/hygrometers?device=${devices[0]!.id}`,
    'Import a log': `/hygrometers/${devices[0]!.id}/log`,
    'In from the cold': '/warm-up',
    'Dew tonight': '/dew',
    'Vapour in the room': '/vapour?solvent=methanol&mL=60',
    'What care took': '/costs',
    'Condition report': `/report?thing=${old.id}`,
    'Report of the shelf': '/report?parts=surfaces',
    'Check a report': '/report/check',
    Practice: '/practice?run=sensor',
    'Practice in the dark': '/practice?run=dark',
    'How did it get dirty': '/causes',
    'Worth buying': '/offer?where=front&how=web&clean=300&asked=120',
    'Marks on the glass': '/offer?trouble=marks&clean=300&asked=120',
    'Pack for it': '/outings/pack?ground=shore&days=2&weather=wind',
    'In the field': '/field?happened=sand',
    'Open it or not': `/gear/${old.id}/opening`,
    Opened: `/teardown/${teardown.id}`,
    'Dust on the sensor': `/gear/${body.id}/frames`,
    'Front mark': `/gear/${id}/front-mark`,
    Glare: `/gear/${items.find((i) => i.name.startsWith('Ostrane 135'))!.id}/glare`,
    'Who changed what': '/settings/data/trail',
    'Stuck filter': `/gear/${id}/stuck-filter`,
    Calendar: '/calendar',
    'Calendar, a month': '/calendar?view=month',
    'Calendar, a year': '/calendar?view=year',
    'A week to print': '/calendar/week',
    'Bench day': `/calendar/bench/${plan.days[0]!.day}`,
    Rhythms: '/calendar/rhythms?duty=light-test',
    'Other calendars': '/calendar/others',
    Outings: '/outings?outing=new',
    Outing: `/outings/${outings.find((o) => o.kit !== null)!.id}`,
    'Lens change': '/outings/lens-change?wind=raises-dust&air=light-rain&has=cover&lengths=24,70,24,200&bodies=1',
    'From pictures': '/outings/pictures',
    'Shut in': '/outings/shut-in?closedC=28&closedPct=75&waterC=18',
    Supplies: '/supplies',
    Handbook: '/handbook',
    'Your data': '/settings/data',
    Access: '/settings/access',
    Alarms: '/settings/alarms',
    'Where is the dirt': '/diagnose',
    Settings: '/settings',
  };
  return { running, views };
}

/** Opens a view and waits until it has all it asks for. */
export async function open(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.waitForLoadState('networkidle');
}

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'];

/** Serious faults of WCAG 2.1 A and AA, by axe-core; of some of its rules only, where they are named. */
export const faults = async (page: Page, rules?: string[]): Promise<string[]> => {
  await page.evaluate(AXE);
  return page.evaluate(async (runOnly) => {
    const { axe } = window as unknown as {
      axe: {
        run: (context: Document, options: object) => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }>;
      };
    };
    const { violations } = await axe.run(document, { runOnly });
    return violations.filter((v) => ['serious', 'critical'].includes(v.impact)).map((v) => `${v.id}: ${v.nodes[0]!.html.slice(0, 160)}`);
  }, rules ?? WCAG);
};
