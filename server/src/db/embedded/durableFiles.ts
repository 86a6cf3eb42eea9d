import { fsyncSync } from 'node:fs';
import { join } from 'node:path';
import { syncPath } from '../../wake/index.js';

/** A file or folder as the database's file layer knows it. */
type FileNode = { name: string; parent: FileNode; mount: { opts: { root: string } }; node_ops: NodeOps; stream_ops: StreamOps };
type NodeOps = {
  mknod: (parent: FileNode, name: string, mode: number, dev: number) => FileNode;
  rename: (old: FileNode, newDir: FileNode, newName: string) => void;
  unlink: (parent: FileNode, name: string) => void;
  rmdir: (parent: FileNode, name: string) => void;
};
type StreamOps = { fsync?: (stream: { nfd: number }) => number };
export type FileLayer = { lookupPath: (path: string) => { node: FileNode } };

/** What is asked of the system, so that a test can record it. */
export type Syncing = { file: (fd: number) => void; folder: (path: string) => void };

const SYSTEM: Syncing = { file: fsyncSync, folder: syncPath };

function folderOf(node: FileNode): string {
  const names: string[] = [];
  let at = node;
  for (; at.parent !== at; at = at.parent) names.unshift(at.name);
  return join(at.mount.opts.root, ...names);
}

/**
 * Gives the embedded database's file layer the syncs it lacks. PostgreSQL asks for them in the right order by itself: the
 * log before an answer, data files at a checkpoint. A file that was made, renamed or removed is only there after a power
 * cut when its folder was synced as well, so folders that changed go first with the next sync of a file.
 *
 * @param inside path, as the database sees it, of any file in its directory.
 */
export function makeDurable(files: FileLayer, inside: string, syncing: Syncing = SYSTEM): void {
  const { node_ops: nodes, stream_ops: streams } = files.lookupPath(inside).node;
  const changed = new Set<string>();
  const { mknod, rename, unlink, rmdir } = nodes;
  nodes.mknod = (parent, name, mode, dev) => {
    changed.add(folderOf(parent));
    return mknod(parent, name, mode, dev);
  };
  nodes.rename = (old, newDir, newName) => {
    changed.add(folderOf(old.parent)).add(folderOf(newDir));
    rename(old, newDir, newName);
  };
  nodes.unlink = (parent, name) => {
    changed.add(folderOf(parent));
    unlink(parent, name);
  };
  nodes.rmdir = (parent, name) => {
    changed.delete(join(folderOf(parent), name));
    changed.add(folderOf(parent));
    rmdir(parent, name);
  };
  streams.fsync = ({ nfd }) => {
    for (const folder of changed) syncing.folder(folder);
    changed.clear();
    syncing.file(nfd);
    return 0;
  };
}
