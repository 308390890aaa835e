import { showDollars, type Cents } from '@zakat/core/money/cents';

/** An amount on a PDF, with a hyphen for the minus sign, which the standard fonts of a PDF do not have. */
export const printedDollars = (amount: Cents): string => showDollars(amount).replace('−', '-');
