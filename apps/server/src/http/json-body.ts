import express, { Router, type RequestHandler } from 'express';
import { sendProblem } from './problem.ts';

/** Deeper than anything a plan holds. */
const deepest = 48;

/** What is wrong with the shape of JSON before any schema sees it, or null. Walked with a list of its own, not by calls. */
export const shapeFault = (body: unknown): string | null => {
  const waiting: { value: unknown; depth: number }[] = [{ value: body, depth: 0 }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value, depth } = next;
    if (typeof value !== 'object' || value === null) continue;
    if (depth >= deepest) return `It is nested more than ${deepest} deep.`;
    if (Object.prototype.hasOwnProperty.call(value, '__proto__')) return 'It has a field "__proto__"; take it out.';
    for (const inner of Object.values(value)) waiting.push({ value: inner, depth: depth + 1 });
  }
  return null;
};

/** Reads a body of JSON up to a size, no deeper than any answer of the program. */
export const jsonBody = (limit: string | number): RequestHandler => {
  const router = Router();
  router.use(express.json({ limit }), (request, response, next) => {
    const fault = shapeFault(request.body);
    if (fault === null) return next();
    sendProblem(response, { status: 422, title: 'Input refused', detail: fault });
  });
  return router;
};
