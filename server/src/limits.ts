const KB = 1000;
const MB = 1000 * KB;
const GB = 1000 * MB;
const MIB = 1024 * 1024;

/**
 * Everything that comes from outside, and how much of it: the one place for each limit. `docs/limits.md` lists them with
 * what happens beyond, and a test holds the two together and reaches each of them.
 */
export const LIMITS = {
  /** The body of a request in JSON. */
  body: { bytes: 16 * MIB },
  /** A household in a file: taken in, restored, moved, or a backup that is read back. */
  household: {
    bytes: 4 * GB,
    unpackedBytes: 16 * GB,
    /** No text packs better; what does was made to. Small parts may, by chance. */
    ratio: 250,
    ratioFromBytes: 64 * MB,
    /** Tables, and in an export their CSV, schema, calendar and pictures. */
    parts: 200_000,
    manifestBytes: 4 * MB,
    /** A row on its line: a part of a picture or a day of readings in hexadecimal is the longest of ours. */
    rowBytes: 16 * MB,
    rows: 2_000_000,
    /** Of a table that is filled in one go, since its rows refer to each other. */
    rowsInOneGo: 100_000,
    /** So many faults of a file are told; beyond that it is no slip. */
    faults: 50,
  },
  /** Another calendar, from a file or from an address. */
  calendar: {
    bytes: 4 * MB,
    unpackedBytes: 4 * MB,
    /** From the first word to the last, however it drips. */
    wholeMs: 8_000,
    redirects: 3,
    readMs: 10_000,
    memoryMb: 256,
  },
  /** A hygrometer that answers at an address. */
  poll: { bytes: 256 * KB, unpackedBytes: 256 * KB, wholeMs: 8_000, redirects: 2 },
  /** The broker of the network: a message, a packet that never ends, and how long and how much is heard of all its topics. */
  broker: { messageBytes: 64 * KB, packetBytes: 1 * MB, listenMs: 6_000, topics: 5_000 },
  /** A log that is put into the folder. */
  logFolder: { bytes: 256 * MB },
  /** An outlet of alarms: how long it may take, and how many messages wait for one that does not answer. */
  alarms: { wholeMs: 10_000, waiting: 50 },
  /** A list of gear as a spreadsheet, which is a packed file. */
  list: { unpackedBytes: 48 * MB, parts: 500, rows: 50_000, columns: 200 },
  /** Explaining a place by its past, in a thread of its own. */
  place: { fitMs: 20_000, memoryMb: 256 },
  /** Pages that are told what moves: one line for all of one browser. */
  live: { listeners: 600 },
  /** From the network. */
  access: {
    devices: 100,
    keepers: 20,
    unencryptedKeys: 100,
    /** What whoever is not let in may send: a passphrase or a code, or readings with a key. */
    strangerBytes: 10_000,
    keyBytes: 4 * MB,
    /** Wrong passphrases and codes in a quarter of an hour, of one address, at one keeper's name, and of all together. */
    wrongOfOne: 10,
    wrongAtOne: 30,
    wrongOfAll: 60,
  },
} as const;
