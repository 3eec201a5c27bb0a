import '@angular/compiler';
import { IDBFactory } from 'fake-indexeddb';
import 'fake-indexeddb/auto';

// What a browser has and this process has not, so that the very effects, reducer and outbox of the application run in it.

type Held = (lock: object | null) => unknown;

/** Locks by name, held until the page that asked for them is gone. */
class Locks {
  private readonly held = new Set<string>();

  async request(name: string, ...rest: [Held] | [{ ifAvailable?: boolean }, Held]): Promise<unknown> {
    const work = rest[rest.length - 1] as Held;
    if (this.held.has(name)) return work(null);
    this.held.add(name);
    try {
      return await work({});
    } finally {
      this.held.delete(name);
    }
  }

  release(name: string): void {
    this.held.delete(name);
  }
}

/** Its keys are its own properties, as the browser's are. */
class Store {
  setItem(key: string, value: string): void {
    Object.defineProperty(this, key, { value, enumerable: true, configurable: true, writable: true });
  }
  getItem(key: string): string | null {
    const value: unknown = Object.prototype.hasOwnProperty.call(this, key) ? Reflect.get(this, key) : null;
    return typeof value === 'string' ? value : null;
  }
  removeItem(key: string): void {
    Reflect.deleteProperty(this, key);
  }
}

let locks = new Locks();

/** A browser in which nothing was kept yet. */
export const freshBrowser = (): void => {
  locks = new Locks();
  Object.assign(globalThis, { indexedDB: new IDBFactory(), localStorage: new Store() });
  Object.defineProperty(globalThis.navigator ?? Object.assign(globalThis, { navigator: {} }).navigator, 'locks', {
    value: locks,
    configurable: true,
  });
};

/** What a page that is killed lets go. */
export const letGo = (tabId: string): void => locks.release(`grey-keel-tab-${tabId}`);

freshBrowser();
