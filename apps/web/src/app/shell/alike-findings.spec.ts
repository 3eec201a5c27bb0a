import type { Finding, Severity } from '@grey-keel/model';
import { alikeFindings } from './alike-findings.ts';

describe('findings that say the same', () => {
  const some = (title: string, count: number, severity: Severity = 'check'): Finding[] =>
    Array.from({ length: count }, (_, i) => ({ id: `${title}:${i}`, severity, title }) as Finding);
  const counts = (found: readonly Finding[]): number[] => alikeFindings(found).map((group) => group.found.length);

  it('stand under one line from three on, at the place of the first, and none is lost', () => {
    const [first, ...rest] = some('No page', 4);
    expect(counts([first!, ...some('Other', 2), ...rest])).toEqual([4, 1, 1]);
    expect(counts(some('No page', 2))).toEqual([1, 1]);
  });

  it('are never folded where they are stops', () => {
    expect(counts(some('Wrong sign', 5, 'stop'))).toEqual([1, 1, 1, 1, 1]);
  });
});
