import { ServerResponse } from 'node:http';

// Preloaded into a server under test: it dies when it is about to answer that a revision was kept.
const end = ServerResponse.prototype.end;
ServerResponse.prototype.end = function (this: ServerResponse, ...rest: unknown[]) {
  if (this.statusCode === 201 && this.req.method === 'POST') process.kill(process.pid, 'SIGKILL');
  return Reflect.apply(end, this, rest) as ServerResponse;
} as typeof end;
