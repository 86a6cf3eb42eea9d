import makeMulticast from 'multicast-dns';
import { afterEach, describe, expect, it } from 'vitest';
import { MulticastName } from './multicastName.js';

/** This machine's own loop: what is said on it is heard by nobody else. */
const HERE = { interface: '127.0.0.1', bind: '0.0.0.0', loopback: true, reuseAddr: true, port: 15_353 };

describe('the name on the network', () => {
  const open: { end: () => void }[] = [];
  afterEach(() => open.splice(0).forEach((one) => one.end()));
  const claim = (name: string, address: string): MulticastName => {
    const claimed = new MulticastName(name, [address], () => makeMulticast(HERE));
    open.push(claimed);
    return claimed;
  };
  /** What is answered to these questions, asked one after the other, until the last of them is. */
  const asked = (...questions: string[]): Promise<string[]> =>
    new Promise((resolve) => {
      const line = makeMulticast(HERE);
      const heard: string[] = [];
      const last = questions.at(-1)!.toLowerCase();
      line.on('response', ({ answers }) => {
        for (const answer of answers) if (answer.type === 'A') heard.push(`${answer.name} ${answer.data}`);
        if (!heard.some((one) => one.startsWith(last))) return;
        line.destroy();
        resolve(heard);
      });
      line.once('ready', () => questions.forEach((name) => line.query(name, 'A')));
    });

  it('is answered with the machine’s address, however it is written, and no other is', async () => {
    expect(await claim('kitchen.local', '192.168.1.20').isOurs).toBe(true);
    expect(await asked('KITCHEN.local')).toEqual(['kitchen.local 192.168.1.20']);
    expect(await asked('cellar.local', 'kitchen.local.local', 'kitchen.local')).toEqual(['kitchen.local 192.168.1.20']);
  });

  it('is left to whoever has it already', async () => {
    await claim('kitchen.local', '192.168.1.20').isOurs;
    expect(await claim('kitchen.local', '192.168.1.21').isOurs).toBe(false);
    expect(await claim('kitchen.local', '192.168.1.20').isOurs).toBe(true);
  });
});
