import type { Plan, View } from '@grey-keel/model';
import { hardestSight } from '../../../pages/number-legibility.ts';
import { pageFor, pagesAt, shownWays } from '../../../plan/pages-at.ts';
import { panesOf } from '../../../pages/panes.ts';
import { viewsAboard } from '../../../pages/suggest-layouts.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { eachFitted } from '../../../findings/each-fitted.ts';
import { between, figure, type Found, type Rule } from '../../../findings/rule.ts';
import { act, at } from '../../../plan/target.ts';

export const displayMissing: Rule<'pages'> = {
  id: 'display-missing',
  stage: 'pages',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.stations).flatMap(([id, { name }]) =>
      plan.displays[id]
        ? []
        : [
            {
              subject: id,
              title: 'No display at a station',
              reason: [`${name} has `, figure(0, 'count'), ' displays: nothing can be shown there.'],
              figure: figure(0, 'count'),
              fix: { label: 'Choose one', target: at('displays', id) },
            },
          ],
    ),
};

export const pageMissing: Rule<'pages'> = {
  id: 'page-missing',
  stage: 'pages',
  severity: 'check',
  find: eachFitted(({ id, station, plan }) =>
    shownWays(plan).flatMap((way) => {
      if (pageFor(plan, id, way)) return [];
      const pages = pagesAt(plan, id);
      const other = pages[pages.length - 1];
      return [
        {
          subject: `${id}-${way.replaceAll(' ', '-')}`,
          of: [id],
          title: `No page ${way}`,
          reason: ['Of ', figure(pages.length, 'count'), ` pages at ${station.name} none is for ${way}.`],
          figure: figure(pages.length, 'count'),
          fix: {
            label: other ? `Show "${other.page.name}"` : 'Make one',
            target: act('choose a page', id, way),
            ...(other ? { edits: [{ type: 'showPageIn' as const, id: other.id, way, shown: true }] } : {}),
          },
        },
      ];
    }),
  ),
};

export const numberSmall: Rule<'pages'> = {
  id: 'number-small',
  stage: 'pages',
  severity: 'check',
  find: eachFitted(({ id, station, plan }) =>
    pagesAt(plan, id).flatMap(({ id: pageId, page }) =>
      inOrder(page.numbers).flatMap(([numberId, number]) => {
        const sight = hardestSight(plan, id, number);
        if (!sight || sight.answer.readable) return [];
        const { answer, light, posture } = sight;
        return [
          {
            ...between(pageId, numberId),
            title: `The ${number.shows} cannot be read`,
            reason: [
              `${station.name}, ${page.name}: `,
              figure(answer.heightM, 'digitHeight'),
              ` fills `,
              figure(answer.angleArcmin, 'visualAngle'),
              `, ${posture}; by ${light} it needs `,
              figure(answer.wantedArcmin, 'visualAngle'),
              ', that is ',
              figure(answer.wantedHeightM, 'digitHeight'),
              '.',
            ],
            figure: figure(answer.angleArcmin, 'visualAngle'),
            working: answer.working,
            fix: {
              label: `Make it ${answer.wantedPx} px`,
              target: at('pages', pageId, 'numbers', numberId),
              edits: [
                {
                  type: 'describeNumber' as const,
                  pageId,
                  id: numberId,
                  changes: { heightPx: Math.min(800, answer.wantedPx) },
                },
              ],
            },
          },
        ];
      }),
    ),
  ),
};

export const panesTooMany: Rule<'pages'> = {
  id: 'panes-too-many',
  stage: 'pages',
  severity: 'check',
  find: eachFitted(({ id, station, display, plan }) =>
    pagesAt(plan, id).flatMap(({ id: pageId, page }) => {
      const panes = panesOf(page.layout, display).length;
      if (panes <= display.panesPerPage) return [];
      return [
        {
          subject: pageId,
          title: 'More panes than the display has',
          reason: [
            `${station.name}, ${page.name} has `,
            figure(panes, 'count'),
            ` panes; ${display.name} shows `,
            figure(display.panesPerPage, 'count'),
            '.',
          ],
          figure: figure(panes, 'count'),
          fix: { label: 'Delete panes', target: at('pages', pageId) },
        },
      ];
    }),
  ),
};

const viewsOn = (plan: Plan, stationId: string, pageId: string): View[] => {
  const page = plan.pages[pageId];
  const display = plan.displays[stationId];
  return page && display ? [...new Set(panesOf(page.layout, display).map(({ pane }) => pane.view))] : [];
};

export const viewWithoutTransducer: Rule<'pages'> = {
  id: 'view-without-transducer',
  stage: 'pages',
  severity: 'check',
  find: eachFitted(({ id, station, plan }) => {
    const aboard = viewsAboard(plan);
    return pagesAt(plan, id).flatMap(({ id: pageId, page }) =>
      viewsOn(plan, id, pageId)
        .filter((view) => !aboard.has(view))
        .map((view) => ({
          subject: `${pageId}-${view.replaceAll(' ', '-')}`,
          of: [pageId],
          title: `Nothing draws the ${view}`,
          reason: [`${station.name}, ${page.name} shows a ${view}; there are `, figure(0, 'count'), ' of them aboard.'],
          figure: figure(0, 'count'),
          fix: { label: 'Choose a transducer', target: at('transducers'), stage: 'beams' as const },
        })),
    );
  }),
};

export const viewQuiet: Rule<'pages'> = {
  id: 'view-quiet',
  stage: 'pages',
  severity: 'note',
  find: eachFitted(({ id, station, plan }) =>
    shownWays(plan).flatMap((way) => {
      const shown = pageFor(plan, id, way);
      if (!shown) return [];
      return viewsOn(plan, id, shown.id).flatMap((view): Found[] => {
        const drawing = inOrder(plan.transducers).filter(([, { kind }]) => kind === view);
        const first = drawing[0];
        if (!first || drawing.some(([, { transmitsIn }]) => transmitsIn[way])) return [];
        return [
          {
            subject: `${shown.id}-${way.replaceAll(' ', '-')}-${view.replaceAll(' ', '-')}`,
            of: [shown.id],
            title: `The ${view} is quiet while ${way}`,
            reason: [
              `${station.name} shows a ${view} while ${way}, when `,
              figure(0, 'count'),
              ' of ',
              figure(drawing.length, 'count'),
              ' that could draw it transmit.',
            ],
            figure: figure(drawing.length, 'count'),
            fix: {
              label: `Let ${first[1].name} transmit`,
              stage: 'beams',
              target: at('transducers', first[0], 'transmitsIn'),
              edits: [{ type: 'transmitIn', id: first[0], way, transmits: true }],
            },
          },
        ];
      });
    }),
  ),
};
