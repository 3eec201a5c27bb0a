import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import {
  type ApplicationConfig,
  ErrorHandler,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
} from '@angular/core';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore } from '@ngrx/store';
import { provideStoreDevtools } from '@ngrx/store-devtools';
import { providePrimeNG } from 'primeng/config';
import { PlainErrors } from './api/plain-errors.ts';
import { plainProblems } from './api/plain-problems.ts';
import { sameBuild } from './api/same-build.ts';
import { routes } from './app.routes.ts';
import { CatalogueEffects } from './state/catalogue.effects.ts';
import { catalogueFeature } from './state/catalogue.ts';
import { FleetEffects } from './state/fleet.effects.ts';
import { fleetFeature } from './state/fleet.ts';
import { viewFeature } from './state/view.ts';
import { ViewEffects } from './state/view.effects.ts';
import { preset } from './theme/preset.ts';

declare const ngDevMode: unknown;

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    { provide: ErrorHandler, useClass: PlainErrors },
    provideHttpClient(withFetch(), withInterceptors([sameBuild, plainProblems])),
    provideRouter(routes, withComponentInputBinding()),
    provideStore(),
    provideState(viewFeature),
    provideState(fleetFeature),
    provideState(catalogueFeature),
    provideEffects(ViewEffects, FleetEffects, CatalogueEffects),
    // Left out of what is shipped by the compiler, which knows the constant.
    ngDevMode ? provideStoreDevtools({ maxAge: 100 }) : [],
    providePrimeNG({ theme: { preset, options: { darkModeSelector: '.never-dark' } } }),
  ],
};
