import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { DatabaseStopped, EngineKeeper } from './keeper.js';

const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-keeper-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** An engine that echoes, and does as it is told: `hang`, `end`, or fails to open while a file is there. */
const ENGINE = `
import { parentPort, workerData } from 'node:worker_threads';
import { existsSync } from 'node:fs';
if (existsSync(workerData.directory + '/broken')) { parentPort.postMessage({ failed: 'no room' }); process.exit(1); }
parentPort.on('message', (asked) => {
  if (asked === 'close') { parentPort.postMessage({ closed: true }); return parentPort.close(); }
  const said = Buffer.from(asked.message).toString();
  if (said === 'hang') for (;;);
  if (said === 'end') { parentPort.postMessage({ failed: 'it broke' }); process.exit(1); }
  parentPort.postMessage({ answer: asked.message });
});
parentPort.postMessage({ opened: true });
`;
const script = join(folder, 'engine.mjs');
writeFileSync(script, ENGINE);

function keeper() {
  const stopped: string[] = [];
  const directory = mkdtempSync(join(folder, 'data-'));
  const it = new EngineKeeper({ script, directory, patienceMs: 300, restMs: 0, onStopped: (why) => stopped.push(why) });
  const ask = async (text: string): Promise<string> => Buffer.from(await (await it.ready())(Buffer.from(text))).toString();
  return { it, stopped, directory, ask };
}

describe('the keeper of the engine', () => {
  it('carries messages over in order', async () => {
    const { it: keeping, ask } = keeper();
    expect(await Promise.all(['a', 'b', 'c'].map(ask))).toEqual(['a', 'b', 'c']);
    await keeping.close();
    await expect(keeping.ready()).rejects.toThrow(DatabaseStopped);
  });

  it('ends an engine that hangs, fails what it was asked, and starts another', async () => {
    const { it: keeping, stopped, ask } = keeper();
    await ask('a');
    const asked = await Promise.allSettled([ask('hang'), ask('waits behind it')]);
    expect(asked.map((a) => a.status)).toEqual(['rejected', 'rejected']);
    expect(stopped).toEqual(['it did not answer for 0.3 s']);
    expect(await ask('after')).toBe('after');
    await keeping.close();
  });

  it('starts another when one ended by itself, and says why it did', async () => {
    const { it: keeping, stopped, ask } = keeper();
    await expect(ask('end')).rejects.toThrow('it broke');
    expect(stopped).toEqual(['it broke']);
    expect(await ask('after')).toBe('after');
    await keeping.close();
  });

  it('tries again when one would not open', async () => {
    const { it: keeping, directory, ask } = keeper();
    writeFileSync(join(directory, 'broken'), '');
    await expect(ask('a')).rejects.toThrow('no room');
    rmSync(join(directory, 'broken'));
    expect(await ask('a')).toBe('a');
    await keeping.close();
  });
});
