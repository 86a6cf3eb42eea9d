import { build as bundle } from 'esbuild';
import { readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { bin, must, ROOT } from './run.mjs';
import { buildReportChecker } from './standalone.mjs';

/** What the framework would load if it were there; it is not, and not needed. */
const NOT_INSTALLED = [
  '@nestjs/microservices',
  '@nestjs/websockets',
  '@nestjs/mongoose',
  'class-transformer',
  'class-validator',
  '@fastify/static',
  '@fastify/view',
  '@as-integrations/fastify',
];
/** What finds files beside itself at run time and so stays where it is installed. */
const WITH_OWN_FILES = [
  '@electric-sql/pglite',
  '@node-rs/argon2',
  'fs-native-extensions',
  'sharp',
  'swagger-ui-dist',
  'highs',
  'pdfkit',
  'dejavu-fonts-ttf',
];

/**
 * The server and the demo in few files: loading the framework's several hundred small ones takes more than a second of
 * every start. What wakes the database comes first, in a small file; the rest is loaded meanwhile. All lie at the top of
 * the server's folder, as the files do that they were made from.
 */
function bundleServer() {
  const outdir = join(ROOT, 'server', 'dist');
  return bundle({
    entryPoints: { bundle: join(outdir, 'main.js'), demo: join(ROOT, 'demo', 'dist', 'main.js') },
    outdir,
    chunkNames: 'bundle-[hash]',
    bundle: true,
    splitting: true,
    minifyWhitespace: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'error',
    external: [...NOT_INSTALLED, ...WITH_OWN_FILES].flatMap((name) => [name, `${name}/*`]),
    banner: {
      js: [
        "import { createRequire as createRequireHere } from 'node:module';",
        "import { dirname as dirnameHere } from 'node:path';",
        "import { fileURLToPath as pathHere } from 'node:url';",
        'const require = createRequireHere(import.meta.url);',
        'const __filename = pathHere(import.meta.url);',
        'const __dirname = dirnameHere(__filename);',
      ].join('\n'),
    },
  });
}

/** Builds what the running server needs, in the order they import each other, then the web pages. */
export async function build() {
  for (const workspace of ['core', 'contract', 'words', 'devices', 'server', 'demo']) {
    rmSync(join(ROOT, workspace, 'dist'), { recursive: true, force: true });
    must(bin('tsc'), ['-p', `${workspace}/tsconfig.build.json`]);
  }
  await bundleServer();
  const { makeTemplate } = await import(`file://${join(ROOT, 'server', 'dist', 'startup', 'makeTemplate.js')}`);
  await makeTemplate();
  must(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: join(ROOT, 'web') });
  packAssets();
  await buildReportChecker();
}

/** What is text is packed once, as tightly as it goes, and not at every request. */
function packAssets() {
  const assets = join(ROOT, 'web', 'dist', 'assets');
  for (const file of readdirSync(assets).filter((f) => /\.(js|css|svg)$/.test(f))) {
    const bytes = readFileSync(join(assets, file));
    writeFileSync(join(assets, `${file}.br`), brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length } }));
    writeFileSync(join(assets, `${file}.gz`), gzipSync(bytes, { level: constants.Z_BEST_COMPRESSION }));
  }
}

/** When a file, or anything in a folder, was changed last. */
function newest(path) {
  const whole = join(ROOT, path);
  const all = statSync(whole).isDirectory() ? readdirSync(whole, { recursive: true }).map((file) => join(whole, file)) : [whole];
  return all.reduce((latest, file) => Math.max(latest, statSync(file).mtimeMs), 0);
}

const SOURCES = [
  ...['core', 'contract', 'words', 'devices', 'server', 'demo', 'web'].map((workspace) => join(workspace, 'src')),
  ...['public', 'plugins', 'index.html', 'vite.config.ts'].map((own) => join('web', own)),
];

/** Is there a build that is newer than every source? */
function isBuilt() {
  try {
    const built = statSync(join(ROOT, 'web', 'dist', 'index.html')).mtimeMs;
    return SOURCES.every((path) => newest(path) < built);
  } catch {
    return false;
  }
}

export async function ensureBuilt() {
  if (!isBuilt()) await build();
}

if (process.argv[1]?.endsWith('build.mjs')) await build();
