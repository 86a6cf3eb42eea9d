import { sensor } from '@bright-keeper/core';

/** As large as the largest screens a tablet or a television has. */
const PIXELS = { width: 3840, height: 2160 } as const;

/** The card as a picture, for a screen that this program is not on. @returns null where there is no canvas. */
export function cardOf(): HTMLCanvasElement | null {
  const canvas = Object.assign(document.createElement('canvas'), PIXELS);
  const context = canvas.getContext('2d');
  if (!context) return null;
  context.fillStyle = 'white';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.fillStyle = 'black';
  for (const { x, y } of sensor.GLARE_CARD.discs) {
    context.beginPath();
    context.arc(x * canvas.width, y * canvas.height, (sensor.GLARE_CARD.discShare * canvas.height) / 2, 0, 2 * Math.PI);
    context.fill();
  }
  return canvas;
}
