import { calculate, calculations } from '@grey-keel/core';
import type { OpenedBoat } from '@grey-keel/model';
import { writeFileSync } from 'node:fs';
import { request as rawRequest } from 'node:http';
import { join } from 'node:path';
import { restore } from '../database/backup.ts';
import { demoServer } from '../testing/demo-server.ts';
import { openApiDocument } from './open-api.ts';

interface ProblemBody {
  readonly title: string;
  readonly detail: string;
  readonly errors: { field: string; message: string; range: string }[];
}

describe('the other doors', () => {
  const { folder, send, server } = demoServer();

  it('says it is well, and what is not there', async () => {
    expect((await send('GET', '/health')).body).toEqual({
      status: 'ok',
      at: jasmine.any(String),
      address: server().address,
    });
    const lost = await send('GET', '/nowhere');
    expect([lost.status, lost.type.includes('problem+json')]).toEqual([404, true]);
  });

  it('answers every calculation as the core does, and 422 for bad input', async () => {
    const input = { beamwidthDeg: 24, depthM: 32 };
    const reply = await send('POST', '/calculations/footprint', input);
    const footprint = calculations.get('footprint');
    const own = footprint && calculate(footprint, input);
    expect(own?.ok && reply.body).toEqual(own?.ok && JSON.parse(JSON.stringify(own.answer)));
    const bad = await send('POST', '/calculations/footprint', { ...input, beamwidthDeg: 400 });
    expect(bad.status).toBe(422);
    expect((bad.body as ProblemBody).errors).toEqual([
      { field: 'beamwidthDeg', message: '"beamwidthDeg" is too large.', range: '0.01 to 170' },
    ]);
    expect((await send('POST', '/calculations/nothing', {})).status).toBe(404);
    expect(((await send('GET', '/calculations')).body as unknown[]).length).toBe(calculations.size);
    expect((await send('GET', '/calculations/footprint')).status).toBe(200);
  });

  it('copies a boat without what was measured on the first one', async () => {
    const made = await send('POST', '/boats/old-marl/copy', { id: 'marl-two', name: 'Marl the Second' });
    expect(made.status).toBe(201);
    const { plan } = made.body as OpenedBoat;
    expect(plan.boat.name).toBe('Marl the Second');
    expect(Object.keys(plan.pages).length).toBe(3);
    expect([plan.depthOffsets, plan.cards]).toEqual([{}, {}]);
    expect((await send('POST', '/boats/old-marl/copy', { id: 'marl-two', name: 'Marl the Second' })).status).toBe(200);
    expect((await send('POST', '/boats/old-marl/copy', { id: 'marl-two', name: 'Another' })).status).toBe(409);
    expect((await send('POST', '/boats/nowhere/copy', { id: 'other', name: 'Other' })).status).toBe(404);
    expect((await send('POST', '/boats/old-marl/copy', { id: 'Bad Id', name: '' })).status).toBe(422);
  });

  it('hands out the whole database as one file, taken while it is used', async () => {
    const response = await fetch(`${server().address}/api/backup`);
    expect(response.status).toBe(200);
    expect(response.headers.get('content-disposition')).toContain('.sqlite');
    const bytes = Buffer.from(await response.arrayBuffer());
    expect(bytes.subarray(0, 15).toString()).toBe('SQLite format 3');
    const file = join(folder(), 'handed-out.sqlite');
    writeFileSync(file, bytes);
    expect((await restore(file, join(folder(), 'again/grey-keel.sqlite'), new Date())).ok).toBeTrue();
  });

  it('describes its doors as OpenAPI, each calculation among them, with nothing left to look up', async () => {
    const { status, body } = await send('GET', '/openapi.json');
    expect(status).toBe(200);
    const document = body as { openapi: string; paths: Record<string, Record<string, { responses: object }>> };
    expect(document.openapi).toBe('3.1.0');
    for (const name of calculations.keys())
      expect(document.paths[`/api/calculations/${name}`]?.['post']).withContext(name).toBeDefined();
    expect(Object.keys(document.paths['/api/boats/{id}'] ?? {}).sort()).toEqual(['delete', 'get', 'put']);
    expect(document.paths['/api/calculations/{name}']?.['get']).toBeDefined();
    // A route that is added without a word, or taken away, is noticed.
    expect(() => openApiDocument([{ method: 'get', path: '/api/new' }])).toThrowError(/get \/api\/new/);
    const text = JSON.stringify(body);
    const at = (pointer: string): unknown =>
      pointer
        .split('/')
        .slice(1)
        .reduce<unknown>((part, key) => (part as Record<string, unknown> | undefined)?.[key], body);
    const pointers = [...text.matchAll(/"\$ref":"(#[^"]+)"/g)].map(([, pointer = '']) => pointer);
    expect(pointers.length).toBeGreaterThan(40);
    const missing = pointers.filter((pointer) => at(pointer) === undefined);
    expect(missing).toEqual([]);
  });

  it('answers only to its own names', async () => {
    const { port } = new URL(server().address);
    const status = (headers: Record<string, string>, path = '/api/boats'): Promise<number> =>
      new Promise((resolve, reject) => {
        rawRequest({ host: '127.0.0.1', port, path, headers }, (response) => {
          response.resume();
          resolve(response.statusCode ?? 0);
        })
          .on('error', reject)
          .end();
      });
    expect(await status({ host: 'elsewhere.example' })).toBe(403);
    expect(await status({ origin: 'http://elsewhere.example' })).toBe(403);
    expect(await status({ origin: `http://127.0.0.1:${port}` })).toBe(200);
    // A page of another port of this machine, or of the other name, is another site's.
    expect(await status({ origin: `http://127.0.0.1:${Number(port) + 1}` })).toBe(403);
    expect(await status({ origin: `http://localhost:${port}` })).toBe(403);
    // What the browser itself says of the request: only an address that is followed may come from elsewhere, to a page.
    const from = (site: string, mode: string) => ({ 'sec-fetch-site': site, 'sec-fetch-mode': mode });
    expect(await status(from('same-origin', 'cors'))).toBe(200);
    expect(await status(from('cross-site', 'no-cors'))).toBe(403);
    expect(await status(from('same-site', 'cors'))).toBe(403);
    for (const path of ['/api/health', '/API/health', '/Api/backup', '/api'])
      expect(await status(from('cross-site', 'navigate'), path))
        .withContext(path)
        .toBe(403);
    expect(await status(from('cross-site', 'navigate'), '/boats/old-marl/brief')).toBe(404);
  });

  it('answers garbled addresses, compression, ranges and conditions with what is wrong, never as its own failure', async () => {
    const raw = (path: string, headers: Record<string, string> = {}, body?: Buffer): Promise<number> =>
      new Promise((resolve, reject) => {
        const { port } = new URL(server().address);
        const sent = rawRequest(
          { host: '127.0.0.1', port, path, headers, method: body ? 'POST' : 'GET' },
          (response) => {
            response.resume();
            resolve(response.statusCode ?? 0);
          },
        ).on('error', reject);
        sent.end(body);
      });
    const json = { 'content-type': 'application/json' };
    expect(await raw('/api/boats/%E0%A4%A')).toBe(400);
    expect(
      await raw('/api/calculations/footprint', { ...json, 'content-encoding': 'gzip' }, Buffer.from('no gzip')),
    ).toBe(400);
    expect(await raw('/api/calculations/footprint', { ...json, 'content-encoding': 'zip' }, Buffer.from('{}'))).toBe(
      415,
    );
    const deep = Buffer.from(`${'['.repeat(50_000)}${']'.repeat(50_000)}`);
    expect(await raw('/api/calculations/footprint', json, deep)).toBe(422);
    expect(await raw('/api/calculations/footprint', json, Buffer.from('{"__proto__":{"depthM":3}}'))).toBe(422);
    expect((await send('GET', '/boats/nowhere/revisions')).status).toBe(404);
  });

  it('sends a policy under which no inline script runs', async () => {
    const response = await fetch(`${server().address}/api/health`);
    expect(response.headers.get('content-security-policy')).toContain("script-src 'self';");
    expect(response.headers.get('x-content-type-options')).toBe('nosniff');
  });
});
