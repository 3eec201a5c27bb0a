import { HttpErrorResponse, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideState, provideStore, Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { selectFault, viewFeature } from '../state/view.ts';
import { PlainErrors } from './plain-errors.ts';
import { plainProblems } from './plain-problems.ts';
import { problemIn, problemOf, saysDeleted, type ServerProblem } from './problem.ts';
import { ServerApi } from './server-api.ts';

describe('what goes wrong', () => {
  let http: HttpTestingController;
  let api: ServerApi;
  beforeEach(() => {
    TestBed.configureTestingModule({
      providers: [
        provideHttpClient(withInterceptors([plainProblems])),
        provideHttpClientTesting(),
        provideStore(),
        provideState(viewFeature),
        PlainErrors,
      ],
    });
    http = TestBed.inject(HttpTestingController);
    api = TestBed.inject(ServerApi);
  });
  const failing = async (work: Promise<unknown>): Promise<ServerProblem> =>
    work.then(
      () => fail('It went well.') as never,
      (error: unknown) => problemOf(error),
    );
  const refused = { status: 422, statusText: 'no' };

  it('at the server is said in the words of the server, with its status and what else it said', async () => {
    const problem = failing(firstValueFrom(api.remove('a')));
    http
      .expectOne('api/boats/a')
      .flush({ detail: 'It was deleted.', deleted: true }, { status: 410, statusText: 'gone' });
    expect(await problem).toEqual({
      status: 410,
      detail: 'It was deleted.',
      body: { detail: 'It was deleted.', deleted: true },
    });
    expect([saysDeleted(await problem), saysDeleted({ status: 404, detail: '', body: null })]).toEqual([true, false]);
  });

  it('is read out of a file where a file was asked for', async () => {
    const problem = failing(firstValueFrom(api.bundle('a')));
    http.expectOne('api/boats/a/bundle').flush(new Blob(['{"detail":"Too much on one sheet."}']), refused);
    expect((await problem).detail).toBe('Too much on one sheet.');
    const other = failing(firstValueFrom(api.backup()));
    http.expectOne('api/backup').flush(new Blob(['<html>']), refused);
    expect((await other).detail).toBe('The server answered 422.');
  });

  it('between here and the server is no answer at all', async () => {
    const problem = failing(firstValueFrom(api.fleet({})));
    http.expectOne('api/boats').error(new ProgressEvent('error'));
    expect((await problem).status).toBe(0);
    expect((await problem).detail).toContain('does not answer');
  });

  it('in an answer that does not fit is said without the words of a validator', async () => {
    const problem = failing(firstValueFrom(api.fleet({})));
    http.expectOne('api/boats').flush([{ id: 7 }]);
    expect((await problem).detail).toContain('does not understand');
    expect((await problem).detail).not.toMatch(/expected|invalid|Zod/i);
    const noJson = problemIn(new HttpErrorResponse({ status: 200, error: { text: '<html>' } }));
    expect(noJson.detail).toContain('does not understand');
  });

  it('in the page is told in plain words, and to the console whole', () => {
    const console_ = spyOn(console, 'error');
    const fault = TestBed.inject<Store>(Store).selectSignal(selectFault);
    const error = new TypeError('x is undefined');
    TestBed.inject(PlainErrors).handleError(error);
    expect(fault()).toContain('Something went wrong in this page');
    expect(console_).toHaveBeenCalledWith(error);
    TestBed.inject(PlainErrors).handleError(new TypeError('Failed to fetch dynamically imported module: chunk.js'));
    expect(fault()).toContain('could not be loaded');
  });
});
