import { Inject, Injectable } from '@nestjs/common';
import type { CheckPrinter, SaveCheckPrinter } from '@zakat/contract/checks';
import { shiftOf } from '@zakat/core/facts/client-facts';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { notFound, refuseField } from '../../http/refusal.js';
import { Audit } from '../audit/index.js';
import type { CheckSheet } from './check-page.js';

type Shift = NonNullable<CheckSheet['shift']>;
const POINTS = 72;
const inPoints = (inches: string): number => (shiftOf(inches) ?? 0) * POINTS;

/** Printers of the firm: each prints a little off its place, whatever client the check is of. */
@Injectable()
export class CheckPrinters {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  list(actor: Actor): Promise<CheckPrinter[]> {
    return this.database.run(actor, printers);
  }

  /** Adds a printer, or changes one; `id` null: a new one. */
  save(actor: Actor, id: string | null, { name, right, down }: SaveCheckPrinter): Promise<CheckPrinter[]> {
    for (const [field, inches] of [
      ['right', right],
      ['down', down],
    ] as const)
      if (shiftOf(inches) === null)
        throw refuseField(
          field,
          `${inches} is not a length of half an inch at most.`,
          'Write inches, like 0.06 or -0.1.',
        );
    return this.database.run(actor, async (manager) => {
      const known = await printers(manager);
      if (known.some((printer) => printer.id !== id && printer.name === name.trim()))
        throw refuseField('name', `There is a printer ${name.trim()} already.`, 'Give it another name.');
      if (id !== null && !known.some((printer) => printer.id === id)) throw notFound('printer');
      await manager.query(
        `INSERT INTO check_printer (id, firm_id, name, move_right, move_down) VALUES ($1, $2, $3, $4, $5)
         ON CONFLICT (id) DO UPDATE SET name = $3, move_right = $4, move_down = $5`,
        [id ?? randomUUID(), actor.firmId, name.trim(), right.trim(), down.trim()],
      );
      await this.audit.record(manager, actor, 'check-printer.save', 'firm', actor.firmId, { name, right, down });
      return printers(manager);
    });
  }

  remove(actor: Actor, id: string): Promise<CheckPrinter[]> {
    return this.database.run(actor, async (manager) => {
      const printer = (await printers(manager)).find((one) => one.id === id);
      if (!printer) throw notFound('printer');
      await manager.query('DELETE FROM check_printer WHERE id = $1', [id]);
      await this.audit.record(manager, actor, 'check-printer.remove', 'firm', actor.firmId, { name: printer.name });
      return printers(manager);
    });
  }

  /** The shift of the client's stock with that of the printer on top, in points. */
  async shift(manager: EntityManager, stock: Shift, printerId: string | undefined): Promise<Shift> {
    if (printerId === undefined) return stock;
    const printer = (await printers(manager)).find(({ id }) => id === printerId);
    if (!printer)
      throw refuseField('printerId', 'This printer is not one of the firm.', 'Choose one of its printers, or none.');
    return { right: stock.right + inPoints(printer.right), down: stock.down + inPoints(printer.down) };
  }
}

export async function printers(manager: EntityManager): Promise<CheckPrinter[]> {
  return (await manager.query(
    'SELECT id, name, move_right AS "right", move_down AS down FROM check_printer ORDER BY name',
  )) as CheckPrinter[];
}
