/** Does something now and then again and again; a failure is told and tried anew, as a device does that cannot reach its server. */
export async function every(ms: number, work: () => Promise<void>): Promise<never> {
  for (;;) {
    try {
      await work();
    } catch (error) {
      console.error(error instanceof Error ? error.message : error);
    }
    await new Promise((resolve) => setTimeout(resolve, ms));
  }
}
