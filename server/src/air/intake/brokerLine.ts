import type { IntakeFault } from '@bright-keeper/contract';
import { MqttClient } from 'mqtt';
import { randomBytes } from 'node:crypto';
import { connect, isIP, type Socket } from 'node:net';
import { connect as connectTls } from 'node:tls';
import { LIMITS } from '../../limits.js';
import { isNearby, nearbyLookup, NotFetched } from '../../platform/index.js';
import type { KeptBroker } from './brokerFile.js';

/** A message as it came; one that is retained was said at a time nobody knows. */
export type Heard = { topic: string; text: string; isRetained: boolean };

export type LineOptions = {
  heard: (message: Heard) => void;
  /** How it stands with the line; null where it is open. */
  stands: (fault: IntakeFault | null) => void;
  /** A topic that the broker does not let this household hear. */
  refused?: (topic: string) => void;
};

const PORTS: Readonly<Record<string, number>> = { 'mqtt:': 1883, 'mqtts:': 8883 };
const RECONNECT_MS = 5000;
const CONNECT_MS = 10_000;
const KEEP_ALIVE_S = 30;
/** Why a broker lets nobody in (OASIS MQTT 3.1.1, 3.2.2.3): what it was told of the name, the password or the right to come. */
const NOT_LET_IN: readonly number[] = [2, 4, 5];
/** Granted to nobody (OASIS MQTT 3.1.1, 3.9.3). */
const SUBSCRIPTION_REFUSED = 128;

function faultOf(error: Error & { code?: string | number }): IntakeFault {
  if (error instanceof NotFetched) return error.why === 'not-nearby' ? 'not-nearby' : 'too-large';
  if (typeof error.code === 'number') return NOT_LET_IN.includes(error.code) ? 'refused' : 'unreachable';
  return /^(CERT_|DEPTH_|SELF_|UNABLE_TO|ERR_TLS|ERR_SSL|HOSTNAME_)/.test(error.code ?? '') ? 'certificate' : 'unreachable';
}

/** A line to a broker of this network: opened again whenever it breaks, with what is listened to. */
export class BrokerLine {
  private readonly client: MqttClient | null;
  private topics: ReadonlySet<string> = new Set();
  /** Bytes since the last whole packet. */
  private unread = 0;
  private readonly host: string;
  private readonly url: URL;

  constructor(
    private readonly broker: KeptBroker & { address: string },
    private readonly options: LineOptions,
  ) {
    this.url = new URL(broker.address);
    this.host = this.url.hostname.replace(/^\[|\]$/g, '');
    if (isIP(this.host) && !isNearby(this.host)) {
      this.client = null;
      options.stands('not-nearby');
      return;
    }
    this.client = this.open();
  }

  private open(): MqttClient {
    const { username, password } = this.broker;
    const client = new MqttClient(() => this.socket(), {
      clientId: `bright-keeper-${randomBytes(6).toString('hex')}`,
      protocolVersion: 4,
      keepalive: KEEP_ALIVE_S,
      reconnectPeriod: RECONNECT_MS,
      connectTimeout: CONNECT_MS,
      // Not by the client: what is listened to may change while the line is broken.
      resubscribe: false,
      ...(username ? { username, password } : {}),
    });
    client.on('connect', () => {
      this.options.stands(null);
      this.subscribe([...this.topics]);
    });
    client.on('packetreceive', () => (this.unread = 0));
    client.on('error', (error) => this.options.stands(faultOf(error)));
    client.on('offline', () => this.options.stands('unreachable'));
    client.on('message', (topic, payload, { retain }) => {
      if (payload.length <= LIMITS.broker.messageBytes) this.options.heard({ topic, text: payload.toString('utf8'), isRetained: retain });
    });
    return client;
  }

  private socket(): Socket {
    const { protocol, port } = this.url;
    const at = { host: this.host, port: Number(port) || PORTS[protocol]!, lookup: nearbyLookup };
    const { authority } = this.broker;
    const tls = { ...at, ...(isIP(this.host) ? {} : { servername: this.host }), ...(authority ? { ca: authority } : {}) };
    const socket = protocol === 'mqtts:' ? connectTls(tls) : connect(at);
    socket.on('error', (error: Error) => this.options.stands(faultOf(error)));
    this.unread = 0;
    // A packet without an end would be kept until the memory is full.
    socket.on('data', (part: Buffer) => {
      this.unread += part.length;
      if (this.unread > LIMITS.broker.packetBytes) socket.destroy(new NotFetched('too-large', 'a packet without an end'));
    });
    return socket;
  }

  /** Listens to these from now on, and to no others. */
  listenTo(topics: ReadonlySet<string>): void {
    const added = [...topics].filter((topic) => !this.topics.has(topic));
    const gone = [...this.topics].filter((topic) => !topics.has(topic));
    this.topics = topics;
    if (!this.client?.connected) return;
    this.subscribe(added);
    if (gone.length > 0) this.client.unsubscribe(gone);
  }

  private subscribe(topics: string[]): void {
    if (topics.length === 0 || !this.client) return;
    this.client.subscribe(topics, { qos: 1 }, (error, granted) => {
      if (error) return;
      for (const { topic, qos } of granted ?? []) if ((qos as number) === SUBSCRIPTION_REFUSED) this.options.refused?.(topic);
    });
  }

  end(): void {
    this.client?.end(true);
  }
}
