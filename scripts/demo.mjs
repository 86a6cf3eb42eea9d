import { ensureInstalled } from './run.mjs';
import { build } from './build.mjs';
import { runServer } from './runServer.mjs';

ensureInstalled();
build();
runServer('demo/dist/main.js', process.argv.slice(2));
