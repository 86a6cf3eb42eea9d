import { type ItemFile, type ItemPage, routes } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { idOf, pageOf } from '../../testing/kept';
import { endPage, type Handler, Refusal, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { Face } from './Face';
import { Files } from './Files';
import { GoneForGood, GoneNote } from './Gone';
import { SplitOff } from './SplitOff';

afterEach(endPage);

const ID = idOf(1);
const HASH = 'a'.repeat(64);
const file = (n: number, more: Partial<ItemFile>): ItemFile => ({
  ...{ id: idOf(100 + n), role: 'picture', name: `front ${n}.jpg`, type: 'image/jpeg', bytes: 52_000, blob: HASH, isFace: false },
  at: '2026-03-01T00:00:00.000Z',
  ...more,
});
const paper = file(3, { role: 'receipt', name: 'Rechnung.pdf', type: 'application/pdf' });

const show = (Part: (props: { item: ItemPage }) => React.ReactNode, more: Partial<ItemPage>, handlers: Record<string, Handler> = {}) =>
  showPage(
    () => <Part item={pageOf(ID, more)} />,
    '/gear/x',
    '/gear/x',
    { [`GET ${routes.settings}`]: settingsIn('NOK'), ...handlers },
    { now: () => new Date('2026-03-10T10:00:00Z') },
  );

describe('pictures and papers', () => {
  const choose = (...files: File[]) => fireEvent.change(screen.getByLabelText(/^Add a picture/), { target: { files } });

  it('are sent one after the other, and each that cannot be kept is named with its reason', async () => {
    const unreadable = new Refusal({ status: 422, code: 'file-unreadable', title: 'This is no PDF', detail: 'Send a whole one.' });
    const answers: unknown[] = [paper, unreadable, file(1, {})];
    const page = show(Files, {}, { [`POST ${routes.itemFiles(ID)}`]: () => answers.shift() });
    choose(new File(['%PDF'], 'a.pdf'), new File(['x'], 'b.pdf'), new File(['x'], 'c.jpg'));
    expect(await screen.findByText('One file was not kept.')).toBeTruthy();
    expect(screen.getByText('b.pdf: This is no PDF. Send a whole one.')).toBeTruthy();
    expect(page.written()).toHaveLength(3);
  });

  it('too large are not sent at all', async () => {
    const page = show(Files, {});
    const large = new File([], 'film.jpg');
    Object.defineProperty(large, 'size', { value: 65 * 1024 * 1024 });
    choose(large);
    expect(await screen.findByText('film.jpg: It is larger than 64 MB.')).toBeTruthy();
    expect(page.written()).toEqual([]);
  });

  it('are what the keeper says they are; a paper is never the picture; the thing is known by the one that is chosen', async () => {
    const [one, two] = [file(1, { isFace: true }), file(2, {})];
    const page = show(Files, { files: [one, two, paper] }, { [`PUT ${routes.itemFile(ID, two.id)}`]: { ...two, isFace: true } });
    expect(screen.getByText(/known by this one: front 1.jpg/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Sort them' }));
    expect(within(screen.getByLabelText('What Rechnung.pdf is')).queryByRole('option', { name: 'Picture' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Known by this one' }));
    await waitFor(() => expect(page.written()[0]?.body).toEqual({ name: 'front 2.jpg', role: 'picture', isFace: true }));
  });

  it('are removed only when that is said twice', async () => {
    const page = show(Files, { files: [paper] }, { [`DELETE ${routes.itemFile(ID, paper.id)}`]: undefined });
    fireEvent.click(screen.getByRole('button', { name: 'Sort them' }));
    fireEvent.click(screen.getByRole('button', { name: 'Remove…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(page.written()).toEqual([]);
    fireEvent.click(screen.getByRole('button', { name: 'Remove…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Remove for good' }));
    await waitFor(() => expect(page.written()).toHaveLength(1));
  });

  it('stand on the shelf as its face, or its light path where there is none', () => {
    show(() => <Face item={{ face: HASH, kind: 'lens', traits: {} }} />, {});
    expect(document.querySelector('img')!.getAttribute('src')).toBe(routes.smallPicture(HASH));
    endPage();
    show(() => <Face item={{ face: null, kind: 'lens', traits: {} }} />, {});
    expect(document.querySelectorAll('svg path').length).toBeGreaterThan(3);
  });
});

describe('a thing that is gone', () => {
  it('is said to be, with the day and what came for it', async () => {
    const page = show(GoneForGood, {}, { [`POST ${routes.itemArchive(ID)}`]: pageOf(ID) });
    fireEvent.click(screen.getByRole('button', { name: 'It is gone…' }));
    fireEvent.change(screen.getByLabelText('What became of it?'), { target: { value: 'stolen' } });
    fireEvent.change(await screen.findByLabelText('Paid by the insurer, NOK (if known)'), { target: { value: '900,5' } });
    fireEvent.click(screen.getByRole('button', { name: 'Take it off the shelf' }));
    await waitFor(() => expect(page.written()[0]?.body).toEqual({ version: 1, gone: { why: 'stolen', on: '2026-03-10', for: 900.5 } }));
  });

  it('asks for no sum where nobody pays', async () => {
    const page = show(GoneForGood, {}, { [`POST ${routes.itemArchive(ID)}`]: pageOf(ID) });
    fireEvent.click(screen.getByRole('button', { name: 'It is gone…' }));
    fireEvent.change(screen.getByLabelText(/^Sold for/), { target: { value: '100' } });
    fireEvent.change(screen.getByLabelText('What became of it?'), { target: { value: 'given-away' } });
    expect(screen.queryByLabelText(/NOK/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Take it off the shelf' }));
    await waitFor(() => expect(page.written()[0]?.body).toMatchObject({ gone: { why: 'given-away', for: null } }));
  });

  it('says what is wrong beside the field', async () => {
    const future = new Refusal({ status: 422, code: 'in-the-future', title: 'No', fields: { 'gone.on': 'This day is still to come.' } });
    show(GoneForGood, {}, { [`POST ${routes.itemArchive(ID)}`]: future });
    fireEvent.click(screen.getByRole('button', { name: 'It is gone…' }));
    fireEvent.click(screen.getByRole('button', { name: 'Take it off the shelf' }));
    expect(await screen.findByText('This day is still to come.')).toBeTruthy();
  });

  it('keeps its papers for an insurer where one may ask, and says what came', async () => {
    show(() => <GoneNote gone={{ why: 'stolen', on: '2026-03-02', for: 900 }} />, {});
    expect(await screen.findByText(/Stolen on Mon, 2 March 2026; paid by the insurer 900 NOK\. Its number/)).toBeTruthy();
    endPage();
    show(() => <GoneNote gone={{ why: 'sold', on: '2026-03-02', for: null }} />, {});
    expect(screen.getByText('Sold on Mon, 2 March 2026.')).toBeTruthy();
  });
});

describe('several equal things', () => {
  it('are split, and one comes to the new line from there', async () => {
    const six = { particulars: { count: 6 } };
    const page = show(SplitOff, six, { [`POST ${routes.itemSplit(ID)}`]: pageOf(idOf(2), { particulars: { count: 2 } }) });
    fireEvent.click(screen.getByRole('button', { name: 'Split some off…' }));
    fireEvent.change(screen.getByLabelText('How many of the 6?'), { target: { value: '2' } });
    fireEvent.click(screen.getByRole('button', { name: 'Make it a line of its own' }));
    const link = await screen.findByRole('link', { name: 'a line of their own' });
    expect(link.getAttribute('href')).toBe(`/gear/${idOf(2)}`);
    expect(page.written()[0]?.body).toEqual({ version: 1, count: 2 });
  });

  it('are not offered to be split where there is one', () => {
    show(SplitOff, {});
    expect(screen.queryByRole('button')).toBeNull();
  });
});
