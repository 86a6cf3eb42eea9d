import type { Outlet, OutletFault } from '@bright-keeper/contract';
import { lookup } from 'node:dns/promises';
import { createTransport } from 'nodemailer';
import { LIMITS } from '../limits.js';
import { isNearby } from '../platform/index.js';
import type { KeptAlarms, Waiting } from './alarmFile.js';

/** What goes to an outlet. */
export type Sent = Pick<Waiting, 'at' | 'subject' | 'text' | 'alarms'>;
/** Hands a message over. @returns why it was not taken; null where it was. */
type Send<O extends Outlet> = (to: NonNullable<KeptAlarms[O]>, message: Sent) => Promise<OutletFault | null>;

/** What a fault is called: the mailer names it anew and says what it was, `fetch` wraps it. */
type SystemFault = Error & { code?: string; originalCode?: string; cause?: unknown };
const CERTIFICATE = /^(CERT_|DEPTH_|SELF_|UNABLE_TO|ERR_TLS|ERR_SSL|ETLS|HOSTNAME_)/;

function faultOf(error: unknown): OutletFault {
  const fault = error as SystemFault;
  const codes = [fault.code, fault.originalCode, (fault.cause as SystemFault | undefined)?.code].filter((code) => code !== undefined);
  if (codes.some((code) => CERTIFICATE.test(code))) return 'certificate';
  return codes.some((code) => code === 'EAUTH' || code === 'EENVELOPE' || code === 'EMESSAGE') ? 'refused' : 'unreachable';
}

/** As JSON to an address: its text for whoever shows it, and its parts for programs. What is answered is not read. */
const toWebhook: Send<'webhook'> = async ({ address, secret }, { at, subject, text, alarms }) => {
  try {
    const answer = await fetch(address, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...(secret ? { authorization: `Bearer ${secret}` } : {}) },
      body: JSON.stringify({ at, subject, text, alarms }),
      // Who was named is told, and nobody whom that one names.
      redirect: 'manual',
      signal: AbortSignal.timeout(LIMITS.alarms.wholeMs),
    });
    await answer.body?.cancel();
    return answer.ok ? null : 'refused';
  } catch (error) {
    return faultOf(error);
  }
};

/** Nothing leaves this network unencrypted. */
async function isHere(host: string): Promise<boolean> {
  const found = await lookup(host, { all: true });
  return found.length > 0 && found.every(({ address }) => isNearby(address));
}

/** By mail (RFC 5321): encrypted from the first word or the second, unless the server is on this network. */
const toMail: Send<'mail'> = async ({ host, port, security, username, password, from, to }, { subject, text }) => {
  try {
    if (security === 'none' && !(await isHere(host))) return 'not-nearby';
    const transport = createTransport({
      host,
      port,
      secure: security === 'tls',
      requireTLS: security === 'starttls',
      ignoreTLS: security === 'none',
      connectionTimeout: LIMITS.alarms.wholeMs,
      greetingTimeout: LIMITS.alarms.wholeMs,
      socketTimeout: LIMITS.alarms.wholeMs,
      // Nothing that stands in a message may have a file or an address read.
      disableFileAccess: true,
      disableUrlAccess: true,
      ...(username ? { auth: { user: username, pass: password } } : {}),
    });
    try {
      await transport.sendMail({
        from,
        to,
        subject: `Bright Keeper: ${subject}`,
        text: `${text}\n\n-- \nSent by Bright Keeper, as it was asked to.\n`,
      });
    } finally {
      transport.close();
    }
    return null;
  } catch (error) {
    return faultOf(error);
  }
};

/** Hands a message to one of the outlets; null where it was taken, or that outlet is used no more. */
export async function handOver(outlet: Outlet, { webhook, mail }: Pick<KeptAlarms, Outlet>, message: Sent): Promise<OutletFault | null> {
  if (outlet === 'webhook') return webhook && toWebhook(webhook, message);
  return mail && toMail(mail, message);
}
