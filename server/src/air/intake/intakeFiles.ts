import { airErrors, type Intake } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import Joi from 'joi';
import { join } from 'node:path';
import { defineDocument, MachineDocument } from '../../db/index.js';
import { problem } from '../../http/index.js';
import { DataFolder } from '../../platform/index.js';
import { BrokerFile } from './brokerFile.js';

type Named = { addresses: string[] };
const NAMED = defineDocument<Named>({
  name: 'addresses',
  version: 1,
  schema: Joi.object({ addresses: Joi.array().items(Joi.string()).required() }),
  upgrades: {},
});

/** What is about this machine: which broker is listened to, which addresses may be asked, and where logs are put. */
@Injectable()
export class IntakeFiles {
  readonly broker: BrokerFile;
  private readonly named: MachineDocument<Named>;
  /** Where logs are put: whoever starts the program may say, and nobody from the network. Null for a household in memory. */
  readonly logFolder: string | null;

  constructor({ path }: DataFolder) {
    this.broker = new BrokerFile(path);
    this.named = new MachineDocument(path, {
      at: ['air', 'addresses.json'],
      kind: NAMED,
      none: { addresses: [] },
      unreadable: 'which addresses may be asked cannot be read: none is',
      refusal: () => problem(airErrors, 'addresses-unreadable'),
    });
    this.logFolder = process.env.LOGS || (path === null ? null : join(path, 'logs'));
  }

  /** Somebody here has said where a device answers: a household from elsewhere has nobody asked by what stands in it. */
  name(intake: Intake | null): void {
    if (intake?.by !== 'poll' || this.mayAsk(intake.address)) return;
    this.named.change(({ addresses }) => ({ addresses: [...addresses, intake.address] }));
  }

  mayAsk(address: string): boolean {
    this.named.refresh();
    return this.named.get().addresses.includes(address);
  }
}
