import { describe, expect, it } from 'vitest';
import { namesGiven, namesHere } from './names.js';

const at = (address: string, family: 'IPv4' | 'IPv6' = 'IPv4', internal = false) =>
  ({ address, family, internal, netmask: '', mac: '', cidr: null, scopeid: 0 }) as never;

describe('the names of a machine', () => {
  it('are its own in .local and each private address, and none that the world can reach', () => {
    const interfaces = {
      lo: [at('127.0.0.1', 'IPv4', true)],
      lan: [at('192.168.1.20'), at('fe80::1', 'IPv6'), at('192.168.1.20')],
      wide: [at('198.51.100.7'), at('172.32.0.1'), at('10.0.0.3')],
      none: undefined,
    };
    expect(namesHere([], interfaces, 'Kitchen.home.example')).toEqual({ dns: ['kitchen.local'], ips: ['192.168.1.20', '10.0.0.3'] });
  });

  it.each(['localhost', 'my_machine', '', '-x', 'a'.repeat(64)])('leave out %j, which is no name to be found by', (host) =>
    expect(namesHere([], {}, host)).toEqual({ dns: [], ips: [] }),
  );

  it('are those its network has for it, too', () => {
    expect(namesHere(namesGiven('Keeper.home.arpa, keeper.lan'), {}, 'kitchen')).toEqual({
      dns: ['kitchen.local', 'keeper.home.arpa', 'keeper.lan'],
      ips: [],
    });
  });

  it.each(['example.com', 'keeper', 'local.example', 'a b.local', 'keeper.lan,', '*.lan', 'notlan', '192.168.1.20'])(
    'cannot be %j',
    (name) => expect(() => namesGiven(name)).toThrow(/NETWORK_NAMES/),
  );
});
