import type { Mail, Outlet, OutletFault } from '@bright-keeper/contract';

export const OUTLET_WORDS: Record<Outlet, string> = { webhook: 'The address', mail: 'The mail server' };

export const FAULT_WORDS: Record<OutletFault, string> = {
  unreachable: 'does not answer',
  refused: 'does not take it',
  certificate: 'cannot be believed: its certificate is not in order, or it does not encrypt',
  'not-nearby': 'lies beyond this network, and nothing goes there unencrypted',
};

export const SECURITY_WORDS: Record<Mail['security'], string> = {
  tls: 'from the first word (TLS)',
  starttls: 'from the second (STARTTLS)',
  none: 'not at all, on this network only',
};
/** Where mail servers take mail, by how they are spoken to (RFC 8314; RFC 6409; RFC 5321). */
export const USUAL_PORT: Record<Mail['security'], number> = { tls: 465, starttls: 587, none: 25 };

export const hourWords = (hour: number): string => `${String(hour).padStart(2, '0')}:00`;
