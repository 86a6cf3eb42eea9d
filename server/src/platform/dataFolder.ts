/** The folder that is the program's own on this machine; none for a household in memory. */
export class DataFolder {
  /** @param secret what only the holder of the folder and the folder itself know; null where nobody holds it. */
  constructor(
    readonly path: string | null,
    readonly secret: string | null = null,
  ) {}
}
