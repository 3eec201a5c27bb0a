import { Injectable } from '@angular/core';
import { LiveSamples } from '../live/live-samples.ts';

/** Samples that come from the test alone: no stream is opened, and the time is what the test says. */
@Injectable()
export class QuietSamples extends LiveSamples {
  clockS = 0;

  override nowS(): number {
    return this.clockS;
  }

  protected override open(): void {
    // Nothing to open.
  }
}
