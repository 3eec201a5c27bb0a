import { definePreset } from '@primeuix/themes';
import base from '@primeuix/themes/aura/base';
import button from '@primeuix/themes/aura/button';
import checkbox from '@primeuix/themes/aura/checkbox';
import datatable from '@primeuix/themes/aura/datatable';
import dialog from '@primeuix/themes/aura/dialog';
import inputtext from '@primeuix/themes/aura/inputtext';
import menu from '@primeuix/themes/aura/menu';
import message from '@primeuix/themes/aura/message';
import paginator from '@primeuix/themes/aura/paginator';
import select from '@primeuix/themes/aura/select';
import toast from '@primeuix/themes/aura/toast';
import virtualscroller from '@primeuix/themes/aura/virtualscroller';

const outlined = (colour: string) => ({
  background: 'transparent',
  hoverBackground: 'var(--water-wash)',
  activeBackground: 'var(--water-wash)',
  borderColor: colour,
  hoverBorderColor: colour,
  activeBorderColor: colour,
  color: colour,
  hoverColor: colour,
  activeColor: colour,
});
const filled = (colour: string) => ({
  ...outlined(colour),
  background: colour,
  hoverBackground: colour,
  activeBackground: colour,
  color: 'var(--sheet)',
  hoverColor: 'var(--sheet)',
  activeColor: 'var(--sheet)',
});
const framed = (colour: string) => ({
  background: 'var(--sheet)',
  borderColor: colour,
  color: 'var(--ink)',
  shadow: 'none',
});

const framedToast = (colour: string) => ({
  background: 'var(--sheet)',
  borderColor: colour,
  color: 'var(--ink)',
  detailColor: 'var(--ink)',
  closeButton: { hoverBackground: 'var(--water-wash)', focusRing: { color: colour, shadow: 'none' } },
});

const sheet = { background: 'var(--sheet)', borderColor: 'var(--hull-light)', color: 'var(--ink)' };
export const ring = { width: '3px', style: 'solid', color: 'var(--water)', offset: '1px' };

/** Of the library's preset only what is used: whole, it is a fifth of the first view. */
const used = {
  ...base,
  components: {
    button,
    checkbox,
    datatable,
    dialog,
    inputtext,
    menu,
    message,
    paginator,
    select,
    toast,
    virtualscroller,
  },
};

/** The component library in the same tokens: it reads the variables, so it follows whichever theme is chosen. */
export const preset = definePreset(used, {
  primitive: { borderRadius: { none: '0', xs: '2px', sm: '2px', md: '2px', lg: '2px', xl: '2px' } },
  semantic: {
    primary: Object.fromEntries(
      [50, 100, 200, 300, 400, 500, 600, 700, 800, 900, 950].map((step) => [step, 'var(--water)']),
    ),
    transitionDuration: '0.1s',
    focusRing: { width: '3px', style: 'solid', color: 'var(--water)', offset: '2px' },
    colorScheme: {
      light: {
        primary: {
          color: 'var(--water)',
          contrastColor: 'var(--on-water)',
          hoverColor: 'var(--water)',
          activeColor: 'var(--water)',
        },
        text: {
          color: 'var(--ink)',
          hoverColor: 'var(--ink)',
          mutedColor: 'var(--faint)',
          hoverMutedColor: 'var(--faint)',
        },
        content: {
          background: 'var(--sheet)',
          hoverBackground: 'var(--water-wash)',
          borderColor: 'var(--rule)',
          color: 'var(--ink)',
          hoverColor: 'var(--ink)',
        },
        formField: {
          background: 'var(--sheet)',
          borderColor: 'var(--hull-light)',
          hoverBorderColor: 'var(--water)',
          focusBorderColor: 'var(--water)',
          color: 'var(--ink)',
          placeholderColor: 'var(--faint)',
          shadow: 'none',
        },
        overlay: { modal: sheet, select: sheet, popover: sheet },
        list: {
          option: {
            focusBackground: 'var(--water-wash)',
            selectedBackground: 'var(--water)',
            selectedFocusBackground: 'var(--water)',
            color: 'var(--ink)',
            focusColor: 'var(--ink)',
            selectedColor: 'var(--on-water)',
            selectedFocusColor: 'var(--on-water)',
          },
        },
        navigation: {
          item: { focusBackground: 'var(--water-wash)', color: 'var(--ink)', focusColor: 'var(--ink)' },
        },
        highlight: {
          background: 'var(--water)',
          focusBackground: 'var(--water)',
          color: 'var(--on-water)',
          focusColor: 'var(--on-water)',
        },
      },
    },
  },
  components: {
    button: {
      // With the text a thumb's height.
      root: { paddingY: '0.72rem' },
      colorScheme: {
        light: {
          root: { secondary: outlined('var(--water)'), danger: filled('var(--stop)') },
          outlined: { danger: outlined('var(--stop)') },
          text: { primary: outlined('var(--water)'), danger: outlined('var(--stop)') },
        },
      },
    },
    message: {
      colorScheme: {
        light: { warn: framed('var(--check)'), error: framed('var(--stop)'), info: framed('var(--note)') },
      },
    },
    // The library takes the ring away from its text fields, and leaves a hair of another colour.
    inputtext: { root: { focusRing: ring } },
    checkbox: {
      root: {
        width: '22px',
        height: '22px',
        borderColor: 'var(--faint)',
        disabledBackground: 'transparent',
        focusRing: ring,
      },
    },
    select: {
      root: { paddingX: '6px', paddingY: '9px', focusRing: ring },
      dropdown: { width: '1.75rem', color: 'var(--faint)' },
      // An entry has the height of a thumb.
      option: { padding: '0.7rem 0.75rem' },
    },
    toast: {
      root: { width: 'min(34rem, 92vw)', blur: '0' },
      colorScheme: { light: { info: framedToast('var(--water)'), error: framedToast('var(--stop)') } },
    },
    menu: { item: { padding: '0.8rem 1rem' } },
    paginator: { navButton: { width: '44px', height: '44px', borderRadius: '2px' } },
    datatable: {
      headerCell: {
        padding: '0.4rem 0.5rem',
        background: 'var(--sheet)',
        color: 'var(--faint)',
        selectedBackground: 'var(--sheet)',
        selectedColor: 'var(--water)',
      },
      bodyCell: { padding: '0.35rem 0.5rem' },
      row: { background: 'var(--sheet)', color: 'var(--ink)', hoverBackground: 'var(--water-wash)' },
    },
  },
});
