import { commonErrors } from '@bright-keeper/contract';
import { Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { problem } from '../http/index.js';
import { LIMITS } from '../limits.js';
import { DataFolder } from '../platform/index.js';

class Limit extends Transform {
  private passed = 0;
  override _transform(chunk: Buffer, _: BufferEncoding, done: (error: Error | null, chunk?: Buffer) => void): void {
    this.passed += chunk.length;
    if (this.passed > LIMITS.household.bytes) done(problem(commonErrors, 'too-large'));
    else done(null, chunk);
  }
}

/** A place for files that come in or go out whole: beside the data, and gone when they are done with. */
@Injectable()
export class Incoming implements OnApplicationBootstrap {
  private readonly folder: string;

  constructor(data: DataFolder) {
    this.folder = data.path ? join(data.path, 'passing') : join(tmpdir(), `bright-keeper-passing-${randomUUID()}`);
  }

  /** What a stop left behind is of no use to anybody. */
  onApplicationBootstrap(): void {
    rmSync(this.folder, { recursive: true, force: true });
  }

  /** Where the next one may lie. */
  nextPath(): string {
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
    return join(this.folder, `${randomUUID()}.zip`);
  }

  /** Keeps what comes in a file for as long as it is worked with. */
  async during<T>(body: Readable, work: (path: string) => Promise<T>): Promise<T> {
    const path = this.nextPath();
    try {
      await pipeline(body, new Limit(), createWriteStream(path, { mode: 0o600 }));
      return await work(path);
    } finally {
      await rm(path, { force: true });
    }
  }
}
