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
    loadChildren: () => import('./boat.routes.ts').then(({ boatRoutes }) => boatRoutes),
  },
  { path: '**', redirectTo: '' },
];
