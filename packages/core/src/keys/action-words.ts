import type { KeyAction, Plan } from '@grey-keel/model';

/** What a press does, in words. */
export const actionInWords = (plan: Plan, action: KeyAction): string => {
  switch (action.does) {
    case 'page':
      return plan.pages[action.pageId]?.name ?? 'a page that is gone';
    case 'mark':
      return `mark: ${action.mark}`;
    default:
      return action.does;
  }
};

/** Actions that are the same whatever place was recorded with them. */
export const sameAction = (a: KeyAction, b: KeyAction): boolean =>
  a.does === b.does &&
  (a.does !== 'page' || b.does !== 'page' || a.pageId === b.pageId) &&
  (a.does !== 'mark' || b.does !== 'mark' || a.mark === b.mark);

const riskyOnes: ReadonlySet<KeyAction['does']> = new Set(['start transmitting', 'hold position', 'standby']);

/** What must not happen by a slip: sound at a swimmer, the motor taking over, the screen gone under way. */
export const isRisky = ({ does }: KeyAction): boolean => riskyOnes.has(does);

/** What is pressed many times a day without looking. */
export const isFrequent = (action: KeyAction): boolean =>
  action.does === 'page' || (action.does === 'mark' && action.mark === 'seen');
