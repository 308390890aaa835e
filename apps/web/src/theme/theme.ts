import {
  Button,
  Checkbox,
  Modal,
  NativeSelect,
  PasswordInput,
  TextInput,
  Textarea,
  createTheme,
  type MantineColorsTuple,
} from '@mantine/core';

const petrol: MantineColorsTuple = [
  '#e6f1f3',
  '#cfe1e5',
  '#a5c6cd',
  '#7aabb4',
  '#55929d',
  '#3a7682',
  '#28646f',
  '#17525e',
  '#10434d',
  '#09343d',
];

/** Help stands under its field, so that fields of a row stand on one line. */
const ORDER: ('label' | 'input' | 'description' | 'error')[] = ['label', 'input', 'error', 'description'];

/** Looks are set once here; components carry none of their own. */
export const theme = createTheme({
  primaryColor: 'petrol',
  primaryShade: { light: 7, dark: 3 },
  colors: { petrol },
  fontFamily: 'var(--text)',
  headings: { fontFamily: 'var(--title)' },
  defaultRadius: 0,
  respectReducedMotion: true,
  cursorType: 'pointer',
  autoContrast: true,
  components: {
    Button: Button.extend({
      defaultProps: { size: 'xs' },
      styles: { label: { fontSize: 14, fontWeight: 500 } },
      vars: (_, props) => ({
        root:
          props.variant === 'outline'
            ? { '--button-color': 'var(--act)', '--button-bd': '1px solid var(--act)' }
            : { '--button-bg': 'var(--act)', '--button-hover': 'var(--act)', '--button-color': 'var(--act-ink)' },
      }),
    }),
    TextInput: TextInput.extend({
      defaultProps: { size: 'xs', inputWrapperOrder: ORDER },
      styles: {
        input: { fontSize: 14, background: 'var(--paper)', borderColor: 'var(--field)' },
        label: { fontWeight: 400, color: 'var(--ink-soft)' },
      },
    }),
    Textarea: Textarea.extend({
      defaultProps: { size: 'xs', inputWrapperOrder: ORDER },
      styles: {
        input: { fontSize: 14, background: 'var(--paper)', borderColor: 'var(--field)' },
        label: { fontWeight: 400, color: 'var(--ink-soft)' },
      },
    }),
    PasswordInput: PasswordInput.extend({
      defaultProps: { inputWrapperOrder: ORDER },
      styles: {
        input: { background: 'var(--paper)', borderColor: 'var(--field)' },
        label: { fontWeight: 400, color: 'var(--ink-soft)' },
      },
    }),
    NativeSelect: NativeSelect.extend({
      defaultProps: { size: 'xs', inputWrapperOrder: ORDER },
      styles: {
        input: { fontSize: 14, background: 'var(--paper)', borderColor: 'var(--field)' },
        label: { fontWeight: 400, color: 'var(--ink-soft)' },
      },
    }),
    Checkbox: Checkbox.extend({ defaultProps: { size: 'xs' } }),
    Modal: Modal.extend({
      defaultProps: { centered: true, overlayProps: { backgroundOpacity: 0.25 } },
      styles: {
        content: { background: 'var(--paper)', border: '1px solid var(--ink)' },
        header: { background: 'var(--paper)' },
        title: { fontFamily: 'var(--title)', fontSize: 18 },
      },
    }),
  },
});
