import type { CatalogueEntry, Element, Mounting, Plan, Socket, TransducerEntry } from '@grey-keel/model';
import { socketOf } from '../network/sockets.ts';

/** Something that could be fitted, or is fitted already: an element where it would sit on this boat. */
export interface Candidate {
  readonly id: string;
  readonly element: Element;
  readonly mounting: Mounting;
  readonly fitted: boolean;
  /** No display takes its plug; a sounder module on the network would. */
  readonly byModule: boolean;
}

/** Something that could not, and why. */
export interface RuledOut {
  readonly id: string;
  readonly name: string;
  readonly by: string;
}

/** Whether there is an electric motor at the bow, by the brief or among what is fitted. */
export const hasBowMotor = ({ boat, equipment }: Plan): boolean =>
  boat.bowMotor === true || Object.values(equipment).some(({ kind }) => kind === 'bow motor');

/** Why a mounting is no choice on a hull, or null. */
export const hullForbids = (mounting: Mounting, plan: Plan): string | null => {
  const { hullMaterial, hullForm, propulsion } = plan.boat;
  if (mounting === 'shoot-through-hull' && hullMaterial !== 'solid laminate')
    return `it looks through the hull, which only solid laminate lets it do; this one is ${hullMaterial}`;
  if (mounting === 'transom' && hullForm === 'displacement' && propulsion === 'inboard shaft')
    return 'on the transom it hangs in the wash of the shaft';
  return null;
};

/** Shallower than this a jet boat runs over bars that would take a face off its bottom. */
const overBarsM = 5;

/** Why a mounting is not offered to this boat, whatever its hull bears, or null. */
const boatLacks = (mounting: Mounting, plan: Plan): string | null => {
  if (mounting === 'bow motor' && !hasBowMotor(plan)) return 'there is no bow motor aboard';
  if (mounting !== 'through-hull') return null;
  if (plan.boat.propulsion === 'oars') return 'it needs a hole below the waterline of a rowing boat';
  if (plan.boat.propulsion === 'jet' && plan.working.depthM < overBarsM)
    return 'a jet boat in such shallow water runs over bars that take a face off the hull';
  return null;
};

/** The sockets of the displays aboard that came from the catalogue; null while any display is of unknown making. */
const socketsAboard = (plan: Plan, catalogue: readonly CatalogueEntry[]): readonly Socket[] | null => {
  const displays = Object.values(plan.displays);
  if (displays.length === 0) return null;
  const sockets: Socket[] = [];
  for (const display of displays) {
    const entry = catalogue.find(({ id }) => id === display.catalogue?.entryId);
    if (entry?.item.type !== 'display') return null;
    sockets.push(...entry.item.sockets.map(socketOf));
  }
  return sockets;
};

/** The first mounting the hull allows, or why it allows none. */
const chosenMounting = (item: TransducerEntry, plan: Plan): { mounting: Mounting } | { refused: string } => {
  const refusals = item.mountings.map((mounting) => ({
    mounting,
    why: hullForbids(mounting, plan) ?? boatLacks(mounting, plan),
  }));
  const free = refusals.find(({ why }) => why === null);
  return free ? { mounting: free.mounting } : { refused: refusals[0]?.why ?? 'it has no mounting' };
};

/** Splits what the catalogue has of one kind into what could be fitted to this boat and what could not. */
export const candidatesFor = (
  plan: Plan,
  catalogue: readonly CatalogueEntry[],
  kind: Element['kind'],
): { candidates: Candidate[]; ruledOut: RuledOut[] } => {
  const sockets = socketsAboard(plan, catalogue);
  const candidates: Candidate[] = [];
  const ruledOut: RuledOut[] = [];
  for (const { id, item } of [...catalogue].sort((a, b) => (a.id < b.id ? -1 : 1))) {
    if (item.type !== 'transducer' || item.element.kind !== kind) continue;
    const chosen = chosenMounting(item, plan);
    const refuse = (by: string): number => ruledOut.push({ id, name: item.element.name, by });
    const { element, socket } = item;
    const direct =
      !sockets || socket === '' || sockets.some(({ plug, drives }) => plug === socket && drives.includes(kind));
    if ('refused' in chosen) refuse(chosen.refused);
    else if (!direct && !sockets.some(({ plug }) => plug === 'network'))
      refuse(`no display aboard drives it by its socket (${socket})`);
    else candidates.push({ id, element, mounting: chosen.mounting, fitted: false, byModule: !direct });
  }
  return { candidates, ruledOut };
};

/** What is aboard already, of one kind. */
export const fittedOf = (plan: Plan, kind: Element['kind']): Candidate[] =>
  Object.entries(plan.transducers)
    .filter(([, transducer]) => transducer.kind === kind)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([id, transducer]) => ({
      id,
      element: transducer,
      mounting: transducer.mounting,
      fitted: true,
      byModule: false,
    }));
