import { sameSerial } from '../../gear/index.js';

/** What a file says of a body or a lens. */
export type FileSays = { maker: string | null; model: string | null; serial: string | null };
/** A thing of the shelf by what is known of it. */
export type NamedThing = { id: string; name: string; maker?: string | undefined; model?: string | undefined; serial?: string | undefined };
/** Which thing it is and by what that is known; null with those it may be where more than one, or none, answers. */
export type WhichThing = { id: string; by: 'serial' | 'model' | 'name' } | { id: null; mayBe: string[] };

const words = (text: string | null | undefined): string[] => (text ?? '').toLowerCase().match(/[\p{L}\p{N}.]+/gu) ?? [];
const plain = (text: string | null | undefined): string => words(text).join('');

/** Camera files write the maker into the model or leave it out: both are the same model. */
const modelsOf = ({ maker, model }: { maker?: string | null | undefined; model?: string | null | undefined }): string[] => {
  const [m, of] = [plain(model), plain(maker)];
  if (m === '') return [];
  return of !== '' && m.startsWith(of) && m.length > of.length ? [m, m.slice(of.length)] : [m, of + m];
};

/**
 * Which thing a file speaks of: the one with this serial number; else the only one of this model, or whose name holds it
 * word by word, that has no other number. Two that answer alike are never chosen between.
 */
export function whichThing(says: FileSays, things: readonly NamedThing[]): WhichThing {
  const serial = sameSerial(says.serial ?? undefined);
  const numbered = serial === '' ? [] : things.filter((t) => sameSerial(t.serial) === serial);
  if (numbered.length === 1) return { id: numbered[0]!.id, by: 'serial' };
  if (numbered.length > 1) return { id: null, mayBe: numbered.map((t) => t.id) };
  const free = things.filter((t) => serial === '' || sameSerial(t.serial) === '');
  const models = modelsOf(says);
  const ofModel = free.filter((t) => modelsOf(t).some((m) => models.includes(m)));
  if (ofModel.length === 1) return { id: ofModel[0]!.id, by: 'model' };
  if (ofModel.length > 1) return { id: null, mayBe: ofModel.map((t) => t.id) };
  const asked = words(says.model);
  const named = asked.length === 0 ? [] : free.filter((t) => asked.every((w) => words(t.name).includes(w)));
  return named.length === 1 ? { id: named[0]!.id, by: 'name' } : { id: null, mayBe: named.map((t) => t.id) };
}
