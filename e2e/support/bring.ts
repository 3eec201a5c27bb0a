/** Puts a plan into the fleet as a bundle would bring it. */
export const bring = async (address: string, id: string, plan: unknown): Promise<void> => {
  const exportedAt = '2026-05-01T10:00:00.000Z';
  const response = await fetch(`${address}/api/bundles/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ format: 'grey-keel-bundle', version: 1, exportedAt, plan, catalogue: [] }),
  });
  if (!response.ok) throw new Error(`${id}: ${response.status} ${await response.text()}`);
};
