import { accessErrors } from '@bright-keeper/contract';
import { MS_PER_DAY } from '@bright-keeper/core';
import type { Request, RequestHandler, Response } from 'express';
import { doorOf, problem, sendProblem, type WhoMay } from '../http/index.js';
import type { AccessService } from './access.service.js';
import { keyShown } from './keys.js';

const STYLE = `
  :root { color-scheme: light dark; font: 18px/1.5 system-ui, sans-serif; }
  main { max-width: 36rem; margin: 0 auto; padding: 1.5rem 1rem 4rem; }
  h1 { font-size: 1.4rem; } h2 { font-size: 1.1rem; margin-bottom: .25rem; }
  ol { padding-left: 1.4rem; } li { margin: 1.25rem 0; }
  a.do { display: inline-block; min-height: 44px; line-height: 44px; padding: 0 1rem; border: 2px solid; border-radius: 4px; text-decoration: none; font-weight: 600; }
  code { font: .9rem/1.7 ui-monospace, monospace; overflow-wrap: anywhere; }
  [role=alert] { border: 2px solid #b3261e; border-radius: 4px; padding: .5rem 1rem; }
`;

/** A phone whose clock is further off than a certificate is backdated, or holds, refuses it and does not say why. */
const SCRIPT = `
  const told = document.querySelector('meta[name=now]').content;
  const offDays = (Date.now() - Date.parse(told)) / ${MS_PER_DAY};
  if (Math.abs(offDays) > 1) {
    const words = (at) => at.toLocaleString([], { dateStyle: 'long', timeStyle: 'short' });
    const line = document.querySelector('[role=alert]');
    line.textContent = 'This device’s clock says ' + words(new Date()) + ', the machine’s says ' + words(new Date(told))
      + '. Set the one that is wrong right first: otherwise this device will refuse the address, and not say why.';
    line.hidden = false;
  }
`;

const escaped = (text: string): string => text.replaceAll(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** In lines of eight pairs, as the machine shows it. */
const inLines = (fingerprint: string): string => escaped(fingerprint).replaceAll(/((?:..:){7}..):/g, '$1<br>');

/** The page on which a phone is told how to trust the household. Plain HTML: it is opened before anything is trusted. */
function beginHtml({ fingerprint, address, now }: { fingerprint: string; address: string; now: Date }): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta name="now" content="${now.toISOString()}">
<title>Let this device in – Bright Keeper</title><style>${STYLE}</style>
</head>
<body><main>
<h1>Let this device in</h1>
<p role="alert" hidden></p>
<p>Bright Keeper vouches for itself on your own network. This device has to be told once that it may be believed.</p>
<ol>
<li><h2>Fetch the certificate</h2>
<p><a class="do" href="/authority.crt" download>Fetch it</a></p>
<p>It can speak for names and addresses of a home network only, and for no site of the world.</p></li>
<li><h2>Compare it</h2>
<p>This is its fingerprint (SHA-256). It must be the same as under Settings, Access on the machine Bright Keeper runs on. Your device shows it, too, when it asks whether to install it. If one sign differs, stop here: somebody stands in between.</p>
<p><code>${inLines(fingerprint)}</code></p></li>
<li><h2>Install it</h2>
<p><strong>iOS:</strong> Settings, Profile Downloaded, Install. Then General, About, Certificate Trust Settings: switch it on.</p>
<p><strong>Android:</strong> Settings, Security, Encryption and credentials, Install a certificate, CA certificate. Menus are called a little differently from device to device.</p>
<p><strong>A computer:</strong> in the settings of the browser or the system, among the certificate authorities, for websites.</p></li>
<li><h2>Open Bright Keeper</h2>
<p><a class="do" href="${escaped(address)}">Open ${escaped(address.replace('https://', ''))}</a></p>
<p>It asks for the code that the machine shows, or for the passphrase.</p></li>
</ol>
<p>If you let this household go one day, remove the certificate from the device again.</p>
</main><script src="/begin.js"></script></body></html>
`;
}

const refuse = (response: Response): void => sendProblem(response, problem(accessErrors, 'only-encrypted'));

function tell(access: AccessService, request: Request, response: Response, now: Date): void {
  const authority = access.network.certificate?.authority;
  if (!authority) return refuse(response);
  if (request.path === '/authority.crt')
    return void response.type('application/x-x509-ca-cert').attachment('bright-keeper.crt').send(authority.der);
  if (request.path === '/begin.js') return void response.type('text/javascript').send(SCRIPT);
  if (request.path !== '/') return response.redirect('/');
  const host = request.headers.host!.replace(/:\d+$/, '');
  const address = `https://${host}:${access.network.port}`;
  response.type('html').send(beginHtml({ fingerprint: authority.fingerprint, address, now }));
}

/** Whether somebody comes with a key that may come so, to what keys open. */
function hasSuchAKey(access: AccessService, whoMay: WhoMay, request: Request): boolean {
  const by = whoMay(request.method, request.path);
  const key = by === 'device' || by === 'calendar' ? keyShown(request) : null;
  return key !== null && access.mayComeUnencrypted(key);
}

type BeginOptions = { access: AccessService; whoMay: WhoMay; secured: RequestHandler; now: () => Date };

/** All that is answered in plain HTTP: how to trust the household, and the keys that may come so. */
export const beginPage =
  ({ access, whoMay, secured, now }: BeginOptions): RequestHandler =>
  (request, response, next) => {
    if (doorOf(request).kind !== 'unencrypted' || hasSuchAKey(access, whoMay, request)) return next();
    secured(request, response, () => {
      if (request.method !== 'GET' || request.path.toLowerCase().startsWith('/api')) refuse(response);
      else tell(access, request, response, now());
    });
  };
