import type { Router } from 'express';

/** A way in: method in small letters, path with its parameters in braces. */
export interface Route {
  readonly method: string;
  readonly path: string;
}

/** The routes of a router that is mounted at a path, in the order they are tried. */
export const routesOf = (mount: string, router: Router): Route[] =>
  router.stack.flatMap(({ route }) =>
    route
      ? route.stack
          .map(({ method }) => method)
          .filter((method, i, all) => method && all.indexOf(method) === i)
          .map((method) => ({
            method,
            path: `${mount}${route.path === '/' ? '' : route.path}`.replace(/:(\w+)/g, '{$1}'),
          }))
      : [],
  );
