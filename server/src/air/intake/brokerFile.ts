import { airErrors, type Broker } from '@bright-keeper/contract';
import Joi from 'joi';
import { join } from 'node:path';
import { defineDocument, keptDocument, readDocument } from '../../db/index.js';
import { problem } from '../../http/index.js';
import { PrivateFile } from '../../platform/index.js';

/** The broker as it is kept, with its password: it is about this machine's network. */
export type KeptBroker = Omit<Broker, 'hasPassword'> & { password: string };

const BROKER = defineDocument<KeptBroker>({
  name: 'broker',
  version: 1,
  schema: Joi.object({
    address: Joi.string().required().allow(null),
    username: Joi.string().allow('').required(),
    password: Joi.string().allow('').required(),
    authority: Joi.string().allow('').required(),
  }),
  upgrades: {},
});

const NONE: KeptBroker = { address: null, username: '', password: '', authority: '' };

/** Which broker is listened to. */
export class BrokerFile extends PrivateFile<KeptBroker> {
  constructor(dataDir: string | null) {
    super({
      path: dataDir === null ? null : join(dataDir, 'air', 'broker.json'),
      none: NONE,
      read: (kept) => readDocument(BROKER, kept),
      keep: (broker) => keptDocument(BROKER, broker),
      unreadable: 'the broker that is listened to cannot be read: none is',
      refusal: () => problem(airErrors, 'broker-unreadable'),
    });
  }
}
