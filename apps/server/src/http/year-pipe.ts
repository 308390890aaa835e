import { Injectable, type PipeTransform } from '@nestjs/common';
import { refuseField } from './refusal.js';

/** A calendar year of the records, as a query gives it. */
@Injectable()
export class ParseYearPipe implements PipeTransform<string | undefined, number> {
  transform(value: string | undefined): number {
    if (value !== undefined && /^(19|20|21)\d{2}$/.test(value)) return Number(value);
    throw refuseField('year', 'The year is missing or is none.', 'Give it with four digits, like 2026.');
  }
}
