import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { socketOf } from '@grey-keel/core';
import { mostSockets, socketSchema, sonarKinds, type NamedSocket, type Socket } from '@grey-keel/model';
import { ChoiceField, choicesOf } from '../../shared/choice-field.ts';
import { TextField } from '../../shared/text-field.ts';
import { TickField } from '../../shared/tick-field.ts';
import { PressButton } from '../../shared/press-button.ts';

/** The sockets of a device, one a line: the plug each takes, the sonars it drives, and how many at once. */
@Component({
  selector: 'gk-socket-list',
  imports: [ChoiceField, PressButton, TextField, TickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (socket of list(); track $index; let i = $index) {
      <div class="socket" role="group" [attr.aria-label]="'Socket ' + (i + 1) + ' of ' + of()">
        <gk-text-field
          [label]="'Socket ' + (i + 1) + ', its plug'"
          [fieldId]="'socket-' + deviceId() + '-' + i"
          [value]="socket.plug"
          [schema]="shape.plug"
          (changed)="set(i, { plug: $event })"
        />
        <div class="kinds" role="group" aria-label="Drives">
          @for (kind of kinds; track kind) {
            <gk-tick-field
              [label]="kind"
              [value]="socket.drives.includes(kind)"
              [disabled]="socket.drives.length === 1 && socket.drives[0] === kind"
              (changed)="drive(i, socket, kind, $event)"
            />
          }
        </div>
        <gk-choice-field
          label="At once"
          [fieldId]="'socket-at-once-' + deviceId() + '-' + i"
          [value]="'' + socket.atOnce"
          [choices]="counts"
          (changed)="set(i, { atOnce: +$event })"
        />
        <button type="button" pButton text (click)="remove(i)">
          Delete<span class="hidden-label"> socket {{ i + 1 }} of {{ of() }}</span>
        </button>
      </div>
    }
    <button
      type="button"
      pButton
      text
      [id]="'add-socket-' + deviceId()"
      [disabled]="list().length >= most"
      (click)="changed.emit([...list(), { plug: 'new plug', drives: [...kinds], atOnce: 1 }])"
    >
      Add a socket<span class="hidden-label"> to {{ of() }}</span>
    </button>
  `,
  styles: `
    .socket {
      display: grid;
      grid-template-columns: minmax(0, 1.5fr) minmax(0, 4fr) 72px auto;
      gap: 4px 12px;
      align-items: end;
    }
    .kinds {
      display: flex;
      flex-wrap: wrap;
      gap: 0 12px;
      font-size: var(--small);
    }
    @media (max-width: 900px) {
      .socket {
        grid-template-columns: minmax(0, 1fr) 84px;
      }
      .kinds {
        grid-column: 1 / -1;
      }
    }
  `,
})
export class SocketList {
  readonly deviceId = input.required<string>();
  /** The device's name, for who does not see which line this stands in. */
  readonly of = input.required<string>();
  readonly sockets = input.required<readonly NamedSocket[]>();
  readonly changed = output<Socket[]>();
  protected readonly shape = socketSchema.shape;
  protected readonly kinds = sonarKinds;
  protected readonly counts = choicesOf(['1', '2', '3', '4'] as const);
  protected readonly most = mostSockets;
  protected readonly list = computed(() => this.sockets().map(socketOf));

  protected set(index: number, changes: Partial<Socket>): void {
    this.changed.emit(this.list().map((socket, i) => (i === index ? { ...socket, ...changes } : socket)));
  }

  /** In the kinds' own order, whatever the order they were ticked in. */
  protected drive(index: number, { drives }: Socket, kind: Socket['drives'][number], on: boolean): void {
    this.set(index, { drives: sonarKinds.filter((one) => (one === kind ? on : drives.includes(one))) });
  }

  protected remove(index: number): void {
    this.changed.emit(this.list().filter((_, i) => i !== index));
  }
}
