import type { DeviceService } from '@bright-keeper/server';
import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { DEVICES } from './household.js';

const program = (name: 'hygrometer' | 'weather') => fileURLToPath(new URL(`../../devices/dist/${name}.js`, import.meta.url));

/**
 * Starts each simulated device of the household as a process of its own, with a fresh key, as if it had been
 * switched on; what it read since it was last heard it sends first.
 *
 * @returns how to stop them all.
 */
export async function startDevices(service: DeviceService, url: string): Promise<() => void> {
  const processes: ChildProcess[] = [];
  const stop = () => processes.forEach((p) => p.kill('SIGTERM'));
  process.on('exit', stop);
  for (const known of await service.all()) {
    const device = DEVICES.find((d) => d.name === known.name && d.source === 'push');
    if (!device) continue;
    const { token } = await service.newToken(known.id);
    const { spot, seed, offsetPct, driftPctPerYear } = device.sensor;
    const battery = device.batteryPct === undefined ? [] : ['--battery', String(device.batteryPct)];
    const since = known.latest ? ['--since', known.latest.at] : [];
    const sensor = device.outdoor ? [] : ['--spot', spot];
    const args = [
      ...sensor,
      '--seed',
      String(seed),
      '--offset',
      String(offsetPct),
      '--drift',
      String(driftPctPerYear),
      ...battery,
      ...since,
    ];
    processes.push(
      spawn(process.execPath, [program(device.outdoor ? 'weather' : 'hygrometer'), '--url', url, ...args], {
        env: { ...process.env, BRIGHT_KEEPER_DEVICE_TOKEN: token },
        stdio: ['ignore', 'inherit', 'inherit'],
      }),
    );
  }
  return stop;
}
