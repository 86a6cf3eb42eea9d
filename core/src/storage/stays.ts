/** One stay of a thing in a place, instants in ISO 8601; `until` is null while it lies there. */
export type StaySpan = { placeId: string; since: string; until: string | null };

/** Where a thing lies, and since when: null is a place nobody knows. */
export type StayTold = { placeId: string | null; since: string };

export type StayChange<Stay extends StaySpan = StaySpan> =
  /** It is known already. */
  | { change: 'none' }
  /** The stay it is in ends then, where it is in one, and the next begins. */
  | { change: 'moved' }
  /** What was said of where it lies was not so: the stay that is under way gives way to what is told. */
  | { change: 'corrected'; before: Stay }
  /** It lay elsewhere until later than that. */
  | { change: 'refused'; lay: Stay };

/**
 * What telling where a thing lies makes of its stays. The last word on where it is counts: a stay under way that began
 * earlier ends, one that began later, or is in the same place, gives way. One that is over stands, so no two ever overlap.
 *
 * @param stays oldest first.
 */
export function stayChange<Stay extends StaySpan>(stays: readonly Stay[], { placeId, since }: StayTold): StayChange<Stay> {
  const last = stays.at(-1);
  const open = last?.until === null ? last : null;
  const ended = open ? stays.at(-2) : last;
  const here = (open?.placeId ?? null) === placeId;
  if (here && (!open || open.since === since)) return { change: 'none' };
  if (ended && ended.until! > since) return { change: 'refused', lay: ended };
  return open && (here || since <= open.since) ? { change: 'corrected', before: open } : { change: 'moved' };
}
