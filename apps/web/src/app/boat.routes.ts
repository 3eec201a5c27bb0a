import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { BoatShell } from './shell/boat-shell.ts';
import { PlanEffects } from './state/plan.effects.ts';
import { planFeature } from './state/plan.reducer.ts';

/** One boat, with what keeps and judges her plan: none of it is needed before a boat is opened. */
export const boatRoutes: Routes = [
  {
    path: '',
    component: BoatShell,
    providers: [provideState(planFeature), provideEffects(PlanEffects)],
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'brief' },
      {
        path: 'brief',
        title: 'Brief - Grey Keel',
        loadComponent: () => import('./stages/brief/brief-page.ts').then(({ BriefPage }) => BriefPage),
      },
      {
        path: 'beams',
        title: 'Beams - Grey Keel',
        loadComponent: () => import('./stages/beams/beams-page.ts').then(({ BeamsPage }) => BeamsPage),
      },
      {
        path: 'fit',
        title: 'Fit - Grey Keel',
        loadComponent: () => import('./stages/fit/fit-page.ts').then(({ FitPage }) => FitPage),
      },
      {
        path: 'sources',
        title: 'Sources - Grey Keel',
        loadComponent: () => import('./stages/sources/sources-page.ts').then(({ SourcesPage }) => SourcesPage),
      },
      {
        path: 'calibrate',
        title: 'Calibrate - Grey Keel',
        loadComponent: () => import('./stages/calibrate/calibrate-page.ts').then(({ CalibratePage }) => CalibratePage),
      },
      {
        path: 'pages',
        title: 'Pages - Grey Keel',
        loadComponent: () => import('./stages/pages/pages-page.ts').then(({ PagesPage }) => PagesPage),
      },
      {
        path: 'keys',
        title: 'Keys - Grey Keel',
        loadComponent: () => import('./stages/keys/keys-page.ts').then(({ KeysPage }) => KeysPage),
      },
      {
        path: 'handover',
        title: 'Handover - Grey Keel',
        loadComponent: () => import('./stages/handover/handover-page.ts').then(({ HandoverPage }) => HandoverPage),
      },
    ],
  },
];
