import { Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { act, at } from '@grey-keel/core';
import type { Path } from '@grey-keel/model';
import { GoTo } from './go-to.ts';
import { placeKey, Places, PlanPlace } from './plan-place.ts';

@Component({
  imports: [PlanPlace],
  template: `
    @if (there()) {
      <section [gkPlace]="place()"><button type="button">one</button></section>
    }
    <button type="button" [gkPlace]="['boat', 'beamM']">two</button>
  `,
})
class Host {
  readonly there = signal(true);
  readonly place = signal<Path>(['boat', 'lengthM']);
}

describe('places of the plan', () => {
  const host = async () => {
    const fixture = TestBed.createComponent(Host);
    document.body.append(fixture.nativeElement as HTMLElement);
    await fixture.whenStable();
    fixture.detectChanges();
    return fixture;
  };
  const frames = () => new Promise((resolve) => setTimeout(resolve, 60));

  it('are named alike as a path and as where a fix leads', () => {
    expect(placeKey(['boat', 'lengthM'])).toBe(placeKey(at('boat', 'lengthM')));
    expect(placeKey(act('choose a page', 'helm', 'trolling'))).not.toBe(
      placeKey(act('choose a page', 'helm', 'running')),
    );
  });

  it('are found while they are drawn, by the path they have now, and by nothing like it', async () => {
    const fixture = await host();
    const places = TestBed.inject(Places);
    expect(places.find('boat/lengthM')?.tagName).toBe('SECTION');
    expect(places.find('boat/length')).toBeNull();
    fixture.componentInstance.place.set(['boat', 'draughtM']);
    fixture.detectChanges();
    expect(places.find('boat/lengthM')).toBeNull();
    expect(places.find('boat/draughtM')?.tagName).toBe('SECTION');
    fixture.componentInstance.there.set(false);
    fixture.detectChanges();
    expect(places.find('boat/draughtM')).toBeNull();
    fixture.destroy();
  });

  it('are focused, also when they are only drawn a little later, and one that never comes is given up', async () => {
    const fixture = await host();
    const goTo = TestBed.inject(GoTo);
    goTo.show(at('boat', 'lengthM'));
    expect(document.activeElement?.textContent).toBe('one');
    fixture.componentInstance.there.set(false);
    fixture.detectChanges();
    goTo.show(at('boat', 'lengthM'));
    expect(goTo.wanted()).toEqual(at('boat', 'lengthM'));
    fixture.componentInstance.there.set(true);
    fixture.detectChanges();
    await frames();
    expect(document.activeElement?.textContent).toBe('one');
    expect(goTo.wanted()).toBeNull();
    goTo.show(at('boat', 'nowhere'));
    for (let i = 0; i < 100 && goTo.wanted(); i++) await frames();
    expect(goTo.wanted()).toBeNull();
    fixture.destroy();
  });
});
