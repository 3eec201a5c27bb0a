import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import type { Finding } from '@grey-keel/model';
import { Fold } from '../shared/fold.ts';
import { FindingItem } from './finding-item.ts';

/** So many that say the same stand under one line. A stop always stands by itself. */
const several = 3;

export interface AlikeGroup {
  readonly key: string;
  readonly found: readonly Finding[];
}

/** Findings in their order, those that say the same of several things together at the place of the first. */
export const alikeFindings = (found: readonly Finding[]): AlikeGroup[] => {
  const kind = ({ severity, title }: Finding): string => `${severity} ${title}`;
  // Asked at every change of the plan, so each is looked at once.
  const alike = new Map<string, Finding[]>();
  for (const finding of found) alike.set(kind(finding), [...(alike.get(kind(finding)) ?? []), finding]);
  return found.flatMap((finding): AlikeGroup[] => {
    const others = alike.get(kind(finding)) ?? [];
    if (finding.severity === 'stop' || others.length < several) return [{ key: finding.id, found: [finding] }];
    return others[0] === finding ? [{ key: kind(finding), found: others }] : [];
  });
};

/** One finding, or several that say the same under one line with their count. */
@Component({
  selector: 'gk-alike-findings',
  imports: [FindingItem, Fold],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (heading(); as words) {
      <gk-fold [heading]="words" [(open)]="open">
        @if (open()) {
          @for (finding of found(); track finding.id) {
            <gk-finding [finding]="finding" [boatId]="boatId()" />
          }
        }
      </gk-fold>
    } @else {
      @for (finding of found(); track finding.id) {
        <gk-finding [finding]="finding" [boatId]="boatId()" />
      }
    }
  `,
})
export class AlikeFindings {
  readonly found = input.required<readonly Finding[]>();
  readonly boatId = input.required<string>();
  protected readonly open = signal(false);
  protected readonly heading = computed(() => {
    const found = this.found();
    const [first] = found;
    return first && found.length >= several ? `${first.severity} ${first.title}, ${found.length} times` : '';
  });
}
