import 'reflect-metadata';
import { moveTo, run } from './household.js';

const words = process.argv.slice(2);
const to = words.indexOf('--to');
await run(() => moveTo(to < 0 ? undefined : words[to + 1]));
