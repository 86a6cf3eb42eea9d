import 'reflect-metadata';
import { keepersToldOf, resetAtTerminal } from '../access/index.js';
import { dataDirectory } from '../serve.js';
import { run } from './household.js';

const RESET = '--reset';
const words = process.argv.slice(2);
const name = words.filter((word) => word !== RESET).join(' ') || null;
await run(async () =>
  words.includes(RESET) ? resetAtTerminal(dataDirectory(), name) : Promise.resolve(keepersToldOf(dataDirectory()).join('\n')),
);
