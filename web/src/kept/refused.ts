import { ApiError } from '../api/http';

/** A refusal as the household would send it. */
export const refused = (code: string, title: string, detail: string): ApiError =>
  new ApiError({ type: 'about:blank', title, status: 422, code, detail });
