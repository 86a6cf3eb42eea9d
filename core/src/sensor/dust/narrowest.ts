/** The thinnest cover glass there is, air-equivalent, mm (our choice): dust lies no nearer to the photosites. */
const THINNEST_GLASS_MM = 0.3;
/** A lens, its aperture and the pixels let a little less through than they should: so much of the cone must be there. */
const LEAST_CONE = 0.8;
/** Measured widths are this far off, and sharpening makes them narrower still. */
const OFF_BY = 1.12;
/** With nothing known of the aperture: a pixel and a bit. */
const NARROWEST_PX = 2;
/** What is narrower than so much of the bound is taken out before anything is looked for; */
const SURELY = 0.8;
/** at most so wide, for a defect smears no farther; and where nothing is known, so wide. */
const WIDEST_DEFECT_PX = 5;

/** What bounds the width of a shadow: the aperture, and how wide a pixel is on the sensor, mm. */
export type Optics = { fNumber: number; pixelMm: number };

/** The narrowest a shadow can look in a frame, pixels: the cone of the aperture through the thinnest glass, and a pixel (dust.md). */
export const narrowestPx = ({ fNumber, pixelMm }: Optics): number => (LEAST_CONE * THINNEST_GLASS_MM) / fNumber / pixelMm + 1;

/** Can something so wide be a shadow? @param fwhmPx as it is before a pixel blurs it. */
export const canBeShadow = (fwhmPx: number, optics: Optics | null): boolean =>
  fwhmPx >= NARROWEST_PX && (!optics || Math.hypot(fwhmPx, 1) * OFF_BY >= narrowestPx(optics));

/** Below this width, pixels, what stands out sharply is a defect. */
export const defectPx = (optics: Optics | null): number =>
  optics ? Math.min(WIDEST_DEFECT_PX, Math.max(NARROWEST_PX, SURELY * narrowestPx(optics))) : NARROWEST_PX;
