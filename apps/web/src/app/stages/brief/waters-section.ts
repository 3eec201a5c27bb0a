import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { inOrder, workingDepthFollows } from '@grey-keel/core';
import { waterSchema, type Water } from '@grey-keel/model';
import { newId } from '../../state/open-plan.ts';
import { waterFields } from './boat-fields.ts';
import { focusField } from './focus-field.ts';
import { openBoat } from '../open-boat.ts';
import { PlanFields } from '../../shared/plan-fields.ts';
import { PlanPlace } from '../../shared/plan-place.ts';
import { OneOfField } from '../../shared/one-of-field.ts';
import { PressButton } from '../../shared/press-button.ts';

/** What a new water starts from, by kind: only the salt is known beforehand. */
const saltOf: Record<Water['kind'], number> = { fresh: 0, brackish: 10, salt: 35 };

/** The waters the boat works in: their salt, temperatures and depths. */
@Component({
  selector: 'gk-waters-section',
  imports: [OneOfField, PlanFields, PlanPlace, PressButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let it = plan();
    <section class="sheet" aria-labelledby="waters-title">
      <h2 id="waters-title">Waters</h2>
      @for (entry of waters(); track entry[0]) {
        <div class="fields item">
          <gk-one-of-field
            label="works here"
            name="working-water"
            [chosen]="it.working.waterId === entry[0]"
            (picked)="edits.edit('work in ' + entry[1].name, { type: 'workIn', waterId: entry[0] })"
          />
          <gk-plan-fields
            [of]="entry[1]"
            [shape]="water"
            [names]="fields"
            [at]="['waters', entry[0]]"
            ids="water"
            [one]="entry[0]"
            (changed)="setWater(entry[0], $event)"
          />
          <button
            type="button"
            pButton
            text
            (click)="edits.edit('delete ' + entry[1].name, { type: 'removeWater', id: entry[0] })"
            [attr.aria-label]="'Delete water ' + entry[1].name"
          >
            Delete
          </button>
        </div>
      } @empty {
        <p class="faint">
          No water yet. Its salt and temperature set the speed of sound, its depths what the sonar must reach.
        </p>
      }
      <button type="button" pButton severity="secondary" id="add-water" [gkPlace]="['waters']" (click)="addWater()">
        Add a water
      </button>
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
    h2 {
      margin-bottom: 6px;
    }
    .item {
      padding-bottom: 10px;
      margin-bottom: 10px;
      border-bottom: var(--hairline) solid var(--rule);
      align-items: end;
    }
    .works {
      display: flex;
      gap: 8px;
      align-items: center;
      align-self: end;
      min-height: var(--touch);
    }
  `,
})
export class WatersSection {
  private readonly open = openBoat();
  protected readonly plan = this.open.plan;
  protected readonly edits = this.open.edits;
  protected readonly water = waterSchema.shape;
  protected readonly fields = waterFields;
  protected readonly waters = computed(() => inOrder(this.plan().waters));

  /** A change of kind brings the salt that goes with it; it can be set closer afterwards. */
  protected setWater(id: string, changes: Partial<Water>): void {
    const salt = changes.kind ? { salinityPpt: saltOf[changes.kind] } : {};
    this.edits.edit(
      'a water',
      { type: 'describeWater', id, changes: { ...changes, ...salt } },
      ...workingDepthFollows(this.plan(), id, changes),
    );
  }

  protected addWater(): void {
    const id = newId();
    this.edits.edit('add a water', {
      type: 'addWater',
      id,
      water: {
        name: `Water ${this.waters().length + 1}`,
        kind: 'fresh',
        salinityPpt: 0,
        temperatureC: 10,
        coldestC: null,
        warmestC: null,
        shallowestM: null,
        usualDeepestM: null,
        greatestM: null,
        clarity: 'mixed',
      },
    });
    focusField(`water-name-${id}`);
  }
}
