import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';

/** Six decimals: well under anything measured here, well over what feet to metres and back loses. */
const quantum = 1e-6;

/** The same data with every number rounded to the quantum, so that a change of units and back changes nothing. */
export const quantised = <T>(data: T): T => {
  if (typeof data === 'number') return (Math.round(data / quantum) / Math.round(1 / quantum)) as T;
  if (Array.isArray(data)) return data.map(quantised) as T;
  if (typeof data === 'object' && data !== null)
    return Object.fromEntries(Object.entries(data).map(([key, value]) => [key, quantised(value as unknown)])) as T;
  return data;
};

/** Hash of the canonical JSON (RFC 8785) of data with the version of what works with it. */
export const fingerprint = (data: unknown, version: number): string =>
  bytesToHex(sha256(utf8ToBytes(canonicalize({ data: quantised(data), version }) ?? '')));
