import { filter, firstValueFrom, type Observable, race, timer } from 'rxjs';

/** How long what was typed may take to reach the server before it is said that it does not. */
const patienceMs = 5000;

/** Whether all that was typed has reached the server, waited for a little while; `unsent` is what has not yet. */
export const whenSent = async (unsent: Observable<readonly unknown[]>): Promise<boolean> => {
  const sent = unsent.pipe(filter((left) => left.length === 0));
  return (await firstValueFrom(race(sent, timer(patienceMs)))) !== 0;
};
