import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import {
  type ApplicationConfig,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
} from '@angular/core';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore } from '@ngrx/store';
import { providePrimeNG } from 'primeng/config';
import { sameBuild } from './api/same-build.ts';
import { routes } from './app.routes.ts';
import { catalogueFeature, fleetFeature } from './state/lists.ts';
import { ListEffects } from './state/lists.effects.ts';
import { viewFeature } from './state/view.ts';
import { ViewEffects } from './state/view.effects.ts';
import { preset } from './theme/theme.ts';

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    provideHttpClient(withFetch(), withInterceptors([sameBuild])),
    provideRouter(routes, withComponentInputBinding()),
    provideStore(),
    provideState(viewFeature),
    provideState(fleetFeature),
    provideState(catalogueFeature),
    provideEffects(ViewEffects, ListEffects),
    providePrimeNG({ theme: { preset, options: { darkModeSelector: '.never-dark' } } }),
  ],
};
