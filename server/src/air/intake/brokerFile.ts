import { airErrors, type Broker } from '@bright-keeper/contract';
import Joi from 'joi';
import { defineDocument, MachineDocument } from '../../db/index.js';
import { problem } from '../../http/index.js';

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
export class BrokerFile extends MachineDocument<KeptBroker> {
  constructor(dataDir: string | null) {
    super(dataDir, {
      at: ['air', 'broker.json'],
      kind: BROKER,
      none: NONE,
      unreadable: 'the broker that is listened to cannot be read: none is',
      refusal: () => problem(airErrors, 'broker-unreadable'),
    });
  }
}
