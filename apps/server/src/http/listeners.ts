import { createChannel, createSession } from 'better-sse';
import type { Request, Response } from 'express';
import { sendProblem } from './problem.ts';

/** What may wait to be sent to one listener: who reads nothing is dropped, and asks again by itself when it reads. */
const mostUnsentBytes = 1_000_000;

/** Those who listen to server-sent events. */
export class Listeners {
  private readonly channel = createChannel();
  private readonly open = new Set<Response>();

  constructor(private readonly most: number) {}

  /** Lets one listen, and says something to it first; refused in words where too many do. */
  async join(request: Request, response: Response, what: string, first: readonly [unknown, string]): Promise<void> {
    if (this.open.size >= this.most)
      return sendProblem(response, {
        status: 429,
        title: 'Too many listen',
        detail: `At most ${this.most} ${what} at once. Close some.`,
      });
    this.open.add(response);
    response.once('close', () => this.open.delete(response));
    const session = await createSession(request, response, { keepAlive: 15_000, retry: 1000 });
    this.channel.register(session);
    session.push(...first);
  }

  tell(data: unknown, event: string): void {
    for (const response of this.open) if (response.writableLength > mostUnsentBytes) response.destroy();
    this.channel.broadcast(data, event);
  }

  /** Ends every stream, so that each comes back and asks for all that it missed. */
  end(): void {
    for (const response of this.open) response.end();
  }
}
