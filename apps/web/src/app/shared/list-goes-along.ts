import type { OverlayOptions } from 'primeng/api';

/** A list of the library that hangs on a field. */
interface Hanging {
  readonly overlayViewChild?: { readonly alignOverlay: () => void } | null | undefined;
}

/**
 * Where the page moves under a field, by a finger or by a line more from the instruments, its open list goes along; by
 * itself the library closes it.
 */
export const listGoesAlong = (list: () => Hanging): OverlayOptions => ({
  listener: (_event, options) => {
    if (options?.type !== 'scroll') return options?.valid ?? true;
    list().overlayViewChild?.alignOverlay();
    return false;
  },
});
