import type { CatalogueEntry, Edit, FittedDisplay, Plan } from '@grey-keel/model';

/** A display of the catalogue as it comes to stand at a station; null for an entry that is none. */
export const displayOf = ({
  id,
  item,
  version,
}: Pick<CatalogueEntry, 'id' | 'item' | 'version'>): FittedDisplay | null => {
  if (item.type !== 'display') return null;
  const { type: _type, sockets: _sockets, travellingSettings: travels, ...screen } = item;
  return { ...screen, catalogue: { entryId: id, version }, seatedDistanceM: null, readAtNight: false, travels };
};

/** What putting a display at a station changes: how it is looked at stays, its sockets come with it. None for another entry. */
export const fitDisplayEdits = (plan: Plan, stationId: string, { id, version, item }: CatalogueEntry): Edit[] => {
  const display = displayOf({ id, version, item });
  if (!display || item.type !== 'display') return [];
  const before = plan.displays[stationId];
  const stays = before ? { seatedDistanceM: before.seatedDistanceM, readAtNight: before.readAtNight } : {};
  return [
    { type: 'fitDisplay', stationId, display: { ...display, ...stays } },
    // Those of another display are not there any more.
    { type: 'describeDevice', id: stationId, changes: { sockets: [...item.sockets] } },
  ];
};
