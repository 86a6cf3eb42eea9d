import { expect, test } from '@playwright/test';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { start, type Running } from './server.js';

let running: Running;
let address: Server;
let status = 200;
const heard: { text: string; secret: string | undefined }[] = [];
test.beforeAll(async () => {
  running = await start();
  address = createServer((request, response) => {
    let text = '';
    request.on('data', (part) => (text += String(part)));
    request.on('end', () => {
      heard.push({ text, secret: request.headers.authorization });
      response.writeHead(status).end();
    });
  }).listen(0, '127.0.0.1');
});
test.afterAll(async () => {
  address.close();
  await running.kill('SIGTERM');
});

test('alarms are told where one says, tried at once, and what was typed is kept where it is refused', async ({ page }) => {
  await page.goto(`${running.url}/settings`);
  await page.getByRole('link', { name: 'See to alarms' }).click();
  await expect(page.getByText('Nothing is an alarm now.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Send a message to try' })).toHaveCount(0);

  await page.getByLabel('Tell an address as JSON').check();
  await page.getByLabel('Address', { exact: true }).fill('nonsense');
  await page.getByLabel('Secret').fill('open sesame');
  await page.getByLabel('Send mail').check();
  await page.getByLabel('Encrypted').selectOption({ label: 'from the second (STARTTLS)' });
  await expect(page.getByLabel('Port')).toHaveValue('587');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Write the whole address, like https://example.org/alarms.')).toBeVisible();
  await expect(page.getByLabel('Address', { exact: true })).toHaveValue('nonsense');
  await page.getByLabel('Send mail').uncheck();
  await page.getByLabel('Address', { exact: true }).fill(`http://127.0.0.1:${(address.address() as AddressInfo).port}/`);
  await page.getByLabel('Quiet from').selectOption('23:00');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Send a message to try' }).click();
  await expect(page.getByText('The address took it.')).toBeVisible();
  expect(heard).toHaveLength(1);
  expect(heard[0]!.text).toContain('Alarms of this household will come here.');
  expect(heard[0]!.secret).toBe('Bearer open sesame');

  await page.reload();
  await expect(page.getByText('One is kept; type another to change it.')).toBeVisible();
  await expect(page.getByLabel('Secret')).toHaveValue('');
  await expect(page.getByLabel('Quiet from')).toHaveValue('23');
  status = 500;
  await page.getByRole('button', { name: 'Send a message to try' }).click();
  await expect(page.getByText('The address does not take it.')).toBeVisible();
  await expect(page.getByText(/^The address does not take it \(/)).toBeVisible();
});
