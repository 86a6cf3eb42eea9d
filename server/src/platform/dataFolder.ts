/** The folder that is the program's own on this machine; none for a household in memory. */
export class DataFolder {
  constructor(readonly path: string | null) {}
}
