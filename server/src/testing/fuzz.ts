import type { OpenAPIObject } from '@nestjs/swagger';

type Schema = {
  type?: string;
  enum?: unknown[];
  format?: string;
  pattern?: string;
  properties?: Record<string, Schema>;
  required?: string[];
  items?: Schema;
  oneOf?: Schema[];
  anyOf?: Schema[];
  minimum?: number;
  maximum?: number;
};
type Parameter = { name: string; in: string; schema?: Schema };
type Operation = { parameters?: Parameter[]; requestBody?: { content?: Record<string, { schema?: Schema }> } };
export type Call = { method: string; path: string; headers: Record<string, string>; body: string | Buffer | undefined };

/** A sequence of numbers from 0 to 1 that is the same for the same seed (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

const A_UUID = '01a20000-0000-7000-8000-0000000000aa';
const HOSTILE: unknown[] = [
  ...['', ' ', '\0', 'a\0b', '\ud800', 'x\udfff', '\u202e', '=1+1', "'; drop table item; --", '💥', 'x'.repeat(70_000), '../../etc/passwd'],
  ...[
    `(${A_UUID})`,
    `[${A_UUID}]`,
    `{${A_UUID}}`,
    A_UUID.replaceAll('-', ':'),
    '-'.repeat(36),
    A_UUID.replaceAll('-', ''),
    A_UUID.toUpperCase(),
    'nil',
  ],
  ...[
    '0000-01-01T00:00:00Z',
    '-000001-01-01T00:00:00Z',
    '+275760-09-13T00:00:00Z',
    '+999999-01-01T00:00:00Z',
    '2026-02-31T10:00:00Z',
    '1969-12-31T23:00:00Z',
  ],
  ...['0000-01-01', '2026-02-31', '9999-12-31', '2026-13-01', '2026-01-01T00:75:00Z', '2026-01-01T00:00:00+99:99', '26-1-1', 'yesterday'],
  ...[0, -0, -1, 0.1, 1e300, -1e300, 2 ** 31, 2 ** 31 - 1, -(2 ** 31) - 1, 2 ** 53, Number.MIN_VALUE, 1e-300, '1e400', '-0', 'NaN'],
  ...[null, true, false, [], {}, [[]], [null], { a: { b: {} } }, ['x'], { constructor: 1 }, { toString: 'x' }],
];

/** Writes calls as the API describes them, and then spoils them in ways people and programs do. */
export class Fuzzer {
  private readonly operations: { method: string; path: string; operation: Operation }[];

  constructor(
    document: OpenAPIObject,
    private readonly random: () => number,
    /** Ids that exist, so that many calls get past "there is no such thing". */
    private readonly ids: readonly string[],
    /** Keys that open something. */
    private readonly keys: readonly string[],
  ) {
    this.operations = Object.entries(document.paths).flatMap(([path, item]) =>
      Object.entries(item as Record<string, Operation>)
        .filter(([method]) => ['get', 'head', 'post', 'put', 'delete', 'patch'].includes(method))
        .map(([method, operation]) => ({ method: method.toUpperCase(), path, operation })),
    );
  }

  get size(): number {
    return this.operations.length;
  }

  private pick<T>(all: readonly T[]): T {
    return all[Math.floor(this.random() * all.length)]!;
  }
  private chance(share: number): boolean {
    return this.random() < share;
  }

  /** Something that fits, more often than not. */
  private value(schema: Schema | undefined, name: string, depth = 0): unknown {
    if (!schema || depth > 6 || this.chance(0.06)) return this.pick(HOSTILE);
    const choice = schema.oneOf ?? schema.anyOf;
    if (choice) return this.value(this.pick(choice), name, depth + 1);
    if (schema.enum) return this.pick(schema.enum);
    if (schema.type === 'object' || schema.properties) {
      const object: Record<string, unknown> = {};
      for (const [key, part] of Object.entries(schema.properties ?? {}))
        if (schema.required?.includes(key) ? this.chance(0.98) : this.chance(0.6)) object[key] = this.value(part, key, depth + 1);
      if (this.chance(0.03)) object[this.pick(['extra', '__proto__', 'constructor', '\0', ''])] = 1;
      return object;
    }
    if (schema.type === 'array')
      return Array.from({ length: Math.floor(this.random() * 4) }, () => this.value(schema.items, name, depth + 1));
    if (schema.type === 'boolean') return this.chance(0.5);
    if (schema.type === 'integer' || schema.type === 'number') return this.number(schema, name);
    return this.text(schema, name);
  }

  private number({ minimum = 0, maximum = 100, type }: Schema, name: string): number {
    if (name === 'version') return this.pick([1, 1, 1, 2, 3]);
    const at = minimum + this.random() * (Math.min(maximum, minimum + 1000) - minimum);
    return type === 'integer' ? Math.floor(at) : at;
  }

  private text({ format }: Schema, name: string): string {
    if (format === 'uuid' || /id$/i.test(name)) return this.pick(this.ids);
    if (format === 'date' || /day|On$|from|to$/.test(name))
      return this.pick(['2026-03-10', '2026-04-01', '2027-01-31', '2026-03-10T10:00:00Z']);
    if (format === 'date-time' || /at$/i.test(name))
      return this.pick(['2026-03-10T09:00:00Z', '2026-03-01T00:00:00.000Z', '2025-12-31T23:59:59+01:00']);
    return this.pick(['a', 'A lens', 'NaCl', 'UTC', 'lens', 'dust', 'front-glass', '21:00']);
  }

  private inAddress(value: unknown): string {
    const text = typeof value === 'string' ? value.slice(0, 2000) : (JSON.stringify(value) ?? '');
    // What cannot be written in an address at all is left as it came, as a careless program would.
    const lone = /[\ud800-\udfff]/.test(text);
    return lone ? '%ED%A0%80' : encodeURIComponent(text);
  }

  call(): Call {
    const { method, path, operation } = this.pick(this.operations);
    const parameters = operation.parameters ?? [];
    const query = parameters
      .filter((p) => p.in === 'query' && this.chance(0.6))
      .map((p) => `${encodeURIComponent(p.name)}=${this.inAddress(this.value(p.schema, p.name))}`);
    const address = path.replace(/\{(\w+)\}/g, (_, name: string) =>
      this.inAddress(this.chance(0.75) ? this.pick(/token/i.test(name) ? this.keys : this.ids) : this.pick(HOSTILE)),
    );
    const content = Object.values(operation.requestBody?.content ?? {})[0];
    const headers: Record<string, string> = { authorization: `Bearer ${this.pick([...this.keys, 'wrong', ''])}` };
    return {
      method,
      path: `${address}${query.length > 0 ? `?${query.join('&')}` : ''}`,
      headers,
      body: this.body(method, content?.schema, headers),
    };
  }

  private body(method: string, schema: Schema | undefined, headers: Record<string, string>): string | Buffer | undefined {
    if (method === 'GET' || method === 'HEAD') return undefined;
    headers['content-type'] = this.chance(0.95)
      ? 'application/json'
      : this.pick(['text/csv', 'text/plain', 'application/zip', 'application/senml+json', '']);
    const text = JSON.stringify(this.value(schema, 'body')) ?? '';
    if (this.chance(0.94)) return text;
    return this.pick([
      text.slice(0, -3),
      '[1e400]',
      '{"a":'.repeat(2000),
      '['.repeat(10_000),
      Buffer.from([0xff, 0xfe, 0, 1]),
      `{"name":"\\u0000"}`,
      '',
      'at,temperatureC,humidityPct\n1e300,1,1\n"',
    ]);
  }
}
