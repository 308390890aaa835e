import { columns } from '../fixed-width/columns.js';
import type { RecordLayout } from '../fixed-width/field.js';

const LENGTH = 120;

/**
 * Instructions to an agency to debit taxpayers' accounts. The fields are those that agencies ask for when such a payment
 * is entered (IRS Publication 4990, EFTPS payment instructions; recalled); their order and widths are our own, agreed
 * with the receiver. An agency with a published layout of its own gets a table of its own.
 */
export const DEBIT_HEADER: RecordLayout = {
  name: 'Debit header',
  length: LENGTH,
  fields: columns([
    ['Record Identifier', 1, 1, '=H'],
    ['Filer Number', 2, 11, 'text', 'required'],
    ['Filer Name', 12, 46, 'text', 'required'],
    ['Date Created', 47, 54, 'digits', 'required'],
    ['Blank 1', 55, 120, 'blank'],
  ]),
};
export const DEBIT: RecordLayout = {
  name: 'Debit',
  length: LENGTH,
  fields: columns([
    ['Record Identifier', 1, 1, '=D'],
    ['Taxpayer Number', 2, 16, 'text', 'required'],
    ['PIN', 17, 24, 'text', 'required'],
    ['Tax Type', 25, 29, 'text', 'required'],
    ['Tax Period End', 30, 37, 'digits', 'required'],
    ['Settlement Date', 38, 45, 'digits', 'required'],
    ['Account Ending', 46, 49, 'digits', 'required'],
    ['Amount', 50, 61, 'amount', 'required'],
    ['Subcategory 1', 62, 66, 'text'],
    ['Subcategory 1 Amount', 67, 76, 'amount'],
    ['Subcategory 2', 77, 81, 'text'],
    ['Subcategory 2 Amount', 82, 91, 'amount'],
    ['Subcategory 3', 92, 96, 'text'],
    ['Subcategory 3 Amount', 97, 106, 'amount'],
    ['Reference', 107, 120, 'text', 'required'],
  ]),
};
export const DEBIT_TRAILER: RecordLayout = {
  name: 'Debit trailer',
  length: LENGTH,
  fields: columns([
    ['Record Identifier', 1, 1, '=T'],
    ['Debits', 2, 7, 'digits', 'required'],
    ['Total', 8, 21, 'amount', 'required'],
    ['Blank 1', 22, 120, 'blank'],
  ]),
};
