import { collection } from './collection.ts';

export const stations = collection('stations', 'station', (plan) => plan.stations);
export const waters = collection('waters', 'water', (plan) => plan.waters);
export const targetSpecies = collection('sought', 'target species', (plan) => plan.sought);
export const transducers = collection('transducers', 'transducer', (plan) => plan.transducers);
export const fish = collection('fish', 'fish', (plan) => plan.fish);
export const equipment = collection('equipment', 'piece of equipment', (plan) => plan.equipment);
export const batteries = collection('power.batteries', 'battery', (plan) => plan.power.batteries);
export const circuits = collection('power.circuits', 'circuit', (plan) => plan.power.circuits);
export const displays = collection('displays', 'display', (plan) => plan.displays);
export const pages = collection('pages', 'page', (plan) => plan.pages);

/** Of a page: the numbers that stand over it. */
export const numbersOf = (pageId: string) =>
  collection(`pages.${pageId}.numbers`, 'number', (plan) => pages.get(plan, pageId).numbers);
