import { accessErrors, commonErrors } from '@bright-keeper/contract';
import type { Request, RequestHandler } from 'express';
import { doorOf } from './doors.js';
import { problem, type ProblemError, sendProblem } from './problem.js';

/** What changes nothing, whoever asks. */
export const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
/** What a form of any page may send anywhere without being asked first (HTML, "form submission"; Fetch, "no-CORS-safelisted"). */
const FORM_TYPES = new Set(['application/x-www-form-urlencoded', 'multipart/form-data', 'text/plain']);
/** Who may have sent a browser here to change something (W3C Fetch Metadata): this very page, or the keeper's own hand. */
const OWN_SITES = new Set(['same-origin', 'none']);

/** Was it addressed to us, by one of the names of the door it came in by? Else a foreign page may have sent its own name here. */
const isToUs = (request: Request): boolean => {
  const { host } = request.headers;
  return host !== undefined && doorOf(request).isOurs(host.replace(/:\d+$/, '').toLowerCase());
};

/** A page says whose it is in whole: scheme, name and port. Another port of this machine is another program. */
const isOurPage = (request: Request): boolean => {
  const { origin, host } = request.headers;
  return origin === undefined || origin === `${doorOf(request).scheme}://${host}`;
};

function isOurDoing({ method, headers }: Request): boolean {
  const site = headers['sec-fetch-site'];
  return READS.has(method) || site === undefined || OWN_SITES.has(site);
}

/** Does a body come in a way a form could not send it? */
function isNoForm({ method, headers }: Request): boolean {
  // No form shows a key: a page that would has to ask first (Fetch, "CORS-safelisted request-header").
  if (READS.has(method) || headers.authorization !== undefined) return true;
  const type = headers['content-type']?.split(';')[0]!.trim().toLowerCase();
  const hasBody = headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;
  return type ? !FORM_TYPES.has(type) : !hasBody;
}

function refusalOf(request: Request): ProblemError | null {
  if (!isToUs(request) || !isOurPage(request) || !isOurDoing(request)) return problem(commonErrors, 'not-local');
  if (doorOf(request).sourceOf(request) === null) return problem(accessErrors, 'unnamed-proxy');
  return isNoForm(request) ? null : problem(commonErrors, 'as-a-form');
}

/**
 * Answers only requests that were addressed to us by the door they came in by and, when a page sent them, sent by our
 * own page: a foreign page in the same browser, or another program's on another port, must not reach the keeper's data.
 *
 * @param secured sets the headers that every answer carries, a refusal too.
 */
export const addressedToUs =
  (secured: RequestHandler): RequestHandler =>
  (request, response, next) => {
    const refusal = refusalOf(request);
    if (!refusal) return next();
    secured(request, response, () => sendProblem(response, refusal));
  };
