/** Publications the rule data cites. An edition is the year or date printed on the cover. */
export interface Source {
  readonly title: string;
  readonly publisher: string;
  readonly edition: string;
}

export const SOURCES = {
  'us-pub-15-2025': {
    title: "Publication 15, Employer's Tax Guide",
    publisher: 'Internal Revenue Service',
    edition: '2025',
  },
  'us-pub-15-2026': {
    title: "Publication 15, Employer's Tax Guide",
    publisher: 'Internal Revenue Service',
    edition: '2026',
  },
  'us-pub-15-t-2025': {
    title: 'Publication 15-T, Federal Income Tax Withholding Methods',
    publisher: 'Internal Revenue Service',
    edition: '2025',
  },
  'us-pub-15-t-2026': {
    title: 'Publication 15-T, Federal Income Tax Withholding Methods',
    publisher: 'Internal Revenue Service',
    edition: '2026',
  },
  'us-rev-proc-2024-40': { title: 'Rev. Proc. 2024-40', publisher: 'Internal Revenue Service', edition: '2024' },
  'us-rev-proc-2025-32': { title: 'Rev. Proc. 2025-32', publisher: 'Internal Revenue Service', edition: '2025' },
  'us-ssa-cbb-2025': {
    title: 'Contribution and Benefit Base',
    publisher: 'Social Security Administration',
    edition: '2025',
  },
  'us-ssa-cbb-2026': {
    title: 'Contribution and Benefit Base',
    publisher: 'Social Security Administration',
    edition: '2026',
  },
  'us-irc': { title: 'Internal Revenue Code (26 U.S.C.)', publisher: 'United States Code', edition: '2025' },
  'us-form-940-inst': { title: 'Instructions for Form 940', publisher: 'Internal Revenue Service', edition: '2025' },
  'us-ssa-42-007': {
    title: 'Publication 42-007, Specifications for Filing Forms W-2 Electronically (EFW2)',
    publisher: 'Social Security Administration',
    edition: 'TY 2025',
  },
  'us-ny-nys-50-t-2023': {
    title: 'Publication NYS-50-T-NYS, New York State Withholding Tax Tables and Methods',
    publisher: 'New York State Department of Taxation and Finance',
    edition: '1/23',
  },
  'us-ny-nys-50-t-2026': {
    title: 'Publication NYS-50-T-NYS, New York State Withholding Tax Tables and Methods',
    publisher: 'New York State Department of Taxation and Finance',
    edition: '1/26',
  },
  'us-ny-nys-50': {
    title: "Publication NYS-50, Employer's Guide to Unemployment Insurance, Wage Reporting, and Withholding Tax",
    publisher: 'New York State',
    edition: '2025',
  },
  'us-ny-ui-law': { title: 'New York Labor Law § 518', publisher: 'New York State', edition: '2025' },
  'us-tx-labor-code': { title: 'Texas Labor Code § 201.082', publisher: 'State of Texas', edition: '2025' },
  'us-tx-constitution': {
    title: 'Texas Constitution, article VIII, section 24-a',
    publisher: 'State of Texas',
    edition: '2019',
  },
  'us-fl-constitution': {
    title: 'Florida Constitution, article VII, section 5',
    publisher: 'State of Florida',
    edition: '1968',
  },
  'us-fl-reemployment': { title: 'Florida Statutes § 443.1217', publisher: 'State of Florida', edition: '2025' },
} as const satisfies Record<string, Source>;

export type SourceId = keyof typeof SOURCES;
