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
  'us-pub-15-t-2024': {
    title: 'Publication 15-T, Federal Income Tax Withholding Methods',
    publisher: 'Internal Revenue Service',
    edition: '2024',
  },
  'us-ssa-cbb-2024': {
    title: 'Contribution and Benefit Base',
    publisher: 'Social Security Administration',
    edition: '2024',
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
} as const satisfies Record<string, Source>;

export type SourceId = keyof typeof SOURCES;

/** The publication itself: the register's, or the one that a state's rules carry. */
export const sourceOf = (source: SourceId | Source): Source => (typeof source === 'string' ? SOURCES[source] : source);
