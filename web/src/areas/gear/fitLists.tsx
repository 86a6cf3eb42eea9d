import type { JoinedThings, NamedThing, ScrewedThings } from '@bright-keeper/contract';
import type { gear } from '@bright-keeper/core';
import { Fragment, type ReactNode } from 'react';
import { Link } from 'react-router';

const ThingLink = ({ thing }: { thing: NamedThing }) => (
  <Link className="font-medium hover:underline" to={`/gear/${thing.id}`}>
    {thing.name}
  </Link>
);

/** "A, B and C" */
function series(parts: readonly { key: string; node: ReactNode }[]): ReactNode {
  return parts.map(({ key, node }, i) => (
    <Fragment key={key}>
      {i > 0 && (i === parts.length - 1 ? ' and ' : ', ')}
      {node}
    </Fragment>
  ));
}
export const ThingLinks = ({ things }: { things: readonly NamedThing[] }) =>
  series(things.map((thing) => ({ key: thing.id, node: <ThingLink thing={thing} /> })));

/** A thing, and through what. */
const reached = (thing: NamedThing, through: readonly NamedThing[], word: 'through' | 'with') => ({
  key: `${thing.id} ${through.map((t) => t.id).join(' ')}`,
  node: (
    <>
      <ThingLink thing={thing} />
      {through.length > 0 && ` (${word} `}
      <ThingLinks things={through} />
      {through.length > 0 && ')'}
    </>
  ),
});

/** A line of a list: what is said, and of which things. */
export type FitLine = { key: string; label: ReactNode; things: ReactNode };
export const FitLines = ({ lines }: { lines: readonly FitLine[] }) => (
  <ul className="sheet divide-y divide-line">
    {lines.map(({ key, label, things }) => (
      <li key={key} className="px-4 py-2">
        {label} {things}
      </li>
    ))}
  </ul>
);

const soft = (words: string) => <span className="text-soft">{words}</span>;

function grouped<T>(all: readonly T[], keyOf: (one: T) => string): T[][] {
  const groups = new Map<string, T[]>();
  for (const one of all) groups.set(keyOf(one), [...(groups.get(keyOf(one)) ?? []), one]);
  return [...groups.values()];
}

/** What goes on the same bodies through the same is one line. */
export function jointLines(mounts: readonly JoinedThings[]): FitLine[] {
  const ofOne = grouped(mounts, (joint) => joint.thing.id);
  const endsOf = (joints: readonly JoinedThings[]) => joints.map((j) => reached(j.on, j.through, 'through'));
  const alike = grouped(ofOne, (joints) =>
    endsOf(joints)
      .map((end) => end.key)
      .join('/'),
  );
  return alike.map((group) => ({
    key: group[0]![0]!.thing.id,
    label: (
      <>
        <ThingLinks things={group.map((joints) => joints[0]!.thing)} /> {soft('on')}
      </>
    ),
    things: series(endsOf(group[0]!)),
  }));
}

/** From the side of one thing: what it goes on, what it takes, or what it joins. */
export function jointLinesOf(id: string, mounts: readonly JoinedThings[]): FitLine[] {
  const goes = mounts.filter((j) => j.thing.id === id);
  const takes = mounts.filter((j) => j.on.id === id);
  const between = mounts.filter((j) => j.through.some((t) => t.id === id));
  return [
    ...(goes.length > 0
      ? [{ key: 'on', label: soft('Goes on'), things: series(goes.map((j) => reached(j.on, j.through, 'through'))) }]
      : []),
    ...(takes.length > 0
      ? [{ key: 'takes', label: soft('Takes'), things: series(takes.map((j) => reached(j.thing, j.through, 'through'))) }]
      : []),
    ...jointLines(between).map((line) => ({
      ...line,
      label: (
        <>
          {soft('Brings')} {line.label}
        </>
      ),
    })),
  ];
}

/** How a filter comes before a thread, from the side of the filter and from that of the lens. */
const FITS: Record<gear.FilterFit, Record<'before' | 'filter', string>> = {
  direct: { before: 'As it is before', filter: 'Takes, as they are:' },
  'by-rings': { before: 'With rings you have before', filter: 'Takes, with rings you have:' },
  'ring-missing': { before: 'With a step ring you do not have before', filter: 'Takes, with a step ring you do not have:' },
  'too-small': { before: 'Smaller than the thread, so that it shades the corners, of', filter: 'Smaller than its thread:' },
};
const FIT_ORDER = Object.keys(FITS) as gear.FilterFit[];

/** One line for each way filters come before lenses. @param side which of the two is named */
export const pairLines = (pairs: readonly ScrewedThings[], side: 'before' | 'filter'): FitLine[] =>
  FIT_ORDER.flatMap((fit) => {
    const some = pairs.filter((p) => p.fit === fit);
    if (some.length === 0) return [];
    return [{ key: fit, label: soft(FITS[fit][side]), things: series(some.map((p) => reached(p[side], p.rings, 'with'))) }];
  });

/** Filters of one thread come before the same lenses in the same way: they are told together. */
export const filtersAlike = (pairs: readonly ScrewedThings[]): ScrewedThings[][][] =>
  grouped(
    grouped(pairs, (p) => p.filter.id),
    (own) => JSON.stringify(own.map((p) => [p.before.id, p.fit, p.rings.map((r) => r.id)])),
  );
