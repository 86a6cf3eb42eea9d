/** How a surface is looked at: the lamp, the angle, and how the thing is held. What may lie there, each soil's record says. */
export type LookManner = { lamp: string; angle: string; handling: string };
