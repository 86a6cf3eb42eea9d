import { MS_PER_DAY, MS_PER_HOUR } from '@bright-keeper/core';
import { householdErrors, type BackupFile, type Backups, type Health } from '@bright-keeper/contract';
import { Injectable, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import { min } from 'drizzle-orm';
import { access, constants, mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { isAbsolute, join } from 'node:path';
import { Database } from '../db/index.js';
import { syncPath } from '../wake/index.js';
import { items } from '../tables/index.js';
import { problem, ProblemError } from '../http/index.js';
import { Clock, DataFolder, fileFault, log } from '../platform/index.js';
import { ArchiveReader, AT_HAND } from './archive.js';
import { writeArchive } from './dump.js';
import { nothingThere } from './restore.js';
import { CLOCK_MAY_BE_SET_MS, outlived } from './retention.js';

const LATE_MS = 2 * MS_PER_DAY;
/** The first look comes when a start is over. */
const SOON_MS = 5 * 60_000;
/** Nobody writes at one for so long: whoever began it is gone. */
const LEFT_BEHIND_MS = MS_PER_HOUR;
const UNFINISHED = '.unfinished';
const CHOICE = 'backups.json';
const NAME = /^bright-keeper-(\d{4}-\d{2}-\d{2})T(\d{2})(\d{2})(\d{2})Z\.zip$/;

const nameAt = (at: Date): string => `bright-keeper-${at.toISOString().slice(0, 19).replace(/:/g, '')}Z.zip`;
function madeAt(name: string): Date | null {
  const [, day, hours, minutes, seconds] = NAME.exec(name) ?? [];
  return day ? new Date(`${day}T${hours}:${minutes}:${seconds}Z`) : null;
}

/** Backups of the household: made each day and when asked for, read back, and thinned out as they age. */
@Injectable()
export class BackupService implements OnApplicationBootstrap, OnApplicationShutdown {
  private timer: NodeJS.Timeout | null = null;
  private making: Promise<BackupFile> | null = null;
  private trouble: string | null = null;

  constructor(
    private readonly database: Database,
    private readonly clock: Clock,
    private readonly data: DataFolder,
  ) {}

  onApplicationBootstrap(): void {
    if (!this.data.path) return;
    this.lookAgainIn(SOON_MS);
    // Beside an embedded database nobody else makes any.
    void this.tidy(this.database.kind === 'embedded' ? 0 : LEFT_BEHIND_MS);
  }

  async onApplicationShutdown(): Promise<void> {
    if (this.timer) clearTimeout(this.timer);
    await this.making?.catch(() => {});
  }

  private lookAgainIn(ms: number): void {
    this.timer = setTimeout(() => {
      void this.daily().finally(() => this.lookAgainIn(MS_PER_HOUR));
    }, ms);
    this.timer.unref();
  }

  /** Removes what those began who were ended while they made one. */
  private async tidy(olderThanMs: number): Promise<void> {
    const folder = await this.folder();
    for (const name of await readdir(folder).catch(() => [])) {
      if (!name.endsWith(UNFINISHED) || !madeAt(name.slice(0, -UNFINISHED.length))) continue;
      const path = join(folder, name);
      const age = Date.now() - (await stat(path)).mtimeMs;
      if (age >= olderThanMs) await rm(path, { force: true });
    }
  }

  /** Makes a backup when the last one is a day old and there is something to keep. */
  async daily(): Promise<BackupFile | null> {
    try {
      const last = this.newest(await this.files());
      const isDue = !last || this.clock.now().getTime() - Date.parse(last.madeAt) >= MS_PER_DAY;
      if (!isDue || (await nothingThere(this.database.db))) return null;
      return await this.make();
    } catch (error) {
      this.failed(error);
      return null;
    }
  }

  /** How long ago the last good one was made, and whether that is too long. */
  async standing(): Promise<Health['backup']> {
    if (!this.data.path) return null;
    const lastAt = this.newest(await this.files().catch(() => []))?.madeAt ?? null;
    return { lastAt, late: await this.isLate(lastAt), trouble: this.trouble };
  }

  /** The last one that the clock knows of: one that is dated ahead may be of any day. */
  private newest(files: readonly BackupFile[]): BackupFile | undefined {
    const latest = this.clock.now().getTime() + CLOCK_MAY_BE_SET_MS;
    return files.find(({ madeAt }) => Date.parse(madeAt) <= latest);
  }

  /** When the last one was made by whatever clock there was; empty where there is none. */
  async latestAt(): Promise<string> {
    if (!this.data.path) return '';
    return (await this.files().catch(() => []))[0]?.madeAt ?? '';
  }

  private async isLate(lastAt: string | null): Promise<boolean> {
    const since = this.clock.now().getTime() - LATE_MS;
    if (lastAt !== null) return Date.parse(lastAt) < since;
    const [oldest] = await this.database.db.select({ at: min(items.createdAt) }).from(items);
    return oldest!.at !== null && oldest!.at.getTime() < since;
  }

  async state(): Promise<Backups> {
    const folder = await this.folder();
    return { folder, files: await this.files().catch(() => []), trouble: this.trouble };
  }

  /** Makes one now. Two who ask at once get the same one. */
  make(): Promise<BackupFile> {
    this.making ??= this.makeOne().finally(() => (this.making = null));
    return this.making;
  }

  private async makeOne(): Promise<BackupFile> {
    try {
      const folder = await this.folder();
      await mkdir(folder, { recursive: true, mode: 0o700 });
      const at = this.clock.now();
      const name = nameAt(at);
      const path = join(folder, name);
      const unfinished = path + UNFINISHED;
      await this.tidy(LEFT_BEHIND_MS);
      await rm(unfinished, { force: true });
      try {
        await writeArchive(this.database, unfinished, at);
        syncPath(unfinished);
        const archive = await ArchiveReader.open(unfinished, AT_HAND);
        await archive.verify().finally(() => archive.close());
        // Only what was read back and found whole is called a backup.
        await rename(unfinished, path);
        syncPath(folder);
      } catch (error) {
        await rm(unfinished, { force: true });
        throw error;
      }
      this.trouble = null;
      await this.thinOut(folder);
      return { name, madeAt: at.toISOString(), bytes: (await stat(path)).size };
    } catch (error) {
      if (error instanceof ProblemError) throw error;
      this.failed(error);
      throw problem(householdErrors, 'backup-failed', { detail: this.trouble ?? undefined });
    }
  }

  private failed(error: unknown): void {
    this.trouble = fileFault(error);
    log.error({ error: error instanceof Error ? error.message : String(error) }, 'the backup could not be made');
  }

  private async thinOut(folder: string): Promise<void> {
    const dated = (await readdir(folder)).flatMap((name) => {
      const at = madeAt(name);
      return at ? [{ name, at }] : [];
    });
    for (const { name } of outlived(dated, new Date(this.clock.now().getTime() + CLOCK_MAY_BE_SET_MS)))
      await rm(join(folder, name), { force: true });
  }

  /** What is there, newest first. */
  private async files(): Promise<BackupFile[]> {
    const folder = await this.folder();
    const names = await readdir(folder).catch(() => []);
    const files: BackupFile[] = [];
    for (const name of names) {
      const at = madeAt(name);
      if (at) files.push({ name, madeAt: at.toISOString(), bytes: (await stat(join(folder, name))).size });
    }
    return files.sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
  }

  /** The file of a backup. @throws ProblemError when it is gone. */
  async pathOf(name: string): Promise<string> {
    const path = join(await this.folder(), name);
    await access(path).catch(() => {
      throw problem(householdErrors, 'no-such-backup');
    });
    return path;
  }

  /** Where they go: a folder of this machine, and so no part of the household, which may move to another one. */
  private async folder(): Promise<string> {
    if (!this.data.path) throw problem(householdErrors, 'folder-unusable');
    const usual = join(this.data.path, 'backups');
    try {
      const { folder } = JSON.parse(await readFile(join(this.data.path, CHOICE), 'utf8')) as { folder?: unknown };
      return typeof folder === 'string' ? folder : usual;
    } catch {
      return usual;
    }
  }

  /** Puts them somewhere else from now on; those that are there stay. @throws ProblemError when nothing can be written there. */
  async putInto(folder: string): Promise<Backups> {
    if (!this.data.path) throw problem(householdErrors, 'folder-unusable');
    const fields = { folder: 'Name a folder of this machine that exists, by its whole path, and that may be written to.' };
    if (!isAbsolute(folder)) throw problem(householdErrors, 'folder-unusable', { fields });
    try {
      if (!(await stat(folder)).isDirectory()) throw new Error('no folder');
      await access(folder, constants.W_OK);
    } catch {
      throw problem(householdErrors, 'folder-unusable', { fields });
    }
    await writeFile(join(this.data.path, CHOICE), JSON.stringify({ folder }, null, 2));
    return this.state();
  }
}
