import { bootstrapApplication } from '@angular/platform-browser';
import * as z from 'zod';
import { App } from './app/app.ts';
import { appConfig } from './app/app.config.ts';
import { toOneAddress } from './app/state/one-address.ts';
import { Outbox } from './app/state/outbox.ts';
import { writeThemes } from './app/theme/theme.ts';

const healthSchema = z.looseObject({ address: z.url() });

/** The address this server is used under, or null where it does not say: then this one is as good. */
const usualAddress = async (): Promise<string | null> => {
  try {
    const health = healthSchema.safeParse(await (await fetch('api/health')).json());
    return health.success ? new URL(health.data.address).origin : null;
  } catch {
    return null;
  }
};

const start = async (): Promise<void> => {
  writeThemes(document);
  // Only another name of this machine needs asking: under any other address the browser is where it belongs.
  const elsewhere = location.hostname === 'localhost' || location.hash.startsWith('#waiting=');
  const leaving =
    elsewhere &&
    (await toOneAddress(
      {
        origin: location.origin,
        pathname: location.pathname,
        search: location.search,
        hash: location.hash,
        replace: (address) => location.replace(address),
        clean: () => history.replaceState(null, '', location.pathname + location.search),
      },
      await usualAddress(),
      new Outbox(),
    ));
  if (!leaving) await bootstrapApplication(App, appConfig);
};

start().catch((error: unknown) => console.error(error));
