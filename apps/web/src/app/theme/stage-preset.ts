import { updatePreset } from '@primeuix/themes';
import accordion from '@primeuix/themes/aura/accordion';
import autocomplete from '@primeuix/themes/aura/autocomplete';
import drawer from '@primeuix/themes/aura/drawer';
import multiselect from '@primeuix/themes/aura/multiselect';
import popover from '@primeuix/themes/aura/popover';
import progressbar from '@primeuix/themes/aura/progressbar';
import radiobutton from '@primeuix/themes/aura/radiobutton';
import selectbutton from '@primeuix/themes/aura/selectbutton';
import slider from '@primeuix/themes/aura/slider';
import tabs from '@primeuix/themes/aura/tabs';
import togglebutton from '@primeuix/themes/aura/togglebutton';
import { ring } from './preset.ts';

/** The parts of the library that only the stages use: a fifth of the preset that the first view does without. */
export const bringStageParts = (): void => {
  updatePreset({
    components: {
      accordion,
      autocomplete,
      drawer,
      multiselect,
      popover,
      progressbar,
      radiobutton,
      selectbutton,
      slider,
      tabs,
      togglebutton,
    },
  });
  updatePreset({
    components: {
      radiobutton: { root: { width: '22px', height: '22px', borderColor: 'var(--faint)', focusRing: ring } },
      togglebutton: {
        root: { padding: '2px' },
        content: { padding: '0.5rem 0.75rem', checkedShadow: 'none' },
        colorScheme: {
          light: {
            root: {
              background: 'var(--sheet)',
              checkedBackground: 'var(--sheet)',
              hoverBackground: 'var(--water-wash)',
              borderColor: 'var(--water)',
              color: 'var(--water)',
              hoverColor: 'var(--ink)',
              checkedColor: 'var(--on-water)',
              checkedBorderColor: 'var(--water)',
            },
            content: { checkedBackground: 'var(--water)' },
          },
        },
      },
      tabs: {
        tablist: { background: 'transparent', borderWidth: '0 0 2px 0', borderColor: 'var(--rule)' },
        tab: {
          padding: '0.75rem 10px',
          borderWidth: '0',
          margin: '0',
          color: 'var(--ink)',
          hoverColor: 'var(--water)',
          activeColor: 'var(--water)',
        },
        activeBar: { height: '3px', bottom: '0' },
        tabpanel: { background: 'transparent', padding: '10px 0 0' },
      },
      slider: {
        track: { size: '6px' },
        handle: {
          width: '22px',
          height: '22px',
          borderRadius: '0',
          background: 'var(--water)',
          hoverBackground: 'var(--water)',
          content: {
            borderRadius: '0',
            width: '22px',
            height: '22px',
            shadow: 'none',
            hoverBackground: 'var(--water)',
          },
          focusRing: ring,
        },
        colorScheme: { light: { handle: { content: { background: 'var(--water)' } } } },
      },
      autocomplete: { option: { padding: '0.7rem 0.75rem' } },
      drawer: { header: { padding: '6px 18px' }, title: { fontSize: '1rem' }, content: { padding: '0 18px 18px' } },
      progressbar: { root: { height: '18px' } },
      // A fold within a sheet: no frame of its own, its words as small as what stands around it.
      accordion: {
        panel: { borderWidth: '0' },
        header: { background: 'transparent', color: 'var(--ink)', padding: '0.8rem 8px' },
        content: { background: 'transparent', padding: '0 8px 8px' },
      },
    },
  });
};
