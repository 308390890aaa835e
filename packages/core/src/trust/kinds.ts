/** What moves money of the trust account, or says whose of it is whose. */
export interface TrustKind {
  readonly label: string;
  /** Whether the bank's statement shows it; what does not only moves between the client's money and the firm's. */
  readonly isAtBank: boolean;
  /** The sign of its amount for the one it belongs to. */
  readonly sign: 1 | -1;
  /** Whose line it may stand on. */
  readonly of: 'client' | 'firm';
  /** Written down by hand, with the bank's reference; the others follow from what was released. */
  readonly isByHand: boolean;
}

const kind = (
  label: string,
  of: TrustKind['of'],
  sign: TrustKind['sign'],
  more: Partial<Pick<TrustKind, 'isAtBank' | 'isByHand'>> = {},
): TrustKind => ({ label, of, sign, isAtBank: true, isByHand: false, ...more });

const BY_HAND = { isByHand: true } as const;
const INSIDE = { isAtBank: false } as const;

/** Every kind of entry of the trust ledger. */
export const TRUST_KINDS = {
  collected: kind('Collected from the client', 'client', 1),
  'collection-returned': kind('Collection returned', 'client', -1),
  'tax-payment': kind('Tax payment', 'client', -1),
  'tax-payment-returned': kind('Tax payment returned', 'client', 1),
  'net-pay': kind('Direct deposit', 'client', -1),
  'net-pay-returned': kind('Direct deposit returned', 'client', 1),
  received: kind('Received from the client', 'client', 1, BY_HAND),
  refunded: kind('Refunded to the client', 'client', -1, BY_HAND),
  'advance-received': kind('Advanced by the firm', 'client', 1, INSIDE),
  'advance-repaid': kind('Advance repaid to the firm', 'client', -1, INSIDE),
  'advance-given': kind('Advanced to a client', 'firm', -1, INSIDE),
  'advance-recovered': kind('Advance recovered', 'firm', 1, INSIDE),
  'fee-taken': kind('Fees of the firm', 'client', -1, INSIDE),
  'fee-given-back': kind('Fees of the firm, given back', 'client', 1, INSIDE),
  'fee-earned': kind('Fees from a client', 'firm', 1, INSIDE),
  'fee-returned': kind('Fees from a client, given back', 'firm', -1, INSIDE),
  'firm-paid-in': kind('Paid in by the firm', 'firm', 1, BY_HAND),
  'firm-drew': kind('Drawn by the firm', 'firm', -1, BY_HAND),
  'bank-charge': kind('Bank charge', 'firm', -1, BY_HAND),
  interest: kind('Interest', 'firm', 1, BY_HAND),
} as const satisfies Readonly<Record<string, TrustKind>>;

export type TrustKindCode = keyof typeof TRUST_KINDS;
export const TRUST_KIND_CODES = Object.keys(TRUST_KINDS) as TrustKindCode[];
export const BY_HAND_KINDS = TRUST_KIND_CODES.filter((code) => TRUST_KINDS[code].isByHand);
export const trustKind = (code: TrustKindCode): TrustKind => TRUST_KINDS[code];
