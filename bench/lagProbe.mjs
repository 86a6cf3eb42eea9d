/* Loaded before a program: tells on LAG_PORT for how long its main thread has answered nobody since it was last asked. */
import { createServer } from 'node:http';
import { setInterval } from 'node:timers';
import { isMainThread } from 'node:worker_threads';

const EVERY_MS = 5;

if (isMainThread && process.env.LAG_PORT) {
  let last = performance.now();
  let worst = 0;
  const look = () => {
    const now = performance.now();
    worst = Math.max(worst, now - last - EVERY_MS);
    last = now;
  };
  setInterval(look, EVERY_MS).unref();
  const server = createServer((_, response) => {
    look();
    response.end(String(worst));
    worst = 0;
  });
  server.listen(Number(process.env.LAG_PORT), '127.0.0.1');
  server.unref();
  // What this program starts in its turn is another.
  delete process.env.LAG_PORT;
}
