export const FRAME_MS = 1000 / 60;

/** A page whose processor is slowed so many times. */
export async function slowed(context, rate) {
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate });
  return page;
}

/** How many frames there should have been while something was done, and how many were not drawn. */
export async function framesDropped(page, work) {
  await page.evaluate(() => {
    window.frames = [];
    const tick = (at) => {
      window.frames.push(at);
      window.ticking = requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  await work();
  const frames = await page.evaluate(() => (cancelAnimationFrame(window.ticking), window.frames));
  const expected = Math.round((frames.at(-1) - frames[0]) / FRAME_MS);
  return { expected, dropped: Math.max(0, expected - (frames.length - 1)) };
}
