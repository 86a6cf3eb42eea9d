import 'reflect-metadata';
import { backup, run } from './household.js';

await run(() => backup(process.argv[2]));
