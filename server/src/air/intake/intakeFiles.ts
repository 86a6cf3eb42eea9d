import { Injectable } from '@nestjs/common';
import { join } from 'node:path';
import { DataFolder } from '../../platform/index.js';
import { BrokerFile } from './brokerFile.js';

/** What is about this machine: which broker is listened to, and where logs are put. */
@Injectable()
export class IntakeFiles {
  readonly broker: BrokerFile;
  /** Where logs are put: whoever starts the program may say, and nobody from the network. Null for a household in memory. */
  readonly logFolder: string | null;

  constructor({ path }: DataFolder) {
    this.broker = new BrokerFile(path);
    this.logFolder = process.env.LOGS || (path === null ? null : join(path, 'logs'));
  }
}
