import { Pipe, type PipeTransform } from '@angular/core';
import type { Criterion } from '@grey-keel/model';

/** What a transducer is weighed by, and where its score is highest. */
export const criterionWords: Readonly<Record<Criterion, string>> = {
  reach: 'how deep the fish is seen; full at half as much again as it stands',
  footprint: 'how much is covered at the working depth; full at six tenths of it',
  'bottom detail': 'the narrowest footprint; full at a tenth of the depth',
  separation: 'echoes told apart; full at 5 cm',
  'dead zone': 'hidden on the usual slope; none left at a fifth of the depth',
  'blanking zone': 'blind right below the face; none left at a fifth of the depth',
  speed: 'how fast the bottom is still read, against the top speed',
  fitting: 'how easily it goes into this hull',
  power: 'what it draws; none left at more than such a depth asks for',
};

/** A criterion by the name it has in the field: the key in the plan is older. */
@Pipe({ name: 'criterion' })
export class CriterionPipe implements PipeTransform {
  transform(criterion: string): string {
    return criterion === 'reach' ? 'detection range' : criterion;
  }
}
