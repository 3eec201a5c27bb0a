import express from 'express';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { createServer, request, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync } from 'node:zlib';
import { problemHandler } from './problem.ts';
import { webApplication } from './web-application.ts';

const script = 'console.log("the keel");'.repeat(40);

describe('the web application', () => {
  let folder: string;
  let server: Server;

  const get = (path: string, headers: Record<string, string> = {}): Promise<IncomingMessage & { body: Buffer }> =>
    new Promise((resolve, reject) => {
      const { port } = server.address() as AddressInfo;
      request({ host: '127.0.0.1', port, path, headers }, (response) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => resolve(Object.assign(response, { body: Buffer.concat(parts) })));
      })
        .on('error', reject)
        .end();
    });

  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'grey-keel-web-'));
    await writeFile(join(folder, 'index.html'), '<p>page</p>');
    await writeFile(join(folder, 'main-ABCD2345.js'), script);
    await writeFile(join(folder, 'main-ABCD2345.js.br'), brotliCompressSync(script));
    const app = express().use(webApplication(folder), problemHandler({ error: () => undefined } as never));
    server = createServer(app);
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  });

  afterAll(async () => {
    server.close();
    await rm(folder, { recursive: true });
  });

  it('sends a file as the build compressed it to whoever takes that, and as it is to the rest; both for a year', async () => {
    const small = await get('/main-ABCD2345.js', { 'accept-encoding': 'gzip, br' });
    expect([small.headers['content-encoding'], small.headers.vary]).toEqual(['br', 'Accept-Encoding']);
    expect(brotliDecompressSync(small.body).toString()).toBe(script);
    const plain = await get('/main-ABCD2345.js');
    expect([plain.headers['content-encoding'], plain.body.toString()]).toEqual([undefined, script]);
    for (const { headers } of [small, plain]) {
      expect(headers['content-type']).toContain('javascript');
      expect(headers['cache-control']).toContain('immutable');
    }
  });

  it('answers every path that is no file with the page, which is asked for anew each time', async () => {
    const page = await get('/boats/one/beams');
    expect([page.body.toString(), page.headers['cache-control']]).toEqual(['<p>page</p>', 'no-cache']);
  });

  it('refuses a garbled address as every other door does', async () => {
    const refused = await get('/%E0%A4%A');
    expect([refused.statusCode, refused.headers['content-type']]).toEqual([
      400,
      'application/problem+json; charset=utf-8',
    ]);
  });
});
