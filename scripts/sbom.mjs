import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { must, ROOT } from './run.mjs';

/**
 * `npm run sbom` writes what ships, each package with its version, licence and where it comes from, as CycloneDX. The
 * tool is fetched for the run: nothing else wants its packages.
 */
const TOOL = '@cyclonedx/cyclonedx-npm@6.0.1';
const FILE = join(ROOT, 'sbom.cdx.json');

// npm's own check of the tree stumbles over an optional peer that nobody installs; what is in the lock file is listed all the same.
const what = ['--package-lock-only', '--omit', 'dev', '--ignore-npm-errors', '--output-reproducible', '--output-format', 'JSON'];
must('npx', ['--yes', TOOL, ...what, '--output-file', FILE]);
const { specVersion, components } = JSON.parse(readFileSync(FILE, 'utf8'));
if (!components?.length) {
  console.error(`${FILE} lists nothing.`);
  process.exit(1);
}
console.log(`${FILE} lists ${components.length} packages (CycloneDX ${specVersion}).`);
