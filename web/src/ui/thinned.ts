/** As wide as a course is drawn, and so as many points of it as can be told apart. */
export const COURSE_WIDTH = 640;

/** A course in hardly more points than are drawn, evenly taken from its beginning on. */
export function thinned(course: ArrayLike<number>): number[] {
  const step = Math.max(1, Math.floor(course.length / COURSE_WIDTH));
  return Array.from({ length: Math.ceil(course.length / step) }, (_, i) => course[i * step]!);
}
