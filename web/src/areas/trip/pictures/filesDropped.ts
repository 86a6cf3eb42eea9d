/** A folder hands out its entries in pieces; the last piece is empty. */
const entriesOf = async (folder: FileSystemDirectoryEntry): Promise<FileSystemEntry[]> => {
  const reader = folder.createReader();
  const all: FileSystemEntry[] = [];
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) => reader.readEntries(resolve, reject));
    if (some.length === 0) return all;
    all.push(...some);
  }
};

async function filesUnder(entry: FileSystemEntry): Promise<File[]> {
  if (entry.isDirectory) {
    const files: File[] = [];
    for (const within of await entriesOf(entry as FileSystemDirectoryEntry)) files.push(...(await filesUnder(within)));
    return files;
  }
  return [await new Promise<File>((resolve, reject) => (entry as FileSystemFileEntry).file(resolve, reject))];
}

/** Every file that was dropped, also of folders and of those in them. What cannot be listed is left out. */
export async function filesDropped(transfer: DataTransfer): Promise<File[]> {
  // The list is gone after the first wait: entries are taken at once.
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry()).filter((entry) => entry !== null);
  if (entries.length === 0) return [...transfer.files];
  const files: File[] = [];
  for (const entry of entries) files.push(...(await filesUnder(entry).catch(() => [])));
  return files;
}
