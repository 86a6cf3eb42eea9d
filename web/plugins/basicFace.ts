import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import subsetFont from 'subset-font';
import type { Plugin } from 'vite';

const FAMILY = 'Atkinson Hyperlegible Next Variable';
const WHOLE = '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2';
/** What almost every page is written in; names and notes in other letters bring the whole face. */
const PLAIN = Array.from({ length: 0x7f - 0x20 }, (_, i) => String.fromCharCode(0x20 + i)).join('');
const MORE = '\u00a0\u2009\u202f’“”…·°×²–−µ±↑↓€£';
/** From plain to semibold: the pages use no other. */
const WEIGHTS = { min: 400, max: 600 };
const RANGE = ['U+20-7e', ...[...MORE].map((letter) => `U+${letter.codePointAt(0)!.toString(16)}`)].join(',');

/**
 * The face every page is set in, cut down to the letters of almost every page and asked for with the page itself: a
 * third of its size. It stands after the whole face, which is fetched where a letter is not in it.
 */
export function basicFace(): Plugin {
  let fileName = '';
  return {
    name: 'basic-face',
    apply: 'build',
    async buildStart() {
      const whole = await readFile(createRequire(import.meta.url).resolve(WHOLE));
      const source = await subsetFont(whole, PLAIN + MORE, { targetFormat: 'woff2', variationAxes: { wght: WEIGHTS } });
      const reference = this.emitFile({ type: 'asset', name: 'face-basic.woff2', source });
      fileName = this.getFileName(reference);
    },
    transformIndexHtml: {
      order: 'post',
      handler: () => [
        {
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${fileName}`, crossorigin: '' },
          injectTo: 'head-prepend',
        },
        {
          tag: 'style',
          children: `@font-face{font-family:'${FAMILY}';font-display:swap;font-weight:${WEIGHTS.min} ${WEIGHTS.max};src:url(/${fileName}) format('woff2');unicode-range:${RANGE}}`,
          injectTo: 'head',
        },
      ],
    },
  };
}
