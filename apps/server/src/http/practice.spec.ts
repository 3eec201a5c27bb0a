import { unitSets } from '@grey-keel/core';
import { type Bundle, type Edit, type OpenedBoat } from '@grey-keel/model';
import { demoServer } from '../testing/demo-server.ts';
import { pdfSheets } from '../testing/pdf-text.ts';

const simulated: Edit = {
  type: 'recordCalibration',
  of: 'heading',
  sensorId: 'c-compass',
  readingId: 'sim-1',
  reading: {
    headingDeg: 40,
    sogMps: 3,
    cogDeg: 44,
    leftOut: false,
    from: { source: 'Simulated boat', simulated: true, at: '2026-05-01T09:30:00Z', lastedS: 30, samples: 200 },
  },
};

describe('a practice copy', () => {
  const { send, server } = demoServer();
  const opened = async (id: string): Promise<OpenedBoat> => (await send('GET', `/boats/${id}`)).body as OpenedBoat;
  const record = async (id: string) => {
    const { number, revisionId } = await opened(id);
    const revision = { revisionId: crypto.randomUUID(), base: number, baseId: revisionId, edits: [simulated] };
    return send('POST', `/boats/${id}/revisions`, revision);
  };
  const practise = () =>
    send('POST', '/boats/old-marl/copy', { id: 'practice', name: 'Practice, Old Marl', practice: true });
  const headOf = async (id: string): Promise<string> => {
    const asked = new URLSearchParams({ ...unitSets.metric }).toString();
    const response = await fetch(`${server().address}/api/boats/${id}/card.pdf?${asked}`);
    const [first] = await pdfSheets(new Uint8Array(await response.arrayBuffer()));
    return (first?.text ?? '').replace(/\s+/g, '');
  };

  it('takes what the simulated boat said; the boat itself and a bundle with it are refused, with why', async () => {
    expect((await practise()).status).toBeLessThan(300);
    expect((await record('practice')).status).toBe(201);
    const refused = await record('old-marl');
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toContain('practice copies alone');
    expect((await opened('old-marl')).plan.calibrations.heading['c-compass']?.readings['sim-1']).toBeUndefined();

    const bundle = (await send('GET', '/boats/practice/bundle')).body as Bundle;
    expect((await send('PUT', '/bundles/second', bundle)).status).toBe(201);
    const { practice: _, ...asBoat } = bundle.plan;
    const smuggled = await send('PUT', '/bundles/third', { ...bundle, plan: asBoat });
    expect(smuggled.status).toBe(422);
    expect(JSON.stringify(smuggled.body)).toContain('practice copies alone');
  });

  it('says so on every sheet that is printed of it, and in the fleet', async () => {
    await practise();
    expect(await headOf('practice')).toContain('PRACTICECOPY');
    expect(await headOf('old-marl')).not.toContain('PRACTICECOPY');
    const fleet = (await send('GET', '/boats')).body as { boats: { id: string; practice: boolean }[] };
    expect(fleet.boats.filter(({ practice }) => practice).map(({ id }) => id)).toContain('practice');
  });
});
