import type { Routes } from '@angular/router';

export const routes: Routes = [
  {
    path: '',
    pathMatch: 'full',
    title: 'Fleet - Grey Keel',
    loadComponent: () => import('./fleet/fleet-page.ts').then(({ FleetPage }) => FleetPage),
  },
  {
    path: 'boats/:boatId',
    loadComponent: () => import('./shell/boat-shell.ts').then(({ BoatShell }) => BoatShell),
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
  { path: '**', redirectTo: '' },
];
