import type { NetworkTrouble, Role } from '@bright-keeper/contract';

/** Why the network is not answered as it should be, and what helps. */
export const TROUBLE_WORDS: Record<NetworkTrouble, string> = {
  'port-taken':
    'Another program has the port, so the network is not answered. Stop that one, or choose another with NETWORK_PORT and start Bright Keeper again. It is tried again each minute.',
  'no-address':
    'This machine has no address on a home network at the moment, so no other device can reach it. Connect it; the address shows here within a minute.',
  'certificate-unreadable':
    'The certificate or its key cannot be read: devices are not answered, or with the one before it. The log of the program says which; it is tried again each minute.',
  'certificate-ended':
    'The certificate you brought has ended: devices will refuse it. Replace its file; the new one is taken within a minute.',
};

export const ROLE_WORDS: Record<Role, { name: string; may: string }> = {
  owner: { name: 'Owner', may: 'does everything, and lets others in' },
  keeper: { name: 'Keeper', may: 'does everything but let others in' },
  reader: { name: 'Reader', may: 'looks, and changes nothing' },
};
