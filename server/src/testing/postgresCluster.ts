import { execFileSync, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const INSTALLED = '/usr/lib/postgresql';
/** PostgreSQL refuses to run as root; Debian's package brings a user of its own. */
const USER = 'postgres';

/** The newest PostgreSQL that is installed; null when none is. */
function binaries(): string | null {
  if (!existsSync(INSTALLED)) return null;
  const newest = readdirSync(INSTALLED)
    .filter((name) => existsSync(join(INSTALLED, name, 'bin', 'initdb')))
    .sort((a, b) => Number(b) - Number(a))[0];
  return newest ? join(INSTALLED, newest, 'bin') : null;
}

const idOf = (flag: string): number => Number(execFileSync('id', [flag, USER]).toString());

/** A PostgreSQL server of one's own, on a socket in a folder that goes with it. */
export type Cluster = {
  urlOf: (database: string) => string;
  /** Ends every process of it at once, as a power cut would. */
  fall: () => void;
  /** Starts it again on what it had. */
  rise: () => void;
  stop: () => void;
};

/**
 * @param durable whether commits reach the disk: what tests keep is thrown away.
 * @throws Error when PostgreSQL is not installed, or does not start.
 */
export function startCluster({ durable = false } = {}): Cluster {
  const bin = binaries();
  if (!bin) throw new Error('PostgreSQL is not installed: apt-get install postgresql');
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-postgres-'));
  const isRoot = process.getuid?.() === 0;
  const as = isRoot ? { uid: idOf('-u'), gid: idOf('-g') } : {};
  if (isRoot) chownSync(folder, as.uid!, as.gid!);
  const data = join(folder, 'data');
  const must = (command: string, ...args: string[]): void => {
    const { status, stderr } = spawnSync(join(bin, command), args, { ...as, cwd: folder, stdio: ['ignore', 'ignore', 'pipe'] });
    if (status !== 0) throw new Error(`${command} failed: ${stderr.toString()}`);
  };
  must('initdb', '-D', data, '-U', USER, '-A', 'trust', '-E', 'UTF8', '--locale=C', '--no-sync');
  const settings = `-c listen_addresses= -c unix_socket_directories=${folder} -c fsync=${durable ? 'on' : 'off'} -c max_connections=200`;
  const rise = () => must('pg_ctl', '-D', data, '-w', '-l', join(folder, 'log'), '-o', settings, 'start');
  const fall = () => void spawnSync(join(bin, 'pg_ctl'), ['-D', data, '-m', 'immediate', 'stop'], { ...as, cwd: folder });
  rise();
  return {
    fall,
    rise,
    urlOf: (database) => `postgresql://${USER}@localhost/${database}?host=${encodeURIComponent(folder)}`,
    stop: () => {
      fall();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
