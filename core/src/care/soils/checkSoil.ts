import { LADDERS } from '../knowledge/ladders.js';
import { familyOf, type Family, type Surface } from '../knowledge/surfaces.js';
import type { Lies, SoilFacts } from './soil.js';

function familyFaults(family: Family, lies: Lies, { actFrom }: SoilFacts): string[] {
  const faults: string[] = [];
  const ladder = LADDERS[family];
  const takes = Object.keys(lies.takes ?? {});
  const finish = Object.keys(lies.finish ?? {});
  if (!/[.!?]$/.test(lies.act)) faults.push(`on ${family}: it wants a sentence that says why it matters there`);
  if ((lies.actFrom ?? actFrom) > 1 && !lies.leave) faults.push(`on ${family}: it wants a sentence that says why less of it may stay`);
  if (takes.length === 0 && !lies.ends) faults.push(`on ${family}: it wants rungs that take it (takes), or what becomes of it (ends)`);
  for (const method of takes)
    if (!ladder.some((r) => r.method === method && !r.finisher)) faults.push(`on ${family}: the ladder there has no rung ${method}`);
  for (const method of finish)
    if (!ladder.some((r) => r.method === method && r.finisher)) faults.push(`on ${family}: the ladder there has no finisher ${method}`);
  return faults;
}

/**
 * What a soil's record still lacks that types cannot see, in words for whoever adds one: a family without rungs or a
 * reason, nowhere that a look asks for it, nothing people call it, a soil no situation of the book has. Empty when it
 * is whole.
 *
 * @param inTheBook the soils that situations find.
 */
export function checkSoil(id: string, soil: SoilFacts, inTheBook: ReadonlySet<string>): string[] {
  const families = Object.keys(soil.on) as Family[];
  const special = [...(Object.keys(soil.at) as Surface[]), ...(soil.onlyAt ?? [])];
  const asked = [...Object.values(soil.on), ...Object.values(soil.at)].some((l) => l?.asked !== undefined);
  return [
    ...(soil.name === '' || soil.tell === '' || soil.why === ''
      ? ['it wants a name, what gives it away (tell) and what it does (why)']
      : []),
    ...(soil.words.length === 0 ? ['it wants words: what people say for it when they search'] : []),
    ...(families.length === 0 ? ['on names no family it can lie on'] : []),
    ...(asked ? [] : ['no look asks for it: give it a place (asked) on one family at least']),
    ...special.filter((s) => !families.includes(familyOf(s))).map((s) => `${s} is named, but on does not hold its family ${familyOf(s)}`),
    ...families.flatMap((family) => familyFaults(family, soil.on[family]!, soil)),
    ...(inTheBook.has(id) ? [] : ['no situation of the book finds it: add a row']),
  ].map((fault) => `soil ${id}: ${fault}`);
}
