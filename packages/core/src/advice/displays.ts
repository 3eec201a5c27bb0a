import type { CatalogueEntry, DisplayEntry, Plan, SonarKind, WorkingStep } from '@grey-keel/model';
import { answerOf } from '../calculation/calculation.ts';
import { legibility } from '../pages/legibility.ts';
import { socketOf } from '../network/sockets.ts';
import { shownWays } from '../plan/pages-at.ts';
import { inOrder } from '../plan/working-water.ts';

/** A display of the catalogue for one station, by what decides whether it will do there. */
export interface DisplayJudged {
  readonly id: string;
  readonly name: string;
  /** Of the transducers aboard whose plug is known: how many it drives itself, and how many by a module of the network. */
  readonly drives: number;
  readonly byModule: number;
  readonly known: number;
  /** Presses it has, for so many ways of working that each want one. */
  readonly presses: number;
  readonly ways: number;
  /** The share of the screen's height that a digit fills which can be read from here; null while the distance is unknown. */
  readonly digitShare: number | null;
  readonly digitWorking: readonly WorkingStep[];
  readonly requirements: readonly string[];
}

export interface StationDisplays {
  readonly stationId: string;
  readonly station: string;
  readonly displays: readonly DisplayJudged[];
}

/** A digit may fill an eighth of the screen: more leaves no room for what it is about. */
const mostDigitShare = 1 / 8;

interface Plugged {
  readonly plug: string;
  readonly kind: SonarKind;
}

const plugsOf = (plan: Plan, catalogue: readonly CatalogueEntry[]): Plugged[] =>
  inOrder(plan.transducers).flatMap(([, { catalogue: from, kind }]) => {
    const item = catalogue.find(({ id }) => id === from?.entryId)?.item;
    return item?.type === 'transducer' && item.socket !== '' ? [{ plug: item.socket, kind }] : [];
  });

const judged = (
  { id, item }: { id: string; item: DisplayEntry },
  plugs: readonly Plugged[],
  ways: number,
  viewingDistanceM: number | null,
): DisplayJudged => {
  const sockets = item.sockets.map(socketOf);
  const drives = plugs.filter(({ plug, kind }) =>
    sockets.some((socket) => socket.plug === plug && socket.drives.includes(kind)),
  ).length;
  const byModule = sockets.some(({ plug }) => plug === 'network') ? plugs.length - drives : 0;
  const sight =
    viewingDistanceM === null
      ? null
      : answerOf(legibility, {
          heightPx: 40,
          screenDiagonalM: item.screenDiagonalM,
          pixelsWide: item.pixelsWide,
          pixelsHigh: item.pixelsHigh,
          viewingDistanceM,
        });
  const digitShare = sight && sight.wantedPx / item.pixelsHigh;
  const presses = item.keys * item.pressesPerKey;
  const requirements = [
    ...(drives + byModule < plugs.length ? ['a socket for what is aboard'] : []),
    ...(digitShare !== null && digitShare > mostDigitShare ? ['a larger screen, or a nearer one'] : []),
    ...(presses > 0 && presses < ways ? ['a key for each way of working'] : []),
  ];
  return {
    id,
    name: item.name,
    drives,
    byModule,
    known: plugs.length,
    presses,
    ways,
    digitShare,
    digitWorking: sight?.working ?? [],
    requirements,
  };
};

/**
 * The displays of the catalogue at each station: whether they can drive what is aboard, whether their numbers can be
 * read from there, and whether their keys are enough. Those that want nothing first, the smaller before the larger.
 */
export const judgeDisplays = (plan: Plan, catalogue: readonly CatalogueEntry[]): StationDisplays[] => {
  const plugs = plugsOf(plan, catalogue);
  const ways = shownWays(plan).length;
  const displays = catalogue
    .flatMap(({ id, item }) => (item.type === 'display' ? [{ id, item }] : []))
    .sort((a, b) => a.item.screenDiagonalM - b.item.screenDiagonalM || (a.id < b.id ? -1 : 1));
  return inOrder(plan.stations).map(([stationId, { name, viewingDistanceM }]) => ({
    stationId,
    station: name,
    displays: displays
      .map((display) => judged(display, plugs, ways, viewingDistanceM))
      .sort((a, b) => a.requirements.length - b.requirements.length || b.drives - a.drives),
  }));
};
