import { HttpClient, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { reloadPage, sameBuild } from './same-build.ts';

describe('a page and the server it came from', () => {
  it('are of one build: after an update the page is loaded anew', () => {
    const reload = jasmine.createSpy('reload');
    TestBed.configureTestingModule({
      providers: [
        provideHttpClient(withInterceptors([sameBuild])),
        provideHttpClientTesting(),
        { provide: reloadPage, useValue: reload },
      ],
    });
    const answer = (build: string | null): void => {
      TestBed.inject(HttpClient).get('api/boats').subscribe();
      const headers: Record<string, string> = build === null ? {} : { 'Grey-Keel-Build': build };
      TestBed.inject(HttpTestingController).expectOne('api/boats').flush([], { headers });
    };
    answer(null);
    answer('one');
    answer('one');
    expect(reload).not.toHaveBeenCalled();
    answer('two');
    expect(reload).toHaveBeenCalledTimes(1);
  });
});
