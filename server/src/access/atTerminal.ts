import { fieldsOf, JOI_OPTIONS, newPassphrase } from '@bright-keeper/contract';
import type { INestApplicationContext } from '@nestjs/common';
import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { AccessService } from './access.service.js';
import type { Asker } from './asker.js';
import { Devices } from './devices.js';
import { AccessFile } from './kept.js';
import { Keepers } from './keepers.js';
import { hashOfPassphrase } from './passphrase.js';

const HERE: Asker = { from: 'machine', source: 'the terminal', device: null, keeper: null, isProved: true };

/** Asks without showing what is typed. */
async function askHidden(question: string): Promise<string> {
  process.stdout.write(question);
  const nowhere = new Writable({ write: (_, __, done) => done() });
  const lines = createInterface({ input: process.stdin, output: nowhere, terminal: true });
  try {
    return await lines.question('');
  } finally {
    lines.close();
    process.stdout.write('\n');
  }
}

/** A passphrase as one types it twice; asked for until it is one. */
async function askForPassphrase(): Promise<string> {
  for (;;) {
    const passphrase = await askHidden('Choose a passphrase for the network (12 characters or more): ');
    const { error } = newPassphrase.validate({ passphrase, endOthers: false }, JOI_OPTIONS);
    if (error) console.log(Object.values(fieldsOf(error))[0]);
    else if ((await askHidden('Once more: ')) === passphrase) return passphrase;
    else console.log('That was not the same. Again:');
  }
}

/**
 * Opens the network as whoever starts the program asks for, once there is a passphrase: it is asked for where there is a
 * terminal to ask at.
 *
 * @returns what is to be told of it.
 */
export async function openAtTerminal(app: INestApplicationContext, address: string): Promise<string[]> {
  const access = app.get(AccessService);
  if (!access.get(HERE).hasPassphrase) {
    if (!process.stdin.isTTY)
      return [`Not open to the network: there is no passphrase yet. Choose one at ${address}/settings/access, and open it there.`];
    await access.setPassphrase({ passphrase: await askForPassphrase(), endOthers: false }, HERE);
  }
  const { network } = await access.setNetwork({ open: true, sessionDays: access.sessionDays }, HERE);
  if (network.addresses.length === 0)
    return [`Not open to the network: ${network.trouble ?? 'it has no address'}. See ${address}/settings/access.`];
  return [
    `On the network: ${network.addresses.join('  ')}`,
    ...(network.beginAt.length > 0 ? [`A device that does not trust it yet begins at ${network.beginAt[0]}`] : []),
    `It is let in by the passphrase, or by a code that ${address}/settings/access shows.`,
  ];
}

function keepersIn(dataDir: string): Keepers {
  const file = new AccessFile(dataDir);
  return new Keepers(file, new Devices(file, () => undefined));
}

/** Who keeps the household of a folder, and how each comes in: what is to be told at the machine. */
export function keepersToldOf(dataDir: string): string[] {
  const all = keepersIn(dataDir).all();
  if (all.length === 0) return [`Nobody was let in from the network yet: ${dataDir} has no passphrase.`];
  return all.map(
    ({ name, role, passphrase }) => `${name || 'The owner'}, ${role}: ${passphrase === null ? 'no passphrase yet' : 'with a passphrase'}`,
  );
}

/**
 * A new passphrase at the machine itself for one who lost theirs; their devices come in anew. A program that runs on the
 * folder meanwhile knows of it with the next request.
 *
 * @param name who; the first owner unless said.
 * @throws Error where nobody is called so, or there is no terminal to type at; ProblemError where the file cannot be read.
 */
export async function resetAtTerminal(dataDir: string, name: string | null): Promise<string> {
  const keepers = keepersIn(dataDir);
  const keeper = name === null ? keepers.firstOwner() : keepers.named(name);
  if (!keeper && (name !== null || keepers.all().length > 0))
    throw new Error(`Nobody here is called ${name ?? 'so'}. npm run keeper shows who there is.`);
  if (!process.stdin.isTTY) throw new Error('A passphrase is typed at a terminal, and there is none here.');
  keepers.reset(keeper?.id ?? null, await hashOfPassphrase(await askForPassphrase()));
  return `${keeper?.name || 'The owner'} has a new passphrase. Devices of theirs come in anew.`;
}
