import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

const sharp = createRequire(join(ROOT, 'server', 'package.json'))('sharp');
const PUBLIC = join(ROOT, 'web', 'public');
const mark = readFileSync(join(PUBLIC, 'icon.svg'), 'utf8');

/** The mark on a ground of its own colour out to the edge, which a phone cuts to its shape; `inset` in units of the mark's 32. */
const onGround = (inset) =>
  mark
    .replace('viewBox="0 0 32 32"', `viewBox="${-inset} ${-inset} ${32 + 2 * inset} ${32 + 2 * inset}"`)
    .replace('<rect width="32" height="32" rx="6"', `<rect x="${-inset}" y="${-inset}" width="100%" height="100%"`);

/** Draws the icons of the installed program from the mark; run it when the mark changes. */
const ICONS = [
  ['icon-192.png', mark, 192],
  ['icon-512.png', mark, 512],
  ['icon-maskable.png', onGround(6), 512],
  ['icon-apple.png', onGround(4), 180],
];
for (const [name, svg, size] of ICONS)
  await sharp(Buffer.from(svg), { density: (72 * size) / 32 })
    .resize(size, size)
    .png({ compressionLevel: 9, palette: true })
    .toFile(join(PUBLIC, name));
