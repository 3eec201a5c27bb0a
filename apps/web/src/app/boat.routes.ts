import { provideEnvironmentInitializer } from '@angular/core';
import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { stageRegister } from './stages/stages.ts';
import { BoatShell } from './shell/boat-shell.ts';
import { PlanEffects } from './state/plan.effects.ts';
import { instrumentsFeature } from './live/instruments.ts';
import { UndoEffects } from './state/undo.effects.ts';
import { planFeature } from './state/plan.reducer.ts';
import { bringStageParts } from './theme/stage-preset.ts';

/** One boat, with what keeps and judges its plan: none of it is needed before a boat is opened. */
export const boatRoutes: Routes = [
  {
    path: '',
    component: BoatShell,
    providers: [
      provideState(planFeature),
      provideState(instrumentsFeature),
      provideEffects(PlanEffects, UndoEffects),
      provideEnvironmentInitializer(bringStageParts),
    ],
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'brief' },
      ...stageRegister.map(({ stage, title, page }) => ({
        path: stage,
        title: `${title} - Grey Keel`,
        loadComponent: page,
      })),
    ],
  },
];
