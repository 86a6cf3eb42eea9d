import { schedule } from '@bright-keeper/core';
import Joi from 'joi';

/** What may keep a message from going out. */
export const OUTLET_FAULTS = ['unreachable', 'refused', 'certificate', 'not-nearby'] as const;
export type OutletFault = (typeof OUTLET_FAULTS)[number];

export const OUTLETS = ['webhook', 'mail'] as const;
export type Outlet = (typeof OUTLETS)[number];

/** An address that is told of alarms as JSON. */
export type Webhook = { address: string };
/** How a mail server is spoken to: encrypted from the first word, from the second, or not at all. */
export const MAIL_SECURITY = ['tls', 'starttls', 'none'] as const;
export type Mail = { host: string; port: number; security: (typeof MAIL_SECURITY)[number]; username: string; from: string; to: string };

/** A password or a secret that is null stays as it is; an empty one is none. */
export type AlarmsInput = {
  policy: schedule.AlarmPolicy;
  webhook: (Webhook & { secret: string | null }) | null;
  mail: (Mail & { password: string | null }) | null;
};

const hour = () => Joi.number().integer().min(0).max(23).required();
const secret = () => Joi.string().allow('', null).max(1000).required();
const address = () => Joi.string().email({ tlds: false }).max(254).required().messages({ 'string.email': 'This is no address for mail.' });

export const alarmPolicy = Joi.object<schedule.AlarmPolicy>({
  kinds: Joi.array()
    .items(Joi.valid(...schedule.ALARM_KINDS))
    .unique()
    .required(),
  when: Joi.valid('at-once', 'daily').required(),
  dailyHour: hour(),
  quiet: Joi.object({ fromHour: hour(), toHour: hour() }).allow(null).required(),
});
export const webhookShape = {
  address: Joi.string()
    .max(1000)
    .uri({ scheme: ['http', 'https'] })
    .pattern(/^\w+:\/\/[^/?#]*@/, { invert: true })
    .required()
    .messages({
      'string.uriCustomScheme': 'Write the whole address, like https://example.org/alarms.',
      'string.pattern.invert.base': 'Leave name and password out of the address; a secret goes into its own field.',
    }),
};
export const mailShape = {
  host: Joi.string().hostname().max(253).required().messages({ 'string.hostname': 'Only its name, like mail.example.org.' }),
  port: Joi.number().integer().min(1).max(65_535).required(),
  security: Joi.valid(...MAIL_SECURITY).required(),
  username: Joi.string().allow('').max(200).required(),
  from: address(),
  to: address(),
};
export const alarmsInput = Joi.object<AlarmsInput>({
  policy: alarmPolicy.required(),
  webhook: Joi.object({ ...webhookShape, secret: secret() })
    .allow(null)
    .required(),
  mail: Joi.object({ ...mailShape, password: secret() })
    .allow(null)
    .required(),
});

/** How it went with an outlet last: when, and why not; null fault where it was taken. */
export type OutletState = { at: string; fault: OutletFault | null };
export type Alarms = {
  policy: schedule.AlarmPolicy;
  webhook: (Webhook & { hasSecret: boolean }) | null;
  mail: (Mail & { hasPassword: boolean }) | null;
  /** What is an alarm now, told or not. */
  now: { kind: schedule.AlarmKind; name: string; title: string; toldAt: string | null }[];
  /** So many messages wait to be taken. */
  waiting: number;
  last: Record<Outlet, OutletState | null>;
};
/** What became of a message that was sent to try; null of an outlet that is not used. */
export type AlarmTried = Record<Outlet, OutletState | null>;
