/** What each kind of filing is called, by its code: for forms and facts that name one and need nothing else of it. */
export const FORM_NAMES = {
  'us-941': 'Form 941',
  'us-940': 'Form 940',
  'us-w2': 'Forms W-2 and W-3',
} as const;
export type FormCode = keyof typeof FORM_NAMES;
