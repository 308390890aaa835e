import { ALL_STATES } from '../jurisdictions/states.js';

const FEDERAL_NAMES = {
  'us-941': 'Form 941',
  'us-943': 'Form 943',
  'us-944': 'Form 944',
  'us-945': 'Form 945',
  'us-940': 'Form 940',
  'us-schedule-h': 'Schedule H',
  'us-schedule-d': 'Schedule D (Form 941)',
  'us-8027': 'Form 8027',
  'us-w2': 'Forms W-2 and W-3',
} as const;
/** Forms that correct another one after it was accepted. */
export const CORRECTION_NAMES = {
  'us-941-x': 'Form 941-X',
  'us-943-x': 'Form 943-X',
  'us-944-x': 'Form 944-X',
  'us-945-x': 'Form 945-X',
  'us-w2c': 'Forms W-2c and W-3c',
} as const;
export type CorrectionCode = keyof typeof CORRECTION_NAMES;
/** Codes of the federal kinds. */
export type FormCode = keyof typeof FEDERAL_NAMES;
/** The name of a return of a state: with the state in front, since a `Form 3` says little. */
export const stateFormName = (state: string, form: string): string => `${state} ${form}`;
/** What each kind of filing is called, by its code: for forms and facts that name one and need nothing else of it. */
export const FORM_NAMES: Readonly<Record<FormCode, string> & Record<string, string>> = {
  ...FEDERAL_NAMES,
  ...Object.fromEntries(
    ALL_STATES.flatMap((state) => state.returns.map(({ code, form }) => [code, stateFormName(state.code, form)])),
  ),
};
