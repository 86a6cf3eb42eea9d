/** What a disk says, by the system's code, in words for whoever has to do something about it. */
const WORDS: Readonly<Record<string, string>> = {
  ENOSPC: 'there is no room left on that disk',
  EDQUOT: 'there is no room left for you on that disk',
  EACCES: 'the program may not write there',
  EPERM: 'the program may not write there',
  EROFS: 'that disk can only be read',
  ENOENT: 'the folder is not there',
  EEXIST: 'a file lies where the folder should be',
  ENOTDIR: 'a file lies where the folder should be',
  EIO: 'the disk could not be written to or read: it may be failing',
  EMFILE: 'too many files are open at once',
  ENFILE: 'too many files are open at once',
  EBUSY: 'another program has the file open',
};

/** A fault of a file or a folder in words; what it is that none of these is, as it was told. */
export function fileFault(error: unknown): string {
  const code = (error as NodeJS.ErrnoException | null)?.code;
  return (code && WORDS[code]) || (error instanceof Error ? error.message : String(error));
}
