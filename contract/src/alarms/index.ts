export {
  alarmPolicy,
  type Alarms,
  type AlarmsInput,
  alarmsInput,
  type AlarmTried,
  type Mail,
  MAIL_SECURITY,
  mailShape,
  type Outlet,
  OUTLET_FAULTS,
  type OutletFault,
  OUTLETS,
  type OutletState,
  type Webhook,
  webhookShape,
} from './alarms.js';
export { alarmErrors } from './errors.js';
