import { commonErrors, PROBLEM_TYPE } from '@bright-keeper/contract';
import type { Request, RequestHandler } from 'express';
import { problem } from './problem.js';

const LOCAL_NAMES = ['localhost', '127.0.0.1', '[::1]'];
/** What changes nothing, whoever asks. */
export const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
/** What a form of any page may send anywhere without being asked first (HTML, "form submission"; Fetch, "no-CORS-safelisted"). */
const FORM_TYPES = new Set(['application/x-www-form-urlencoded', 'multipart/form-data', 'text/plain']);
/** Who may have sent a browser here to change something (W3C Fetch Metadata): this very page, or the keeper's own hand. */
const OWN_SITES = new Set(['same-origin', 'none']);

const isLocal = (host: string | undefined) => host !== undefined && LOCAL_NAMES.includes(host.replace(/:\d+$/, ''));

/** A page says whose it is in whole: scheme, name and port. Another port of this machine is another program. */
const isOurPage = ({ headers: { origin, host } }: Request): boolean => origin === undefined || origin === `http://${host}`;

function isOurDoing({ method, headers }: Request): boolean {
  const site = headers['sec-fetch-site'];
  return READS.has(method) || site === undefined || OWN_SITES.has(site);
}

/** Does a body come in a way a form could not send it? */
function isNoForm({ method, headers }: Request): boolean {
  if (READS.has(method)) return true;
  const type = headers['content-type']?.split(';')[0]!.trim().toLowerCase();
  const hasBody = headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;
  return type ? !FORM_TYPES.has(type) : !hasBody;
}

/**
 * Answers only requests that were addressed to this machine and, when a page sent them, sent by our own page: a foreign
 * page in the same browser, or another program's on another port, must not reach the keeper's data.
 *
 * @param secured sets the headers that every answer carries, a refusal too.
 */
export const localOnly =
  (secured: RequestHandler): RequestHandler =>
  (request, response, next) => {
    const refuse = (code: 'not-local' | 'as-a-form') => {
      const { problem: body } = problem(commonErrors, code);
      secured(request, response, () => void response.status(body.status).type(PROBLEM_TYPE).send(JSON.stringify(body)));
    };
    if (!isLocal(request.headers.host) || !isOurPage(request) || !isOurDoing(request)) return refuse('not-local');
    if (!isNoForm(request)) return refuse('as-a-form');
    next();
  };
