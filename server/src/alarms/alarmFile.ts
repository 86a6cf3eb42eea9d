import {
  alarmErrors,
  alarmPolicy,
  instant,
  mailShape,
  OUTLET_FAULTS,
  OUTLETS,
  webhookShape,
  type Mail,
  type Outlet,
  type OutletState,
  type Webhook,
} from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import Joi from 'joi';
import { defineDocument, MachineDocument } from '../db/index.js';
import { problem } from '../http/index.js';

/** One alarm of a message, for programs. */
export type ToldOf = { kind: schedule.AlarmKind; about: string; title: string; why: string; what: string };
/** A message on its way to an outlet, and when it is tried next. */
export type Waiting = {
  id: string;
  outlet: Outlet;
  at: string;
  subject: string;
  text: string;
  alarms: ToldOf[];
  tries: number;
  nextAt: string;
};

/** What goes out to where, what was told of, and what waits to be taken. */
export type KeptAlarms = {
  policy: schedule.AlarmPolicy;
  webhook: (Webhook & { secret: string }) | null;
  mail: (Mail & { password: string }) | null;
  state: schedule.AlarmState;
  waiting: Waiting[];
  last: Record<Outlet, OutletState | null>;
};

const text = () => Joi.string().allow('').required();
const at = () => instant().required();
const ALARMS = defineDocument<KeptAlarms>({
  name: 'alarms',
  version: 1,
  schema: Joi.object({
    policy: alarmPolicy.required(),
    webhook: Joi.object({ ...webhookShape, secret: text() })
      .allow(null)
      .required(),
    mail: Joi.object({ ...mailShape, password: text() })
      .allow(null)
      .required(),
    state: Joi.object({
      told: Joi.array()
        .items(Joi.object({ key: Joi.string().required(), at: at(), lasts: Joi.boolean().required(), taken: Joi.boolean().required() }))
        .required(),
      lastDailyOn: Joi.string().required().allow(null),
    }).required(),
    waiting: Joi.array()
      .items(
        Joi.object({
          id: Joi.string().required(),
          outlet: Joi.valid(...OUTLETS).required(),
          at: at(),
          subject: text(),
          text: text(),
          alarms: Joi.array()
            .items(
              Joi.object({
                kind: Joi.valid(...schedule.ALARM_KINDS).required(),
                about: text(),
                title: text(),
                why: text(),
                what: text(),
              }),
            )
            .required(),
          tries: Joi.number().integer().min(0).required(),
          nextAt: at(),
        }),
      )
      .required(),
    last: Joi.object(
      Object.fromEntries(
        OUTLETS.map((outlet) => [
          outlet,
          Joi.object({
            at: at(),
            fault: Joi.valid(...OUTLET_FAULTS)
              .allow(null)
              .required(),
          })
            .allow(null)
            .required(),
        ]),
      ),
    ).required(),
  }),
  upgrades: {},
});

const NONE: KeptAlarms = {
  policy: { kinds: schedule.ALARM_KINDS, when: 'at-once', dailyHour: 8, quiet: { fromHour: 22, toHour: 7 } },
  webhook: null,
  mail: null,
  state: schedule.NOTHING_TOLD,
  waiting: [],
  last: { webhook: null, mail: null },
};

/** Where alarms go: a restored household neither tells all of it anew, nor tells those whom another one told. */
export class AlarmFile extends MachineDocument<KeptAlarms> {
  constructor(dataDir: string | null) {
    super(dataDir, {
      at: ['alarms', 'alarms.json'],
      kind: ALARMS,
      none: NONE,
      unreadable: 'where alarms go cannot be read: none goes out',
      refusal: () => problem(alarmErrors, 'alarms-unreadable'),
    });
  }
}
