/** What a tax is for, whoever levies it; what the code of a tax says to people, this says to the product. */
export const TAX_KINDS = [
  'income',
  'social-security',
  'medicare',
  'unemployment',
  'disability',
  'paid-leave',
  'long-term-care',
  'child-care',
  'health',
  'workers-compensation',
  'training',
  'assessment',
  'transit',
  'occupational',
  'payroll',
] as const;
export type TaxKind = (typeof TAX_KINDS)[number];
