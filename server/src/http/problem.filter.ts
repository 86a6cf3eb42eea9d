import { commonErrors, PROBLEM_TYPE, type Problem } from '@bright-keeper/contract';
import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import { log } from '../platform/index.js';
import { databaseFault, forTheLog } from './databaseFault.js';
import { problem, ProblemError } from './problem.js';

type WithStatus = { status?: number; type?: string };

/** Errors of the body parser and the router, in our own words. */
function fromFramework(error: unknown): Problem | null {
  const { status, type } = error as WithStatus;
  if (type === 'entity.too.large' || status === 413) return problem(commonErrors, 'too-large').problem;
  if (type?.startsWith('entity.') || type === 'encoding.unsupported' || error instanceof SyntaxError)
    return problem(commonErrors, 'bad-json').problem;
  // What the address says cannot be decoded.
  if (error instanceof URIError) return problem(commonErrors, 'not-found').problem;
  // The sender went away; nobody hears this.
  if (type === 'request.aborted' || (error instanceof Error && error.message === 'aborted'))
    return problem(commonErrors, 'cut-off').problem;
  if (!(error instanceof HttpException)) return null;
  if (error.getStatus() === 404) return problem(commonErrors, 'not-found').problem;
  if (error.getStatus() === 400) return problem(commonErrors, 'bad-json', { detail: error.message }).problem;
  return { type: 'about:blank', title: error.message, status: error.getStatus(), detail: error.message, code: 'http' };
}

const OUR_FAULT: Problem = {
  type: 'about:blank',
  status: 500,
  code: 'internal',
  title: 'Something went wrong on our side',
  detail: 'Nothing of this request was saved. Try again; if it stays, the server’s log says more.',
};

/** Every error leaves as an RFC 9457 problem document. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const known = error instanceof ProblemError ? error.problem : (fromFramework(error) ?? databaseFault(error));
    // What a service refuses on purpose is no news to the log, and a database that is away is none a hundred times over.
    const { method, path } = host.switchToHttp().getRequest<Request>();
    if (!known) log.error({ method, path, ...forTheLog(error) }, 'a request failed');
    else if (known.status >= 500 && !(error instanceof ProblemError)) log.warn({ method, path, code: known.code }, 'a request was put off');
    const body = known ?? OUR_FAULT;
    if (body.status === 503) response.setHeader('Retry-After', '5');
    response.status(body.status).type(PROBLEM_TYPE).send(JSON.stringify(body));
  }
}
