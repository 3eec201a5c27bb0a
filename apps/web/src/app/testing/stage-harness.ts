import { provideHttpClient, withInterceptors } from '@angular/common/http';
import { provideHttpClientTesting } from '@angular/common/http/testing';
import { getDebugNode, provideZonelessChangeDetection, type Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { emptyPlan, type Plan } from '@grey-keel/model';
import { provideState, provideStore, Store } from '@ngrx/store';
import { plainProblems } from '../api/plain-problems.ts';
import type { Choice } from '../shared/choice-field.ts';
import { catalogueFeature } from '../state/catalogue.ts';
import { fleetFeature } from '../state/fleet.ts';
import { boatEvents, serverEvents } from '../state/plan.actions.ts';
import { instrumentsFeature } from '../live/instruments.ts';
import { LiveSamples } from '../live/live-samples.ts';
import { QuietSamples } from './quiet-samples.ts';
import { planFeature } from '../state/plan.reducer.ts';
import { selectPlan } from '../state/plan.selectors.ts';
import { viewFeature } from '../state/view.ts';
import { ServerNews } from '../state/server-news.ts';
import { aPlan, heardNews, opened } from './plans.ts';

/** Shows a component on an open plan, and does to it what a user does. Sets itself up before each spec. */
export const stageHarness = () => {
  let settling: () => Promise<unknown> = () => Promise.resolve();

  beforeEach(() => {
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideRouter([]),
        provideHttpClient(withInterceptors([plainProblems])),
        provideHttpClientTesting(),
        provideStore(),
        provideState(planFeature),
        provideState(instrumentsFeature),
        { provide: LiveSamples, useClass: QuietSamples },
        { provide: ServerNews, useValue: heardNews() },
        provideState(viewFeature),
        provideState(fleetFeature),
        provideState(catalogueFeature),
      ],
    });
  });

  const store = (): Store => TestBed.inject<Store>(Store);
  const settle = (): Promise<unknown> => settling();
  const within = (root: HTMLElement, css: string): HTMLElement => {
    const found = root.querySelector<HTMLElement>(css);
    if (!found) throw new Error(`Nothing is ${css}.`);
    return found;
  };

  return {
    store,
    settle,
    plan: (): Plan => store().selectSignal(selectPlan)() ?? emptyPlan('none'),
    page: async (
      type: Type<unknown>,
      start: Plan = aPlan(),
      inputs: Record<string, unknown> = {},
    ): Promise<HTMLElement> => {
      store().dispatch(boatEvents.boatChosen({ id: 'test-hull' }));
      store().dispatch(serverEvents.boatLoaded({ boat: opened(start), unsent: [], stuck: [], since: [] }));
      const fixture: ComponentFixture<unknown> = TestBed.createComponent(type);
      for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
      await fixture.whenStable();
      settling = () => fixture.whenStable();
      const root = fixture.nativeElement as HTMLElement;
      // What is drawn in an idle moment is waited for, up to ten seconds on a machine that is busy.
      for (let i = 0; i < 1000 && root.querySelector('.to-come'); i++) {
        await new Promise((resolve) => setTimeout(resolve, 10));
        await settle();
      }
      // What is fetched for it is drawn a moment after its place is made.
      await new Promise((resolve) => setTimeout(resolve));
      await settle();
      return root;
    },
    write: async (root: HTMLElement, css: string, text: string): Promise<void> => {
      const field = within(root, css) as HTMLInputElement;
      field.value = text;
      field.dispatchEvent(new Event('input'));
      field.dispatchEvent(new Event('blur'));
      await settle();
    },
    press: async (root: HTMLElement, css: string): Promise<void> => {
      within(root, css).click();
      await settle();
    },
    choose: async (root: HTMLElement, css: string, value: string): Promise<void> => {
      const field = within(root, css);
      const list = field.closest('p-select, p-selectbutton');
      const { options } = (list && getDebugNode(list))?.componentInstance as { options: Choice[] };
      const at = options.findIndex((one) => one.value === value);
      if (at < 0) throw new Error(`${css} has no entry "${value}".`);
      // Without the theme no list fades, and the one from before takes the first press.
      for (let press = 0; press < 2 && field.getAttribute('aria-expanded') !== 'true'; press++) {
        field.click();
        await settle();
      }
      const entries = list?.matches('p-selectbutton')
        ? list.querySelectorAll<HTMLElement>('p-togglebutton')
        : document.querySelectorAll<HTMLElement>(`[id="${field.getAttribute('aria-controls') ?? ''}"] [role="option"]`);
      const entry = entries[at];
      if (!entry) throw new Error(`${css} did not open.`);
      entry.click();
      await settle();
    },
    key: async (root: HTMLElement, css: string, key: string, more: KeyboardEventInit = {}): Promise<void> => {
      within(root, css).dispatchEvent(
        new KeyboardEvent('keydown', { key, code: key, bubbles: true, cancelable: true, ...more }),
      );
      await settle();
    },
    text: (root: HTMLElement, css: string): string =>
      (root.querySelector(css)?.textContent ?? '').replace(/[\s\u00a0]+/g, ' ').trim(),
  };
};
