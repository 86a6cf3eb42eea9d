import { mkdtempSync } from 'node:fs';
import { get } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from './scale.mjs';

const PORT = 4891;
const LISTENERS = 500;
const CHANGES = 5;

/** A line on which one page would be told what moves; calls at each word on it. */
const listen = (url, heard) =>
  new Promise((resolve, reject) => {
    const asked = get(`${url}/api/live`, { agent: false }, (response) => {
      response.on('data', () => heard.now?.());
      resolve(asked);
    });
    asked.on('error', reject);
  });

/** Five hundred pages that hear what moves: how long until the last of them knows of a change. */
export async function listeners() {
  const server = await startServer(mkdtempSync(join(tmpdir(), 'bright-keeper-live-')), PORT);
  const lines = Array.from({ length: LISTENERS }, () => ({ now: null }));
  const open = [];
  try {
    for (const line of lines) open.push(await listen(server.url, line));
    await new Promise((resolve) => setTimeout(resolve, 1000));
    for (let change = 0; change < CHANGES; change += 1) {
      const told = Promise.all(lines.map((line) => new Promise((resolve) => (line.now = resolve))));
      const at = performance.now();
      await server.send('POST', '/api/gear', { name: `Thing ${change}`, kind: 'lens', traits: {}, notes: '', acquiredOn: null });
      const answered = performance.now() - at;
      await told;
      console.log(
        `a change heard by ${LISTENERS} pages: answered in ${answered.toFixed(0)} ms, the last knows after ${(performance.now() - at).toFixed(0)} ms (aim: 1,000 ms)`,
      );
    }
  } finally {
    for (const line of open) line.destroy();
    await server.stop();
  }
}

if (process.argv[1]?.endsWith('listeners.mjs')) await listeners();
