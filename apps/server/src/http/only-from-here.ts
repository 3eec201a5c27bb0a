import type { RequestHandler } from 'express';
import { sendProblem } from './problem.ts';

const loopback = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostOf = (authority: string): string => authority.replace(/:\d+$/, '');

const originIsHere = (origin: string): boolean => {
  try {
    return loopback.has(new URL(origin).hostname);
  } catch {
    return false;
  }
};

/** Answers only to its own names, so that no page from elsewhere can reach it through the user's browser. */
export const onlyFromHere: RequestHandler = (request, response, next) => {
  const { host = '', origin } = request.headers;
  if (loopback.has(hostOf(host)) && (origin === undefined || originIsHere(origin))) return next();
  sendProblem(response, {
    status: 403,
    title: 'Not from here',
    detail: 'This server answers only to pages of its own on this machine.',
  });
};
