import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve, sep } from 'node:path';

/*
 * Rooms are the folders of a package: whoever wants something of another one comes in by its `index.ts`, and rooms know
 * each other in one direction only. They are found by folder, so a new one is guarded without being named.
 */

const FROM = /^(?:import|export)\b(?!\s+\*?\s*['"])[^;'"]*?\bfrom\s+['"](\.[^'"]+)['"]|^import\s+['"](\.[^'"]+)['"]/gm;
const isTest = (file) => /\.test\.tsx?$/.test(file);

/** The room a file lies in: `also` names folders further down that are rooms of their own; a file beside them is one, too. */
function roomOf(file, { src, also }) {
  const path = relative(src, file).split(sep).join('/');
  return also.find((room) => path.startsWith(`${room}/`)) ?? path.split('/')[0];
}

/** The source that an import means, and null where it is no file of this package. */
function target(file, spec, { src }) {
  const plain = resolve(dirname(file), spec).replace(/\.js$/, '');
  const found = ['.ts', '.tsx'].map((end) => plain + end).find(existsSync);
  return found && !relative(src, found).startsWith('..') ? found : null;
}

const filesIn = (folder) =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile() && /\.tsx?$/.test(e.name))
    .map((e) => join(e.parentPath, e.name));

/** Which room knows which, by what its files import; tests may know everybody. */
function whoKnowsWhom(options) {
  const knows = new Map();
  for (const file of filesIn(options.src)) {
    const room = roomOf(file, options);
    if (isTest(file) || options.free.includes(room)) continue;
    for (const [, from, bare] of readFileSync(file, 'utf8').matchAll(FROM)) {
      const found = target(file, from ?? bare, options);
      const other = found && roomOf(found, options);
      if (other && other !== room) knows.set(room, (knows.get(room) ?? new Set()).add(other));
    }
  }
  return knows;
}

/** The way from one room to another over those they know; null where there is none. */
function wayBetween(knows, from, to, been = new Set()) {
  if (from === to) return [to];
  been.add(from);
  for (const next of knows.get(from) ?? []) {
    const way = been.has(next) ? null : wayBetween(knows, next, to, been);
    if (way) return [from, ...way];
  }
  return null;
}

const graphs = new Map();
function graphOf(options) {
  if (!graphs.has(options.src)) graphs.set(options.src, whoKnowsWhom(options));
  return graphs.get(options.src);
}

const rule = {
  meta: {
    type: 'problem',
    schema: [
      {
        type: 'object',
        properties: {
          src: { type: 'string' },
          also: { type: 'array', items: { type: 'string' } },
          free: { type: 'array', items: { type: 'string' } },
        },
        additionalProperties: false,
      },
    ],
    messages: {
      door: 'The room “{{room}}” is entered through its index, which lists what it gives.',
      circle: 'No circles: rooms know each other in one direction, and here it is {{way}}.',
    },
  },
  create(context) {
    const { src, also = [], free = [] } = context.options[0];
    const options = { src: resolve(context.cwd, src), also, free };
    const file = context.filename;
    const own = roomOf(file, options);
    const check = (node) => {
      const found = node.source?.value?.startsWith?.('.') ? target(file, node.source.value, options) : null;
      const room = found && roomOf(found, options);
      if (!room || room === own || free.includes(room)) return;
      const isRoom = dirname(found) !== options.src;
      if (isRoom && !/\/index\.tsx?$/.test(found.split(sep).join('/'))) context.report({ node, messageId: 'door', data: { room } });
      if (isTest(file) || free.includes(own)) return;
      const back = wayBetween(graphOf(options), room, own);
      if (back) context.report({ node, messageId: 'circle', data: { way: [own, ...back].join(' → ') } });
    };
    return { ImportDeclaration: check, ExportNamedDeclaration: check, ExportAllDeclaration: check, ImportExpression: check };
  },
};

export default { rules: { rooms: rule } };
