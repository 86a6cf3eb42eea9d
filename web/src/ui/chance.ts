/** A chance as one says it: "7 times in 10". */
export function ofTen(chance: number): string {
  const tenths = Math.round(chance * 10);
  if (tenths === 0) return 'hardly ever';
  return tenths === 10 ? 'nearly always' : `${tenths} ${tenths === 1 ? 'time' : 'times'} in 10`;
}
