import { parse, serialize } from 'cookie';
import type { Request, Response } from 'express';

/** The prefix has a browser refuse it from any other host, from plain HTTP and for part of the addresses (RFC 6265bis 4.1.3.2). */
const NAME = '__Host-bright-keeper';
const FLAGS = { httpOnly: true, secure: true, sameSite: 'lax', path: '/' } as const;

export const shownBy = ({ headers }: Request): string | null =>
  headers.cookie === undefined ? null : (parse(headers.cookie)[NAME] ?? null);

/** @param days until when the browser keeps it; what it opens is decided here, each time. */
export const giveToShow = (response: Response, token: string, days: number): void =>
  void response.append('Set-Cookie', serialize(NAME, token, { ...FLAGS, maxAge: days * 86_400 }));

export const takeBack = (response: Response): void => void response.append('Set-Cookie', serialize(NAME, '', { ...FLAGS, maxAge: 0 }));
