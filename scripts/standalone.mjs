import { build as bundle } from 'esbuild';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

const DIST = join(ROOT, 'web', 'dist');

/** The styles of the pages, without the fonts: they are files of their own. */
function styles() {
  const assets = join(DIST, 'assets');
  const sheets = readdirSync(assets).filter((file) => file.endsWith('.css'));
  return sheets.map((file) => readFileSync(join(assets, file), 'utf8').replace(/@font-face\s*\{[^}]*\}/g, '')).join('\n');
}

/** The page that checks a report by itself: one file with all it needs, to be sent along and opened without a network. */
export async function buildReportChecker() {
  const { outputFiles } = await bundle({
    entryPoints: [join(ROOT, 'web', 'src', 'standalone', 'checkReport.tsx')],
    bundle: true,
    minify: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    jsx: 'automatic',
    conditions: ['source'],
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'error',
  });
  // Nothing in it may end the element it stands in.
  const script = outputFiles[0].text.replaceAll('</script', '<\\/script');
  writeFileSync(
    join(DIST, 'check-report.html'),
    `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; style-src 'unsafe-inline'; script-src 'unsafe-inline'">
<title>Check a report</title>
<style>${styles()}</style>
</head>
<body class="bg-page text-ink"><div id="root"></div><script>${script}</script></body>
</html>
`,
  );
}
